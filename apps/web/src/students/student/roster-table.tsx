/** What columns and rows of a list hold, over its first rows and those that are no students. */
import { rosterRoles, type RosterRole } from '@hapset/core';
import { EyeOff, Heading } from 'lucide';
import type { ReactElement } from 'react';
import { Icon, type IconNode } from '../../platform/design/icon.js';
import { SelectInput } from '../../platform/design/inputs.js';
import type { Rows } from '../../platform/table-file/table.js';
import { rosterRoleWords } from '../../platform/wording/students.js';
import { t } from '../words.js';
import type { RosterLayoutHandle } from './use-roster-layout.js';

const rowsShown = 6;
const oddRowsShown = 12;

type RowKind = 'head' | 'class' | 'left-out' | 'student';

export function RosterTable({
  rows,
  handle,
}: {
  readonly rows: Rows;
  readonly handle: RosterLayoutHandle;
}): ReactElement {
  const { layout } = handle;
  const kindOf = (row: number): RowKind =>
    layout.headRows.includes(row)
      ? 'head'
      : layout.leftOut.includes(row)
        ? 'left-out'
        : layout.classRows.some((one) => one.row === row)
          ? 'class'
          : 'student';
  const { shown, hidden } = rowsToShow(rows, kindOf);
  return (
    <div className="overflow-x-auto">
      <table className="border-separate border-spacing-x-2 border-spacing-y-0 text-left text-small">
        <thead>
          <tr>
            <td />
            {layout.roles.map((role, column) => (
              <ColumnHead key={column} column={column} role={role} handle={handle} />
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <TableRow key={row} row={row} kind={kindOf(row)} cells={rows[row] ?? []} handle={handle} />
          ))}
        </tbody>
      </table>
      {hidden > 0 && <p className="m-0 mt-1 text-small text-muted">{t('rosterTable.moreRows', { count: hidden })}</p>}
    </div>
  );
}

/** The first rows, and further down those that are no students. */
function rowsToShow(
  rows: Rows,
  kindOf: (row: number) => RowKind,
): { readonly shown: readonly number[]; readonly hidden: number } {
  const filled = rows.flatMap((cells, row) => (cells.some((cell) => cell.trim() !== '') ? [row] : []));
  const first = filled.slice(0, rowsShown);
  const odd = filled
    .slice(rowsShown)
    .filter((row) => kindOf(row) !== 'student')
    .slice(0, oddRowsShown);
  return { shown: [...first, ...odd], hidden: filled.length - first.length - odd.length };
}

function ColumnHead({
  column,
  role,
  handle: { choose, leaveOutColumn, certainty },
}: {
  readonly column: number;
  readonly role: RosterRole;
  readonly handle: RosterLayoutHandle;
}): ReactElement {
  const isOut = role === 'none';
  return (
    <th className="min-w-48 pb-1.5 align-top font-normal">
      <span className="flex items-center gap-1">
        <SelectInput
          aria-label={t('rosterTable.column', { number: column + 1 })}
          value={role}
          onChange={(event) => choose(column, event.target.value as RosterRole)}
          marked={!isOut}
          className="w-full text-row font-semibold"
        >
          {rosterRoles.map((choice) => (
            <option key={choice} value={choice}>
              {rosterRoleWords[choice]}
            </option>
          ))}
        </SelectInput>
        <RowButton
          icon={EyeOff}
          label={t('rosterTable.leaveOutColumn', { number: column + 1 })}
          pressed={isOut}
          onClick={() => leaveOutColumn(column)}
        />
      </span>
      <Certainty value={certainty[column] ?? 1} isOut={isOut} />
    </th>
  );
}

const sure = 0.9;
const likely = 0.65;

/** How sure the column's role is, in words. */
function Certainty({ value, isOut }: { readonly value: number; readonly isOut: boolean }): ReactElement {
  if (isOut && value >= likely) return <span className="pl-2 text-note text-muted">{'\u00a0'}</span>;
  const words =
    value >= sure ? t('rosterTable.sure') : value >= likely ? t('rosterTable.likely') : t('rosterTable.pleaseCheck');
  return <span className={`pl-2 text-note ${value >= likely ? 'text-muted' : 'font-semibold text-ink'}`}>{words}</span>;
}

const rowClasses: Readonly<Record<RowKind, string>> = {
  head: 'font-semibold text-muted',
  class: 'font-semibold',
  'left-out': 'text-muted line-through',
  student: '',
};

function TableRow({
  row,
  kind,
  cells,
  handle: { layout, makeHead, leaveOutRow },
}: {
  readonly row: number;
  readonly kind: RowKind;
  readonly cells: readonly string[];
  readonly handle: RosterLayoutHandle;
}): ReactElement {
  const number = row + 1;
  return (
    <tr>
      <td className="whitespace-nowrap py-0.5 text-muted">
        <span className="inline-flex items-center gap-0.5">
          <span className="inline-block min-w-6 text-right tabular-nums">{number}</span>
          <RowButton
            icon={Heading}
            label={t('rosterTable.useRowAsHeader', { number })}
            pressed={kind === 'head'}
            onClick={() => makeHead(row)}
          />
          {kind !== 'head' && (
            <RowButton
              icon={EyeOff}
              label={t('rosterTable.leaveOutRow', { number })}
              pressed={kind === 'left-out'}
              onClick={() => leaveOutRow(row)}
            />
          )}
        </span>
      </td>
      {kind === 'class' ? (
        <td colSpan={layout.roles.length} className={`py-0.5 pl-2 ${rowClasses.class}`}>
          {t('rosterTable.classOfRowsBelow', {
            className: layout.classRows.find((one) => one.row === row)?.className ?? '',
          })}
        </td>
      ) : (
        layout.roles.map((role, column) => (
          <td
            key={column}
            className={`max-w-60 truncate py-0.5 pl-2 ${role === 'none' ? 'text-muted' : ''} ${rowClasses[kind]}`}
          >
            {cells[column] ?? ''}
          </td>
        ))
      )}
    </tr>
  );
}

function RowButton({
  icon,
  label,
  pressed,
  onClick,
}: {
  readonly icon: IconNode;
  readonly label: string;
  readonly pressed: boolean;
  readonly onClick: () => void;
}): ReactElement {
  return (
    <button
      type="button"
      aria-label={label}
      aria-pressed={pressed}
      title={label}
      onClick={onClick}
      className={`grid size-7 shrink-0 place-items-center rounded-small hover:bg-ink/8 ${pressed ? 'bg-ink/8 text-ink' : 'text-muted'}`}
    >
      <Icon icon={icon} size={15} />
    </button>
  );
}
