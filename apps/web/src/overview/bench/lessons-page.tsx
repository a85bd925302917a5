import { useInfiniteQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { Button, buttonClass } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { LessonRow } from './lesson-row.js';
import { lessonsQuery } from '../../lessons/lesson/lesson.queries.js';
import { t } from '../words.js';

const NewLesson = lazy(() =>
  import('../../lessons/lesson/new-lesson.js').then(({ NewLesson: component }) => ({ default: component })),
);

export function LessonsPage(): ReactElement {
  const [creating, setCreating] = useState(false);
  return (
    <>
      <PageHead
        title={t('lessonsPage.lessons')}
        about={t('lessonsPage.eachLessonHasABench')}
        actions={
          <>
            <Link to="/sheets" className={buttonClass()}>
              {t('lessonsPage.sheets')}
            </Link>
            <Button tone="main" onClick={() => setCreating(true)}>
              {t('lessonsPage.newLesson')}
            </Button>
          </>
        }
      />
      <LessonList onCreate={() => setCreating(true)} />
      <Suspense>{creating && <NewLesson onClose={() => setCreating(false)} />}</Suspense>
    </>
  );
}

function LessonList({ onCreate }: { readonly onCreate: () => void }): ReactElement {
  const lessons = useInfiniteQuery(lessonsQuery);
  if (lessons.isPending) return <Loading label={t('lessonsPage.lessonsAreLoading')} />;
  if (hasFailed(lessons)) return <Failed words={wordsFor(lessons.error)} onRetry={() => void lessons.refetch()} />;
  const rows = lessons.data.pages.flatMap((page) => page.rows);
  if (rows.length === 0) {
    return (
      <Empty title={t('lessonsPage.noLessonsYet')}>
        {t('lessonsPage.aLessonHasAClass')}{' '}
        <button type="button" className="font-semibold text-ink underline" onClick={onCreate}>
          {t('lessonsPage.createYourFirstLesson')}
        </button>
      </Empty>
    );
  }
  return (
    <>
      <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
        {rows.map((row) => (
          <LessonRow key={row.id} row={row} />
        ))}
      </ul>
      {lessons.hasNextPage && (
        <Button className="mt-3" disabled={lessons.isFetchingNextPage} onClick={() => void lessons.fetchNextPage()}>
          {t('lessonsPage.showMoreLessons')}
        </Button>
      )}
    </>
  );
}
