import { useInfiniteQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { useSession } from '../../school/account/session.queries.js';
import { Button } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Intake } from '../../gather/intake/intake.js';
import { LessonRow } from '../bench/lesson-row.js';
import { lessonsQuery } from '../../lessons/lesson/lesson.queries.js';
import { useAddTo } from '../add/use-add-to.js';
import { NewsList } from '../news/news-list.js';
import { PageHead } from '../../platform/design/page-head.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { soonestFirst } from './soonest-first.js';
import { dayHere } from '../../platform/wording/figures.js';
import { t } from '../words.js';

const lessonsShown = 5;

const NewLesson = lazy(() =>
  import('../../lessons/lesson/new-lesson.js').then(({ NewLesson: component }) => ({ default: component })),
);

export function StartPage(): ReactElement {
  const session = useSession();
  const add = useAddTo(null);
  const [creating, setCreating] = useState(false);
  const firstName = session?.name.split(' ')[0] ?? '';
  return (
    <>
      <PageHead title={t('startPage.hello', { firstName })} about={t('startPage.needOneCodeNowPaste')} />
      <Intake
        label={t('startPage.whatShouldStudentsOpen')}
        placeholder={t('startPage.pasteALinkOrWrite')}
        noun="material"
        here={[]}
        autoFocus
        onAdd={add}
      />
      <NewsList />
      <div className="mt-8 mb-2.5 flex items-center gap-3">
        <h2 className="m-0 flex-1 text-part">{t('startPage.yourLessons')}</h2>
        <Button tone="main" onClick={() => setCreating(true)}>
          {t('startPage.newLesson')}
        </Button>
      </div>
      <NextLessons />
      <Suspense>{creating && <NewLesson onClose={() => setCreating(false)} />}</Suspense>
    </>
  );
}

function NextLessons(): ReactElement {
  const lessons = useInfiniteQuery(lessonsQuery);
  if (lessons.isPending) return <Loading rows={3} label={t('startPage.lessonsAreLoading')} />;
  if (hasFailed(lessons)) return <Failed words={wordsFor(lessons.error)} onRetry={() => void lessons.refetch()} />;
  const rows = soonestFirst(
    lessons.data.pages.flatMap((page) => page.rows),
    dayHere(new Date()),
  ).slice(0, lessonsShown);
  if (rows.length === 0) return <Empty title={t('startPage.noLessonsYet')}>{t('startPage.aSingleCodeNeedsNo')}</Empty>;
  return (
    <ul className="m-0 list-none overflow-hidden rounded-sheet border border-line bg-sheet p-0">
      {rows.map((row) => (
        <LessonRow key={row.id} row={row} />
      ))}
    </ul>
  );
}
