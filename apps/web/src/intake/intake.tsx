/** The intake: paste links or write a message; what was understood is seen before it becomes a material. */
import type { NewMaterial } from '@hapset/contract';
import type { RepairKind } from '@hapset/core';
import { Plus } from 'lucide-react';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { Button } from '../design/button.js';
import { plural } from '../wording/figures.js';
import { wordsFor } from '../wording/problems.js';
import { IntakeReview } from './intake-review.js';
import { isPlain, noDecisions, reviewIntake, toNewMaterials, type Decisions } from './new-materials.js';

interface Props {
  readonly label: string;
  readonly placeholder: string;
  /** What one of the things becomes: "station", "material". */
  readonly noun: string;
  /** Links that are here already. */
  readonly here: readonly string[];
  readonly onAdd: (items: readonly NewMaterial[]) => Promise<unknown>;
  readonly autoFocus?: boolean;
  /** Text to begin with, brought from elsewhere. */
  readonly initial?: string;
}

export function Intake({ label, placeholder, noun, here, onAdd, autoFocus = false, initial = '' }: Props): ReactElement {
  const [text, setText] = useState(initial);
  const [decisions, setDecisions] = useState<Decisions>(noDecisions);
  const [sending, setSending] = useState(false);
  const [failure, setFailure] = useState<unknown>(null);
  const field = useRef<HTMLTextAreaElement>(null);
  const rows = reviewIntake(text, here, decisions);
  const materials = toNewMaterials(rows);

  const change = (next: string): void => {
    setText(next);
    setFailure(null);
    if (next === '') setDecisions(noDecisions);
  };
  usePasteAnywhere((pasted) => {
    change(pasted);
    field.current?.focus();
  });

  const add = (): void => {
    if (materials.length === 0 || sending) return;
    setSending(true);
    onAdd(materials)
      .then(() => change(''))
      .catch((error: unknown) => setFailure(error))
      .finally(() => setSending(false));
  };
  const takeBack = (pasted: string, kind: RepairKind): void => {
    setDecisions((before) => {
      const kinds = new Set(before.takenBack.get(pasted));
      if (!kinds.delete(kind)) kinds.add(kind);
      return { ...before, takenBack: new Map(before.takenBack).set(pasted, kinds) };
    });
  };
  const keep = (index: number): void => {
    setDecisions((before) => {
      const kept = new Set(before.kept);
      if (!kept.delete(index)) kept.add(index);
      return { ...before, kept };
    });
  };

  return (
    <div className={`rounded-sheet border bg-sheet/60 ${text === '' ? 'border-dashed border-line-strong' : 'border-ink bg-sheet'}`}>
      <div className="flex items-start gap-3 px-4 py-2.5">
        <Plus size={18} className="mt-2 shrink-0 text-muted" aria-hidden />
        <textarea
          ref={field}
          aria-label={label}
          placeholder={placeholder}
          autoFocus={autoFocus}
          rows={Math.min(8, Math.max(1, text.split('\n').length))}
          value={text}
          onChange={(event) => change(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' || event.shiftKey || text.trim() === '') return;
            event.preventDefault();
            add();
          }}
          className="min-h-9 min-w-0 flex-1 resize-none bg-transparent py-1.5 text-[15px] outline-none placeholder:text-muted"
        />
        {text === '' ? (
          <kbd className="mt-1 hidden rounded-[6px] border border-line-strong bg-sheet px-2 py-0.5 font-mono text-[12.5px] sm:block">Ctrl V</kbd>
        ) : (
          <Button tone="main" onClick={add} disabled={materials.length === 0 || sending}>
            {sending ? 'Adding…' : materials.length === 1 ? 'Add' : `Add ${plural(materials.length, noun)}`}
          </Button>
        )}
      </div>
      {text !== '' && !isPlain(rows) && <IntakeReview rows={rows} onTakeBack={takeBack} onKeep={keep} />}
      {failure !== null && (
        <p role="alert" className="m-0 border-t border-line px-4 py-2.5 text-[14px] font-semibold text-stop">
          {wordsFor(failure)}
        </p>
      )}
    </div>
  );
}

/** Ctrl+V anywhere on the page lands in the intake, unless another field has the cursor. */
function usePasteAnywhere(take: (text: string) => void): void {
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => {
      const target = event.target;
      if (target instanceof HTMLElement && target.closest('input, textarea, select, [contenteditable]')) return;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      if (text.trim() === '') return;
      event.preventDefault();
      latest.current(text);
    };
    document.addEventListener('paste', paste);
    return () => document.removeEventListener('paste', paste);
  }, []);
}
