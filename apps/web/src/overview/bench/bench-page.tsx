import type { BenchRow, BenchView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactElement } from 'react';
import { useParams } from 'react-router';
import { useOpenAgainOnReturn } from '../../opens/access-check/use-open-again-on-return.js';
import { TextButton } from '../../platform/design/button.js';
import { hasFailed } from '../../platform/api/has-failed.js';
import { Empty, Failed, Loading } from '../../platform/design/list-states.js';
import { Intake } from '../../gather/intake/intake.js';
import { useOpenMaterial } from '../../gather/material/material.queries.js';
import { useRehearsals } from '../../reads/rehearsal/use-rehearsals.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { BenchProgress } from './bench-progress.js';
import { isRowInSight } from './row-in-sight.js';
import { BenchTable } from './bench-table.js';
import { benchQuery, useAddStations } from '../../lessons/lesson/lesson.queries.js';
import { BenchHead } from './bench-head.js';
import { t } from '../words.js';

const FromShelf = lazy(() => import('./from-shelf.js').then(({ FromShelf: component }) => ({ default: component })));

export function BenchPage(): ReactElement {
  const lessonId = useParams().lessonId ?? '';
  const bench = useQuery(benchQuery(lessonId));
  if (bench.isPending) return <Loading rows={6} label={t('benchPage.theBenchIsLoading')} />;
  if (hasFailed(bench)) return <Failed words={wordsFor(bench.error)} onRetry={() => void bench.refetch()} />;
  return <Bench key={lessonId} bench={bench.data} />;
}

function Bench({ bench }: { readonly bench: BenchView }): ReactElement {
  const { lesson, rows } = bench;
  const add = useAddStations(lesson.id);
  const open = useOpenMaterial();
  const rehearsals = useRehearsals(
    rows.map(({ stationId, code, rehearsal }) => ({ place: { stationId }, code, rehearsal })),
    { isInSight: isRowInSight },
  );
  useOpenAgainOnReturn(
    rows.filter(isShut).map((row) => row.material.id),
    (materialId) => open.mutate(materialId),
  );
  return (
    <>
      <BenchHead bench={bench} />
      <BenchProgress bench={bench} rehearsals={rehearsals} />
      {rows.length === 0 ? (
        <Empty title={t('benchPage.noStationsYet')}>{t('benchPage.pasteTheLinksThatStudents')}</Empty>
      ) : (
        <BenchTable lessonId={lesson.id} rows={rows} rehearsing={rehearsals.running} />
      )}
      <div className="mt-3">
        <Intake
          label={t('benchPage.nextStation')}
          placeholder={t('benchPage.nextStationPasteLinksOr')}
          noun="station"
          here={rows.flatMap((row) => row.material.link ?? [])}
          intoLesson
          ways={<ShelfWay bench={bench} />}
          classId={lesson.classId}
          autoFocus={rows.length === 0}
          onAdd={(items, materialIds) => add.mutateAsync({ items, materialIds })}
        />
      </div>
    </>
  );
}

function ShelfWay({ bench: { lesson, rows } }: { readonly bench: BenchView }): ReactElement {
  const [open, setOpen] = useState(false);
  return (
    <>
      <TextButton className="min-h-9 px-1 text-row" onClick={() => setOpen(true)}>
        {t('benchPage.fromTheShelf')}
      </TextButton>
      <Suspense>
        {open && (
          <FromShelf lessonId={lesson.id} here={rows.map((row) => row.material.id)} onClose={() => setOpen(false)} />
        )}
      </Suspense>
    </>
  );
}

/** It was looked at, and students don't get in: when the teacher comes back, it may be fixed. */
function isShut({ readiness: { opens } }: BenchRow): boolean {
  return !['done', 'not-yet'].includes(opens.state) && !opens.opening;
}
