import { recogniseKind, shippedServices, type IntakeItem, type RepairKind } from '@hapset/core';
import type { ReactElement } from 'react';
import { StateMark } from '../design/state-mark.js';
import { KindIcon } from '../material/kind-icon.js';
import { kindWords } from '../wording/kinds.js';
import { repairSentence, repairWords } from '../wording/repairs.js';
import type { IntakeRowState } from './new-materials.js';

interface Props {
  readonly rows: readonly IntakeRowState[];
  readonly onTakeBack: (pasted: string, kind: RepairKind) => void;
  readonly onKeep: (index: number) => void;
}

/** What was understood, line by line: kind, repairs with a way back, duplicates with a way to keep them. */
export function IntakeReview({ rows, onTakeBack, onKeep }: Props): ReactElement {
  return (
    <ul aria-label="What will be added" className="m-0 list-none border-t border-line p-0">
      {rows.map((row, index) => (
        <li key={index} className={`flex gap-3 border-b border-line px-4 py-2.5 last:border-b-0 ${row.taken ? '' : 'text-muted'}`}>
          <span className="mt-0.5 shrink-0">{row.item.sort === 'unusable' ? <StateMark mark="stop" words="Cannot be used" /> : <KindIcon kind={kindOf(row.item)} />}</span>
          <div className="min-w-0 flex-1">
            <ItemText item={row.item} />
            <Repairs row={row} onTakeBack={(kind) => onTakeBack(row.item.pasted, kind)} />
          </div>
          {row.duplicate !== null && (
            <label className="flex min-h-8 shrink-0 items-center gap-2 text-[13.5px]">
              {row.duplicate === 'already-here' ? 'Here already' : 'Twice in this list'}
              <span className="font-semibold text-ink">
                <input type="checkbox" checked={row.taken} onChange={() => onKeep(index)} className="mr-1.5 align-[-2px] accent-ink" />
                add it all the same
              </span>
            </label>
          )}
        </li>
      ))}
    </ul>
  );
}

function kindOf(item: Exclude<IntakeItem, { sort: 'unusable' }>): Parameters<typeof KindIcon>[0]['kind'] {
  return item.sort === 'words' ? 'message' : recogniseKind(item.link, shippedServices);
}

function ItemText({ item }: { readonly item: IntakeItem }): ReactElement {
  if (item.sort === 'words') {
    return (
      <>
        <p className="m-0 text-[14.5px] break-words">{item.words}</p>
        <p className="m-0 text-[13px] text-muted">Message: these words go into the code themselves.</p>
      </>
    );
  }
  if (item.sort === 'unusable') {
    return (
      <>
        <p className="m-0 font-mono text-[13.5px] break-all">{item.pasted}</p>
        <p className="m-0 text-[13.5px] text-stop">
          {item.problem === 'scheme-not-web' ? 'Phones open only addresses that begin with http or https.' : 'This is no whole address. Copy it once more from the address bar.'}
        </p>
      </>
    );
  }
  return (
    <>
      <p className="m-0 font-mono text-[13.5px] break-all">{item.link}</p>
      <p className="m-0 text-[13px] text-muted">{[kindWords[recogniseKind(item.link, shippedServices)], item.title].filter((part) => part !== null).join(' · ')}</p>
    </>
  );
}

function Repairs({ row, onTakeBack }: { readonly row: IntakeRowState; readonly onTakeBack: (kind: RepairKind) => void }): ReactElement | null {
  const repairs = row.item.sort === 'link' ? row.item.repairs : [];
  if (repairs.length + row.takenBack.length === 0) return null;
  return (
    <ul aria-label="Repairs" className="m-0 mt-1 flex list-none flex-wrap gap-x-4 gap-y-1 p-0 text-[13.5px]">
      {repairs.map((repair) => {
        const { words, what } = repairSentence(repair);
        return (
          <li key={repair.kind} className="flex items-center gap-1.5">
            <span className="text-done">
              Repaired: {words} {what !== '' && <span className="font-mono break-all">{what}</span>}
            </span>
            <button type="button" className="min-h-8 px-1 font-semibold underline" onClick={() => onTakeBack(repair.kind)}>
              Take back
            </button>
          </li>
        );
      })}
      {row.takenBack.map((kind) => (
        <li key={kind} className="flex items-center gap-1.5">
          <span className="text-muted">Left as it was: {repairWords[kind]}</span>
          <button type="button" className="min-h-8 px-1 font-semibold underline" onClick={() => onTakeBack(kind)}>
            Repair again
          </button>
        </li>
      ))}
    </ul>
  );
}
