/** Everything that can become a material, from wherever it comes: pasted, filled in, brought by bookmark or shared by a phone. */
import type { NewMaterial } from '@hapset/contract';
import { contentKinds, emptyDocument, type Content, type ContentKind } from '@hapset/core';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useState, type ReactElement } from 'react';
import { useSearchParams } from 'react-router';
import { useNotice } from '../design/notice.js';
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
        <Intake label="What should students open?" placeholder="Paste links, drop files, or write a message…" noun={lessonId === '' ? 'material' : 'station'} here={[]} initial={broughtText(search)} autoFocus onAdd={add} />
        <WriteOne onAdd={add} />
        <KindChooser onAdd={(content) => add([{ content, pasted: kindWords[content.kind], repairs: [] }])} />
        <BringIt />
      </div>
    </>
  );
}

/** A page written here: it is made first, and then written. */
function WriteOne({ onAdd }: { readonly onAdd: (items: readonly NewMaterial[]) => Promise<unknown> }): ReactElement {
  const notice = useNotice();
  const write = (): void => void onAdd([{ kept: { kind: 'written-page', document: emptyDocument }, title: 'New page', pasted: 'New page', repairs: [] }]).catch((error: unknown) => notice({ words: wordsFor(error) }));
  return (
    <Sheet title="Kept here" aside="on the school’s own server, with an address of its own">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <button type="button" onClick={write} className="flex min-h-10 items-center gap-2 rounded-small border border-line-strong bg-sheet px-3.5 text-[14.5px] font-semibold hover:border-ink">
          <KindIcon kind="written-page" size={16} /> Write a page
        </button>
        <span className="text-[14px] text-muted">Or drop pictures, sounds, films and documents into the field above, or paste them there.</span>
      </div>
    </Sheet>
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

