/** Everything that can become a material, from wherever it comes: pasted, filled in, brought by bookmark or shared by a phone. */
import { contentKinds, type Content, type ContentKind } from '@hapset/core';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { Sheet } from '../design/sheet.js';
import { Intake } from '../intake/intake.js';
import { KindForm } from '../kind/kind-form.js';
import { lessonsQuery } from '../lesson/lesson.queries.js';
import { KindIcon } from '../material/kind-icon.js';
import { schoolQuery } from '../school/school.queries.js';
import { PageHead } from '../shell/page-head.js';
import { kindWords } from '../wording/kinds.js';
import { wordsFor } from '../wording/problems.js';
import { BringIt } from './bring-it.js';
import { broughtText } from './brought.js';
import { useAddTo } from './use-add-to.js';

export function Component(): ReactElement {
  const [search] = useSearchParams();
  const [lessonId, setLessonId] = useState(search.get('lesson') ?? '');
  const add = useAddTo(lessonId === '' ? null : lessonId);
  return (
    <>
      <PageHead title="Add something" about="Paste it, fill it in, or bring it from the page you are looking at." actions={<GoesTo lessonId={lessonId} onChange={setLessonId} />} />
      <div className="flex flex-col gap-4">
        <Intake label="What should students open?" placeholder="Paste links, one a line, or write a message…" noun={lessonId === '' ? 'material' : 'station'} here={[]} initial={broughtText(search)} autoFocus onAdd={add} />
        <KindChooser onAdd={(content) => add([{ content, pasted: kindWords[content.kind], repairs: [] }])} />
        <BringIt />
      </div>
    </>
  );
}

function GoesTo({ lessonId, onChange }: { readonly lessonId: string; readonly onChange: (lessonId: string) => void }): ReactElement {
  const lessons = useInfiniteQuery(lessonsQuery).data?.pages.flatMap((page) => page.rows) ?? [];
  return (
    <label className="flex items-center gap-2.5 text-[14.5px]">
      <span className="text-muted">Goes to</span>
      <select value={lessonId} onChange={(event) => onChange(event.target.value)} className="min-h-9 max-w-64 rounded-small border border-line-strong bg-sheet px-2 font-semibold">
        <option value="">the shelf</option>
        {lessons.map((lesson) => (
          <option key={lesson.id} value={lesson.id}>
            {lesson.name}
          </option>
        ))}
      </select>
    </label>
  );
}

function KindChooser({ onAdd }: { readonly onAdd: (content: Content) => Promise<unknown> }): ReactElement {
  const school = useQuery(schoolQuery).data;
  const [kind, setKind] = useState<ContentKind | null>(null);
  const [sending, setSending] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const send = (content: Content): void => {
    setSending(true);
    setFailure(null);
    onAdd(content)
      .catch((error: unknown) => setFailure(wordsFor(error)))
      .finally(() => setSending(false));
  };
  return (
    <Sheet title="In the code itself" aside="needs no network and no page">
      <div className="flex flex-wrap gap-2" role="group" aria-label="Kind">
        {contentKinds.map((choice) => (
          <button
            key={choice}
            type="button"
            aria-pressed={choice === kind}
            onClick={() => setKind(choice === kind ? null : choice)}
            className={`flex min-h-10 items-center gap-2 rounded-small border px-3.5 text-[14.5px] font-semibold ${choice === kind ? 'border-marker-line bg-marker-soft' : 'border-line-strong bg-sheet hover:border-ink'}`}
          >
            <KindIcon kind={choice} size={16} /> {kindWords[choice]}
          </button>
        ))}
      </div>
      {kind !== null && school && (
        <div className="mt-4 border-t border-line pt-4">
          <KindForm key={kind} kind={kind} school={school} send="Add it" sending={sending} failure={failure} onSend={send} />
        </div>
      )}
    </Sheet>
  );
}

