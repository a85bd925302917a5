/**
 * What columns and rows of a list hold: understood, or as somebody said. What was said of columns is kept as a draft for lists
 * with the same columns; the cells themselves, with names of students, are never kept.
 */
import { rosterRoles, understandRoster, type RosterLayout, type RosterRole, type UnderstoodRoster } from '@hapset/core';
import { useMemo, useState } from 'react';
import { useDraft, type DraftHandle } from '../../platform/draft/use-draft.js';
import type { Rows } from '../../platform/table-file/table.js';
import { useOwnPlace } from '../../school/account/use-own-place.js';

export interface RosterLayoutHandle {
  readonly layout: RosterLayout;
  /** Of each column, 0 to 1; 1 where somebody chose. */
  readonly certainty: readonly number[];
  readonly choose: (column: number, role: RosterRole) => void;
  /** Back to what was understood where the column is left out already. */
  readonly leaveOutColumn: (column: number) => void;
  /** No row is the head where that one is. */
  readonly makeHead: (row: number) => void;
  readonly leaveOutRow: (row: number) => void;
  readonly useRoles: (roles: readonly RosterRole[]) => void;
  readonly draft: DraftHandle<readonly RosterRole[]>;
}

export function useRosterLayout(rows: Rows): RosterLayoutHandle {
  const [headRow, setHeadRow] = useState<number | null | undefined>(undefined);
  const [roles, setRoles] = useState<readonly RosterRole[] | null>(null);
  const [turned, setTurned] = useState<readonly number[]>([]);
  const understood = useMemo(() => understandRoster(rows, headRow === undefined ? {} : { headRow }), [rows, headRow]);
  const layout = useMemo(
    () => withTurned({ ...understood, roles: roles ?? understood.roles }, turned),
    [understood, roles, turned],
  );
  const choose = (column: number, role: RosterRole): void =>
    setRoles(layout.roles.map((held, index) => (index === column ? role : held === role ? 'none' : held)));
  const isRoles = (value: unknown): value is readonly RosterRole[] =>
    Array.isArray(value) &&
    value.length === understood.roles.length &&
    value.every((role) => rosterRoles.includes(role as RosterRole));
  const place = useOwnPlace(`roster columns ${understood.roles.join('-')}`);
  return {
    layout,
    certainty: understood.certainty.map((one, column) =>
      roles !== null && roles[column] !== understood.roles[column] ? 1 : one,
    ),
    choose,
    leaveOutColumn: (column) =>
      choose(column, layout.roles[column] === 'none' ? (understood.roles[column] ?? 'none') : 'none'),
    makeHead: (row) => {
      setHeadRow(layout.headRows.includes(row) ? null : row);
      setRoles(null);
      setTurned([]);
    },
    leaveOutRow: (row) => setTurned(turned.includes(row) ? turned.filter((one) => one !== row) : [...turned, row]),
    useRoles: setRoles,
    draft: useDraft(place, roles, isRoles),
  };
}

/** Rows that are students are left out, and those that were left out are students. */
function withTurned(understood: UnderstoodRoster, turned: readonly number[]): RosterLayout {
  const { roles, headRows, leftOut, classRows } = understood;
  const isStudent = (row: number): boolean => !leftOut.includes(row);
  return {
    roles,
    headRows,
    leftOut: [...leftOut.filter((row) => !turned.includes(row)), ...turned.filter(isStudent)],
    classRows: classRows.filter(({ row }) => !turned.includes(row)),
  };
}
