import { columnRoles, type Columns } from '@hapset/core';
import type { ReactElement } from 'react';
import { columnWords } from '../../platform/wording/list-files.js';
import { ColumnTable } from '../../platform/table-file/column-table.js';
import type { Rows } from '../../platform/table-file/table.js';

interface Props {
  readonly rows: Rows;
  readonly columns: Columns;
  readonly onChange: (columns: Columns) => void;
}

/** What each column of a list of materials holds. */
export function ColumnMapping({ rows, columns, onChange }: Props): ReactElement {
  return (
    <div className="border-t border-line px-4 py-3">
      <ColumnTable
        rows={rows}
        roles={columns.roles}
        choices={columnRoles}
        words={columnWords}
        none="none"
        header={columns.header}
        onChange={(roles, header) => onChange({ ...columns, roles, header })}
      />
    </div>
  );
}
