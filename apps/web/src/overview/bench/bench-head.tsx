/** The lesson above its bench, and what is done with all of its stations. */
import type { BenchView, LessonView } from '@hapset/contract';
import { nextStep, partOfTrouble } from '@hapset/core';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { lessonPicturesAddress } from '../../paper/picture/picture-address.js';
import { composerOfLesson } from '../../paper/sheet/places-of-address.js';
import { buttonClass } from '../../platform/design/button.js';
import { Menu, type MenuEntry } from '../../platform/design/menu.js';
import { PageHead } from '../../platform/design/page-head.js';
import { fixWords } from '../../platform/wording/troubles.js';
import { lessonTime, metres } from '../../platform/wording/figures.js';
import { t } from '../words.js';

const LessonLook = lazy(() => import('../../code/look/lesson-look.js'));
const ChangeLesson = lazy(() =>
  import('../../lessons/lesson/change-lesson.js').then(({ ChangeLesson: component }) => ({ default: component })),
);

export function BenchHead({ bench }: { readonly bench: BenchView }): ReactElement {
  const { lesson } = bench;
  const [open, setOpen] = useState<'change' | 'look' | null>(null);
  return (
    <>
      <PageHead
        title={lesson.name}
        about={aboutLesson(lesson)}
        actions={
          <>
            <Menu
              label={t('benchHead.moreForThisLesson')}
              className={buttonClass()}
              entries={entriesOf(bench, setOpen)}
            >
              {t('benchHead.more')}
            </Menu>
            <NextButton bench={bench} />
          </>
        }
      />
      <Suspense>{open === 'change' && <ChangeLesson lesson={lesson} onClose={() => setOpen(null)} />}</Suspense>
      <Suspense>{open === 'look' && <LessonLook bench={bench} onClose={() => setOpen(null)} />}</Suspense>
    </>
  );
}

/** The one main action: whatever comes next. */
function NextButton({ bench: { lesson, rows } }: { readonly bench: BenchView }): ReactElement {
  const { words, to } = wayOn(lesson.id, rows);
  return (
    <Link to={to} className={buttonClass('main')}>
      {words}
    </Link>
  );
}

function wayOn(lessonId: string, rows: BenchView['rows']): { readonly words: string; readonly to: string } {
  const step = nextStep(rows.map(({ readiness }) => readiness));
  const pageOf = (index: number): string => `/lessons/${lessonId}/stations/${rows[index]?.stationId ?? ''}`;
  switch (step.kind) {
    case 'fix':
      return {
        words: t('benchHead.station', { position: step.index + 1, step: fixWords[step.trouble].toLowerCase() }),
        to: `${pageOf(step.index)}#${partOfTrouble(step.trouble)}`,
      };
    case 'print':
      return { words: t('benchHead.makeSheets'), to: composerOfLesson(lessonId) };
    case 'try':
      return { words: t('benchHead.tryItInTheRoom'), to: `${pageOf(0)}/try` };
    case 'add':
    case 'wait':
      return { words: t('benchHead.addAStation'), to: `/add?lesson=${lessonId}` };
  }
}

/** Everything else that is done with all stations. */
function entriesOf({ lesson, rows }: BenchView, open: (dialog: 'change' | 'look') => void): readonly MenuEntry[] {
  const hasCodes = rows.some(({ code }) => code !== null);
  return [
    { label: t('benchHead.addAStation'), to: `/add?lesson=${lesson.id}` },
    { label: t('benchHead.changeLesson'), onSelect: () => open('change') },
    ...(hasCodes
      ? [
          { label: t('benchHead.designAllCodes'), onSelect: () => open('look') },
          { label: t('benchHead.makeSheets'), to: composerOfLesson(lesson.id) },
          {
            label: t('benchHead.saveAllPicturesZIP'),
            download: lessonPicturesAddress(lesson.id, { use: 'document', format: 'png' }),
          },
        ]
      : []),
  ];
}

function aboutLesson({ className, date, startsAt, place, viewingDistanceM }: LessonView): string {
  return [
    className ? t('benchHead.class', { className }) : '',
    lessonTime(date, startsAt),
    place,
    t('benchHead.viewingDistance', { metres: metres(viewingDistanceM) }),
  ]
    .filter((part) => part !== '')
    .join(' · ');
}
