import type { BenchView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { Link, useParams } from 'react-router';
import { useOpenAgainOnReturn } from '../../opens/access-check/use-open-again-on-return.js';
import { Button, buttonClass } from '../../platform/design/button.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Intake } from '../../gather/intake/intake.js';
import { useOpenMaterial } from '../../gather/material/material.queries.js';
import { useRehearsals } from '../../reads/rehearsal/use-rehearsals.js';
import { lessonPicturesAddress } from '../../paper/picture/picture-address.js';
import { composerOfLesson } from '../../paper/sheet/places-of-address.js';
import { PageHead } from '../../platform/design/page-head.js';
import { lessonTime, metres } from '../../platform/wording/figures.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { BenchProgress } from './bench-progress.js';
import { BenchTable } from './bench-table.js';
import { benchQuery, useAddStations } from '../../lessons/lesson/lesson.queries.js';

const LessonLook = lazy(() => import('../../code/look/lesson-look.js'));
const ChangeLesson = lazy(() =>
  import('../../lessons/lesson/change-lesson.js').then(({ ChangeLesson: component }) => ({ default: component })),
);

export function Component(): ReactElement {
  const lessonId = useParams().lessonId ?? '';
  const bench = useQuery(benchQuery(lessonId));
  if (bench.isPending) return <Loading rows={6} label="The bench is loading" />;
  if (bench.isError) return <Failed words={wordsFor(bench.error)} onRetry={() => void bench.refetch()} />;
  return <Bench key={lessonId} bench={bench.data} />;
}

function Bench({ bench }: { readonly bench: BenchView }): ReactElement {
  const { lesson, rows } = bench;
  const [changing, setChanging] = useState(false);
  const [looking, setLooking] = useState(false);
  const add = useAddStations(lesson.id);
  const open = useOpenMaterial();
  const rehearsals = useRehearsals(
    rows.map(({ stationId, code, rehearsal }) => ({ place: { stationId }, code, rehearsal })),
  );
  const notOpen = rows.filter(
    ({ readiness }) => !['done', 'not-yet'].includes(readiness.opens.state) && !readiness.opens.opening,
  );
  useOpenAgainOnReturn(
    notOpen.map((row) => row.material.id),
    (materialId) => open.mutate(materialId),
  );

  const about = [
    lesson.className ? `Class ${lesson.className}` : '',
    lessonTime(lesson.date, lesson.startsAt),
    lesson.place,
    `students stand ${metres(lesson.viewingDistanceM)} from the wall`,
  ];
  return (
    <>
      <PageHead
        title={lesson.name}
        about={about.filter((part) => part !== '').join(' · ')}
        actions={
          <>
            <Button onClick={() => setChanging(true)}>Change lesson</Button>
            {rows.some(({ code }) => code !== null) && (
              <>
                <Button onClick={() => setLooking(true)}>Look</Button>
                <a
                  href={lessonPicturesAddress(lesson.id, { use: 'document', format: 'png' })}
                  download
                  className={buttonClass()}
                  title="All codes in one ZIP file, named after their stations"
                >
                  Save all pictures
                </a>
              </>
            )}
            {rows.some(({ code }) => code !== null) && (
              <Link to={composerOfLesson(lesson.id)} className={buttonClass()}>
                Make sheets
              </Link>
            )}
            <Link to={`/add?lesson=${lesson.id}`} className={buttonClass('main')}>
              Add a station
            </Link>
          </>
        }
      />
      <BenchProgress bench={bench} rehearsals={rehearsals} />
      {rows.length === 0 ? (
        <Empty title="No stations yet">
          Paste the links of what students should open, one a line, or write a message. Each becomes a station with its
          own code.
        </Empty>
      ) : (
        <BenchTable lessonId={lesson.id} rows={rows} rehearsing={rehearsals.running} />
      )}
      <div className="mt-3">
        <Intake
          label="Next station"
          placeholder="Next station: paste links or write a message…"
          noun="station"
          here={rows.flatMap((row) => row.material.link ?? [])}
          classId={lesson.classId}
          autoFocus={rows.length === 0}
          onAdd={(items) => add.mutateAsync(items)}
        />
      </div>
      <Suspense>{changing && <ChangeLesson lesson={lesson} onClose={() => setChanging(false)} />}</Suspense>
      <Suspense>{looking && <LessonLook bench={bench} onClose={() => setLooking(false)} />}</Suspense>
    </>
  );
}
