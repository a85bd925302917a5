import type { BenchView } from '@hapset/contract';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useOpenAgainOnReturn } from '../access-check/use-open-again-on-return.js';
import { Button } from '../design/button.js';
import { Dialog } from '../design/dialog.js';
import { Empty, Failed, Loading } from '../design/list-states.js';
import { useNotice } from '../design/notice.js';
import { Intake } from '../intake/intake.js';
import { useOpenMaterial } from '../material/material.queries.js';
import { useRehearsals } from '../rehearsal/use-rehearsals.js';
import { PageHead } from '../shell/page-head.js';
import { lessonTime, metres } from '../wording/figures.js';
import { wordsFor } from '../wording/problems.js';
import { BenchProgress } from './bench-progress.js';
import { BenchTable } from './bench-table.js';
import { LessonForm } from './lesson-form.js';
import { benchQuery, useAddStations, useChangeLesson, useRemoveLesson } from './lesson.queries.js';

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
  const add = useAddStations(lesson.id);
  const open = useOpenMaterial();
  const rehearsals = useRehearsals(rows.map(({ stationId, code, rehearsal }) => ({ place: { stationId }, code, rehearsal })));
  const notOpen = rows.filter(({ readiness }) => !['done', 'not-yet'].includes(readiness.opens.state) && !readiness.opens.opening);
  useOpenAgainOnReturn(notOpen.map((row) => row.material.id), (materialId) => open.mutate(materialId));

  const about = [lesson.className ? `Class ${lesson.className}` : '', lessonTime(lesson.date, lesson.startsAt), lesson.place, `students stand ${metres(lesson.viewingDistanceM)} from the wall`];
  return (
    <>
      <PageHead title={lesson.name} about={about.filter((part) => part !== '').join(' · ')} actions={<Button onClick={() => setChanging(true)}>Change lesson</Button>} />
      <BenchProgress bench={bench} rehearsals={rehearsals} />
      {rows.length === 0 ? (
        <Empty title="No stations yet">Paste the links of what students should open, one a line, or write a message. Each becomes a station with its own code.</Empty>
      ) : (
        <BenchTable lessonId={lesson.id} rows={rows} rehearsing={rehearsals.running} />
      )}
      <div className="mt-3">
        <Intake
          label="Next station"
          placeholder="Next station: paste links or write a message…"
          noun="station"
          here={rows.flatMap((row) => row.material.link ?? [])}
          autoFocus={rows.length === 0}
          onAdd={(items) => add.mutateAsync({ items, materialIds: [] })}
        />
      </div>
      {changing && <ChangeLessonDialog bench={bench} onClose={() => setChanging(false)} />}
    </>
  );
}

function ChangeLessonDialog({ bench: { lesson }, onClose }: { readonly bench: BenchView; readonly onClose: () => void }): ReactElement {
  const change = useChangeLesson(lesson.id);
  const remove = useRemoveLesson();
  const navigate = useNavigate();
  const notice = useNotice();
  const onRemove = (): void => {
    remove.mutate(
      { lessonId: lesson.id },
      {
        onSuccess: () => {
          notice({ words: `“${lesson.name}” was removed.`, undo: () => remove.mutate({ lessonId: lesson.id, back: true }) });
          void navigate('/lessons');
        },
      },
    );
  };
  return (
    <Dialog title="Change lesson" onClose={onClose}>
      <LessonForm
        lesson={lesson}
        send="Keep the change"
        sending={change.isPending}
        error={change.error ?? remove.error}
        onCancel={onClose}
        onSend={(wish) => change.mutate({ ...wish, version: lesson.version }, { onSuccess: onClose })}
      />
      <div className="mt-5 flex items-center gap-3 border-t border-line pt-4 text-[14px] text-muted">
        <span className="flex-1">Its materials stay on the shelf.</span>
        <Button onClick={onRemove}>Remove lesson</Button>
      </div>
    </Dialog>
  );
}
