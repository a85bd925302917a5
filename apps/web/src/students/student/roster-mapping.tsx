import { rosterRoles, type RosterColumns, type RosterRole } from '@hapset/core';
import type { ReactElement } from 'react';
import { ColumnTable } from '../../platform/table-file/column-table.js';
import type { Rows } from '../../platform/table-file/table.js';
import { rosterRoleWords } from '../../platform/wording/students.js';

/** What each column of a roster holds. */
export function RosterMapping({
  rows,
  columns: { roles, header },
  onChange,
}: {
  readonly rows: Rows;
  readonly columns: RosterColumns;
  readonly onChange: (columns: RosterColumns) => void;
}): ReactElement {
  return (
    <ColumnTable
      rows={rows.filter((row) => row.some((cell) => cell.trim() !== ''))}
      roles={roles}
      choices={rosterRoles}
      words={rosterRoleWords}
      none={'none' satisfies RosterRole}
      header={header}
      onChange={(next, named) => onChange({ roles: next, header: named })}
    />
  );
}
