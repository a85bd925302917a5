/** The lesson above its bench, and what is done with all of its stations. */
import type { BenchView, LessonView } from '@hapset/contract';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Link } from 'react-router';
import { lessonPicturesAddress } from '../../paper/picture/picture-address.js';
import { composerOfLesson } from '../../paper/sheet/places-of-address.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { PageHead } from '../../platform/design/page-head.js';
import { lessonTime, metres } from '../../platform/wording/figures.js';

const LessonLook = lazy(() => import('../../code/look/lesson-look.js'));
const ChangeLesson = lazy(() =>
  import('../../lessons/lesson/change-lesson.js').then(({ ChangeLesson: component }) => ({ default: component })),
);

export function BenchHead({ bench }: { readonly bench: BenchView }): ReactElement {
  const { lesson, rows } = bench;
  const [open, setOpen] = useState<'change' | 'look' | null>(null);
  const hasCodes = rows.some(({ code }) => code !== null);
  return (
    <>
      <PageHead
        title={lesson.name}
        about={aboutLesson(lesson)}
        actions={
          <>
            <Button onClick={() => setOpen('change')}>Change lesson</Button>
            {hasCodes && (
              <>
                <Button onClick={() => setOpen('look')}>Look</Button>
                <a
                  href={lessonPicturesAddress(lesson.id, { use: 'document', format: 'png' })}
                  download
                  className={buttonClass()}
                  title="All codes in one ZIP file, named after their stations"
                >
                  Save all pictures
                </a>
                <Link to={composerOfLesson(lesson.id)} className={buttonClass()}>
                  Make sheets
                </Link>
              </>
            )}
            <Link to={`/add?lesson=${lesson.id}`} className={buttonClass('main')}>
              Add a station
            </Link>
          </>
        }
      />
      <Suspense>{open === 'change' && <ChangeLesson lesson={lesson} onClose={() => setOpen(null)} />}</Suspense>
      <Suspense>{open === 'look' && <LessonLook bench={bench} onClose={() => setOpen(null)} />}</Suspense>
    </>
  );
}

function aboutLesson({ className, date, startsAt, place, viewingDistanceM }: LessonView): string {
  return [
    className ? `Class ${className}` : '',
    lessonTime(date, startsAt),
    place,
    `students stand ${metres(viewingDistanceM)} from the wall`,
  ]
    .filter((part) => part !== '')
    .join(' · ');
}
