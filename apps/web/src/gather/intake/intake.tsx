/** The intake: paste links or write a message; what was understood is seen before it becomes a material. */
import type { NewMaterial } from '@hapset/contract';
import { readTags, type Columns, type LinkKind, type RepairKind } from '@hapset/core';
import { Plus } from 'lucide';
import { lazy, Suspense, useEffect, useMemo, useRef, useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { ChooseFile, ChooseFiles } from '../../platform/design/choose-file.js';
import { useCatalogue } from '../service-description/use-catalogue.js';
import { plural } from '../../platform/wording/figures.js';
import { listFileWords } from '../../platform/wording/list-files.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { isPlain, noDecisions, reviewItems, toNewMaterials, type Decisions } from './new-materials.js';
import type { Rows } from '../../platform/table-file/table.js';
import { useIntakeSource } from './use-intake-source.js';
import { Icon } from '../../platform/design/icon.js';

// What is seen of more than one plain thing comes when there is some.
const IntakeReview = lazy(() =>
  import('./intake-review.js').then(({ IntakeReview: component }) => ({ default: component })),
);
const FileTray = lazy(() =>
  import('../upload/file-tray.js').then(({ FileTray: component }) => ({ default: component })),
);
const ColumnMapping = lazy(() =>
  import('./column-mapping.js').then(({ ColumnMapping: component }) => ({ default: component })),
);

interface Props {
  readonly label: string;
  readonly placeholder: string;
  /** What one of the things becomes: "station", "material". */
  readonly noun: string;
  /** Links that are here already. */
  readonly here: readonly string[];
  /** Of the class whose devices are to read it; null for all of the school's. */
  readonly classId?: string | null;
  readonly onAdd: (items: readonly NewMaterial[]) => Promise<unknown>;
  readonly autoFocus?: boolean;
  /** Text to begin with, brought from elsewhere. */
  readonly initial?: string;
}

export function Intake({
  label,
  placeholder,
  noun,
  here,
  classId = null,
  onAdd,
  autoFocus = false,
  initial = '',
}: Props): ReactElement {
  const [text, setText] = useState(initial);
  const [file, setFile] = useState<ChosenFile | null>(null);
  const [kept, setKept] = useState<readonly File[] | null>(null);
  const [columns, setColumns] = useState<Columns | null>(null);
  const [decisions, setDecisions] = useState<Decisions>(noDecisions);
  const [tags, setTags] = useState('');
  const [sending, setSending] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const catalogue = useCatalogue();
  const source = useIntakeSource(text, file?.rows ?? null, columns, decisions.takenBack);
  const rows = useMemo(() => reviewItems(source.items, here, decisions), [source.items, here, decisions]);
  const materials = toNewMaterials(rows, readTags(tags));
  const empty = text === '' && file === null;
  const long = text.length > editableLength;

  const change = (next: string): void => {
    setText(next);
    setFile(null);
    setColumns(null);
    setFailure(null);
    if (next === '') setDecisions(noDecisions);
  };
  usePasteAnywhere(
    (pasted) => {
      change(pasted);
      field.current?.focus();
    },
    (files) => setKept(files),
  );
  const choose = async (chosen: File): Promise<void> => {
    const { readListFile } = await import('../../platform/table-file/list-file.js');
    const list = await readListFile(chosen);
    if (!list.ok) return setFailure(listFileWords[list.problem]);
    change('');
    setFile(list);
  };
  const takeDropped = (files: readonly File[]): void => {
    const [first] = files;
    if (files.length === 1 && first && isListName(first.name)) void choose(first);
    else if (files.length > 0) setKept([...files]);
  };
  const add = (): void => {
    if (materials.length === 0 || sending || source.left > 0) return;
    setSending(true);
    onAdd(materials)
      .then(() => {
        change('');
        setTags('');
      })
      .catch((error: unknown) => setFailure(wordsFor(error)))
      .finally(() => setSending(false));
  };
  const takeBack = (pasted: string, kind: RepairKind): void =>
    setDecisions((before) => ({ ...before, takenBack: toggled(before.takenBack, pasted, kind) }));
  const chooseKind = (pasted: string, kind: LinkKind): void =>
    setDecisions((before) => ({ ...before, kinds: new Map(before.kinds).set(pasted, kind) }));
  const takeStudentLink = (pasted: string, link: string | null): void =>
    setDecisions((before) => ({ ...before, studentLinks: changed(before.studentLinks, pasted, link) }));
  const putOnPage = (pasted: string): void =>
    setDecisions((before) => ({ ...before, onPage: switched(before.onPage, pasted) }));
  const keep = (index: number): void => setDecisions((before) => ({ ...before, kept: switched(before.kept, index) }));

  return (
    <div
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        takeDropped([...event.dataTransfer.files]);
      }}
      className={`rounded-sheet border bg-sheet/60 ${empty ? 'border-dashed border-line-strong' : 'border-ink bg-sheet'}`}
    >
      <div className="flex flex-wrap items-start gap-x-3 gap-y-1 px-4 py-2.5 sm:flex-nowrap">
        <Icon icon={Plus} size={18} className="mt-2 shrink-0 text-muted" />
        {file && (
          <p className="m-0 flex-1 py-1.5 text-[15px]">
            List out of <strong>{file.name}</strong>
            {file.cut && ', its first 5,000 rows'}
          </p>
        )}
        {!file && long && (
          <p className="m-0 flex-1 py-1.5 text-[15px]">{plural(source.items.length + source.left, 'line')} pasted</p>
        )}
        {!file && !long && (
          <textarea
            ref={field}
            aria-label={label}
            placeholder={placeholder}
            autoFocus={autoFocus}
            rows={Math.min(8, Math.max(1, text.split('\n', 9).length))}
            value={text}
            onChange={(event) => change(event.target.value)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' || event.shiftKey || text.trim() === '') return;
              event.preventDefault();
              add();
            }}
            className="max-h-52 min-h-9 min-w-52 flex-1 resize-none bg-transparent [field-sizing:content] py-1.5 text-[15px] outline-none placeholder:text-muted"
          />
        )}
        {empty ? (
          <EmptyActions onFiles={setKept} onList={(file) => void choose(file)} />
        ) : (
          <>
            {(file !== null || long) && <Button onClick={() => change('')}>Leave it</Button>}
            <Button tone="main" onClick={add} disabled={materials.length === 0 || sending || source.left > 0}>
              {sending ? 'Adding…' : materials.length === 1 ? 'Add' : `Add ${plural(materials.length, noun)}`}
            </Button>
          </>
        )}
      </div>
      <Suspense>
        {source.table && (
          <ColumnMapping rows={source.table.rows} columns={source.table.columns} onChange={setColumns} />
        )}
      </Suspense>
      {source.left > 0 && (
        <p role="status" className="m-0 border-t border-line px-4 py-2 text-[14px] text-muted">
          Reading {source.items.length} of {source.items.length + source.left}
        </p>
      )}
      {!empty && (source.table !== null || !isPlain(rows, catalogue)) && (
        <Suspense>
          <IntakeReview
            rows={rows}
            catalogue={catalogue}
            onTakeBack={takeBack}
            onKeep={keep}
            onKind={chooseKind}
            onStudentLink={takeStudentLink}
            onPage={putOnPage}
            classId={classId}
          />
          <label className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line px-4 py-2.5 text-[14px]">
            <span className="text-muted">Tags for all of them</span>
            <input
              value={tags}
              onChange={(event) => setTags(event.target.value)}
              placeholder="Practice cards, recorder"
              className="min-h-9 min-w-40 flex-1 rounded-small border border-line-strong bg-sheet px-3 text-[15px] placeholder:text-muted"
            />
          </label>
        </Suspense>
      )}
      {kept && (
        <Suspense>
          <FileTray files={kept} noun={noun} onAdd={onAdd} onClose={() => setKept(null)} />
        </Suspense>
      )}
      {failure !== null && (
        <p role="alert" className="m-0 border-t border-line px-4 py-2.5 text-[14px] font-semibold text-stop">
          {failure}
        </p>
      )}
    </div>
  );
}

/** Longer texts are reviewed but not laid out in the field: thousands of lines there would hold the page up. Characters. */
const editableLength = 20_000;

interface ChosenFile {
  readonly name: string;
  readonly rows: Rows;
  readonly cut: boolean;
}

/** Dropped alone, these are read as lists; everything else is a file to keep. */
function isListName(name: string): boolean {
  return /\.(?:csv|tsv|xlsx|ods)$/i.test(name);
}

/** What stands at the end of an empty row: files to keep, a list to import, and the key that pastes. */
function EmptyActions({
  onFiles,
  onList,
}: {
  readonly onFiles: (files: readonly File[]) => void;
  readonly onList: (file: File) => void;
}): ReactElement {
  return (
    <span className="flex shrink-0 flex-wrap items-center gap-x-3">
      <ChooseFiles label="Files or photos" multiple onChoose={onFiles} />
      <ChooseFile label="Import a list" accept=".csv,.tsv,.txt,.xlsx,.ods" onChoose={onList} />
      <kbd className="hidden rounded-[6px] border border-line-strong bg-sheet px-2 py-0.5 font-mono text-[12.5px] sm:block">
        Ctrl V
      </kbd>
    </span>
  );
}

function toggled(takenBack: Decisions['takenBack'], pasted: string, kind: RepairKind): Decisions['takenBack'] {
  return new Map(takenBack).set(pasted, switched(takenBack.get(pasted) ?? new Set(), kind));
}

function switched<Item>(set: ReadonlySet<Item>, item: Item): ReadonlySet<Item> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}

function changed(links: Decisions['studentLinks'], pasted: string, link: string | null): Decisions['studentLinks'] {
  const next = new Map(links);
  if (link === null) next.delete(pasted);
  else next.set(pasted, link);
  return next;
}

/** Ctrl+V anywhere on the page lands in the intake, unless another field has the cursor. */
function usePasteAnywhere(take: (text: string) => void, takeFiles: (files: readonly File[]) => void): void {
  const latest = useRef({ take, takeFiles });
  useEffect(() => {
    latest.current = { take, takeFiles };
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => {
      const target = event.target;
      // Pictures of the clipboard are kept wherever they are pasted: no field could take them.
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length > 0 && !(target instanceof HTMLElement && target.closest('[contenteditable]'))) {
        event.preventDefault();
        latest.current.takeFiles(files);
        return;
      }
      if (target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]')) return;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (text.trim() === '') return;
      event.preventDefault();
      latest.current.take(text);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, []);
}
