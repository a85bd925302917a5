import { recogniseKind, shippedServices, type IntakeItem, type RepairKind } from '@hapset/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, type ReactElement } from 'react';
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

/** Up to here every row is drawn; beyond, only those in sight are. */
const drawnAtOnce = 60;
/** Height of a row without repairs, pixels; real ones are measured. */
const usualHeightPx = 66;

/** What was understood, line by line: kind, repairs with a way back, duplicates with a way to keep them. */
export function IntakeReview(props: Props): ReactElement {
  return props.rows.length > drawnAtOnce ? <LongReview {...props} /> : <ShortReview {...props} />;
}

function ShortReview({ rows, onTakeBack, onKeep }: Props): ReactElement {
  return (
    <ul aria-label="What will be added" className="m-0 list-none border-t border-line p-0">
      {rows.map((row, index) => (
        <li key={index} className="border-b border-line last:border-b-0">
          <ReviewRow row={row} onTakeBack={onTakeBack} onKeep={() => onKeep(index)} />
        </li>
      ))}
    </ul>
  );
}

function LongReview({ rows, onTakeBack, onKeep }: Props): ReactElement {
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({ count: rows.length, getScrollElement: () => scroller.current, estimateSize: () => usualHeightPx, overscan: 8 });
  return (
    <div ref={scroller} tabIndex={0} aria-label="What will be added, scrolls" role="region" className="h-[56vh] overflow-y-auto border-t border-line">
      <ul aria-label="What will be added" className="relative m-0 list-none p-0" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map(({ index, start }) => {
          const row = rows[index];
          return (
            <li key={index} ref={virtual.measureElement} data-index={index} aria-setsize={rows.length} aria-posinset={index + 1} className="absolute inset-x-0 border-b border-line" style={{ transform: `translateY(${start}px)` }}>
              {row && <ReviewRow row={row} onTakeBack={onTakeBack} onKeep={() => onKeep(index)} />}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function ReviewRow({ row, onTakeBack, onKeep }: { readonly row: IntakeRowState; readonly onTakeBack: Props['onTakeBack']; readonly onKeep: () => void }): ReactElement {
  const { item } = row;
  const beside = [item.instruction, item.tags.length > 0 ? item.tags.join(', ') : null].filter((part) => part !== null);
  return (
    <div className={`flex flex-wrap gap-x-3 gap-y-1 px-4 py-2.5 sm:flex-nowrap ${row.taken ? '' : 'text-muted'}`}>
      <span className="mt-0.5 shrink-0">{item.sort === 'unusable' ? <StateMark mark="stop" words="Cannot be used" /> : <KindIcon kind={kindOf(item)} />}</span>
      <div className="min-w-0 flex-1">
        <ItemText item={item} />
        {beside.length > 0 && <p className="m-0 text-[13px] text-muted">{beside.join(' · ')}</p>}
        <Repairs row={row} onTakeBack={(kind) => onTakeBack(item.pasted, kind)} />
      </div>
      {row.duplicate !== null && (
        <label className="flex min-h-8 shrink-0 items-center gap-2 text-[13.5px]">
          {row.duplicate === 'already-here' ? 'Here already' : 'Twice in this list'}
          <span className="font-semibold text-ink">
            <input type="checkbox" checked={row.taken} onChange={onKeep} className="mr-1.5 align-[-2px] accent-ink" />
            add it all the same
          </span>
        </label>
      )}
    </div>
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
        <p className="m-0 text-[13px] text-muted">{item.title !== null && `${item.title} · `}Message: these words go into the code themselves.</p>
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
