import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { routes, type BenchRow } from '@hapset/contract';
import { MoreHorizontal } from 'lucide';
import { useState, type ReactElement, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Menu } from '../../platform/design/menu.js';
import { KindIcon } from '../../gather/material/kind-icon.js';
import { AnswerCell } from '../readiness/answer-cell.js';
import { carriesWords, opensWords, paperWords, readsWords } from '../readiness/answers.js';
import { WithView } from '../../opens/access-check/with-view.js';
import { CodePicture } from '../../code/symbol/code-picture.js';
import { useRemoval } from '../../platform/undo/use-removal.js';
import { kindWords } from '../../platform/wording/kinds.js';
import { rowId } from './row-in-sight.js';
import { RenameStation } from './rename-station.js';
import { Icon } from '../../platform/design/icon.js';
import { t } from '../words.js';

/** Header and rows share these columns. */
export const benchColumns = 'lg:grid-cols-[minmax(320px,1.75fr)_1.15fr_1fr_1.1fr_0.85fr_40px] lg:gap-x-3';

interface Props {
  readonly lessonId: string;
  readonly row: BenchRow;
  readonly last: boolean;
  readonly rehearsing: boolean;
  readonly onMove: (by: number) => void;
}

export function BenchTableRow({ lessonId, row, last, rehearsing, onMove }: Props): ReactElement {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: row.stationId,
  });
  const [renaming, setRenaming] = useState(false);
  const page = `/lessons/${lessonId}/stations/${row.stationId}`;
  return (
    <div
      ref={setNodeRef}
      id={rowId(row.stationId)}
      role="row"
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`relative grid grid-cols-2 items-center gap-x-3 gap-y-2.5 px-3.5 py-3 lg:gap-y-0 lg:px-0 lg:py-0 ${benchColumns} ${last ? '' : 'border-b border-line'} ${isDragging ? 'z-10 bg-marker-soft shadow-float' : 'bg-sheet focus-within:bg-marker-soft hover:bg-marker-soft'}`}
    >
      <div
        role="cell"
        className="col-span-2 flex min-w-0 items-center gap-3.5 pr-9 lg:col-span-1 lg:min-h-16 lg:pr-0 lg:pl-3.5"
      >
        <button
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          className="flex h-8 w-7 shrink-0 cursor-grab touch-none items-center justify-center bg-[linear-gradient(to_bottom,transparent_22%,var(--color-marker)_22%,var(--color-marker)_82%,transparent_82%)] text-field font-bold text-on-marker"
          aria-label={t('benchTableRow.stationMove', { position: row.position, name: row.name })}
          title={t('benchTableRow.dragOrPressSpaceAnd')}
        >
          {row.position}
        </button>
        <Station row={row} page={page} renaming={renaming} onRenamed={() => setRenaming(false)} />
      </div>
      <Answers row={row} page={page} rehearsing={rehearsing} />
      <More row={row} last={last} onMove={onMove} onRename={() => setRenaming(true)} />
    </div>
  );
}

/** Its code, its name and what it is. */
function Station({
  row,
  page,
  renaming,
  onRenamed,
}: {
  readonly row: BenchRow;
  readonly page: string;
  readonly renaming: boolean;
  readonly onRenamed: () => void;
}): ReactElement {
  const { kind, at } = row.material;
  return (
    <>
      {row.code ? (
        <CodePicture drawing={row.code.drawing} label="" className="size-[46px] shrink-0" />
      ) : (
        <span className="size-[46px] shrink-0 rounded-fine border border-dashed border-line-strong" />
      )}
      <span className="min-w-0 leading-snug">
        {renaming ? (
          <RenameStation row={row} onDone={onRenamed} />
        ) : (
          <Link to={page} className="block truncate text-lead font-semibold text-ink no-underline hover:underline">
            {row.name}
          </Link>
        )}
        <span className="flex items-center gap-1.5 truncate text-small text-muted">
          <KindIcon kind={kind} /> {[kindWords[kind], at?.service ?? null].filter((part) => part !== null).join(' · ')}
        </span>
      </span>
    </>
  );
}

function Answers({
  row: { readiness, material, code, name },
  page,
  rehearsing,
}: {
  readonly row: BenchRow;
  readonly page: string;
  readonly rehearsing: boolean;
}): ReactElement {
  return (
    <>
      <Cell to={`${page}#opens`} view={{ viewId: readiness.opens.viewId, name }}>
        <AnswerCell question={t('benchTableRow.opens')} answer={opensWords(readiness.opens)} />
      </Cell>
      <Cell to={`${page}#carries`}>
        <AnswerCell question={t('benchTableRow.code')} answer={carriesWords(readiness.carries, material.kind)} />
      </Cell>
      <Cell to={`${page}#reads`}>
        <AnswerCell
          question={t('benchTableRow.reads')}
          answer={readsWords(readiness.reads, rehearsing && code !== null)}
        />
      </Cell>
      <Cell to={`${page}#paper`}>
        <AnswerCell question={t('benchTableRow.onPaper')} answer={paperWords(readiness.paper)} />
      </Cell>
    </>
  );
}

function More({
  row,
  last,
  onMove,
  onRename,
}: Pick<Props, 'row' | 'last' | 'onMove'> & { readonly onRename: () => void }): ReactElement {
  const removal = useRemoval({
    remove: routes.removeStation,
    restore: routes.restoreStation,
    params: { stationId: row.stationId },
    words: t('benchTableRow.wasRemovedItStaysOn', { name: row.name }),
  });
  return (
    <div role="cell" className="absolute top-3 right-2 lg:static">
      <Menu
        label={t('benchTableRow.moreFor', { name: row.name })}
        entries={[
          { label: t('benchTableRow.rename'), onSelect: onRename },
          { label: t('benchTableRow.moveUp'), onSelect: () => onMove(-1), disabled: row.position === 1 },
          { label: t('benchTableRow.moveDown'), onSelect: () => onMove(1), disabled: last },
          { label: t('benchTableRow.remove'), onSelect: removal.run, danger: true },
        ]}
      >
        <Icon icon={MoreHorizontal} size={17} />
      </Menu>
    </div>
  );
}

function Cell({
  to,
  view,
  children,
}: {
  readonly to: string;
  /** What a student sees, to be shown on pointing at it. */
  readonly view?: { readonly viewId: string | null; readonly name: string };
  readonly children: ReactNode;
}): ReactElement {
  return (
    <div role="cell" className="min-w-0">
      <WithView viewId={view?.viewId ?? null} name={view?.name ?? ''}>
        <Link to={to} className="flex min-h-9 items-center text-ink no-underline lg:min-h-16">
          {children}
        </Link>
      </WithView>
    </div>
  );
}
