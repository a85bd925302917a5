import { columnRoles, type ColumnRole, type Columns } from '@hapset/core';
import type { ReactElement } from 'react';
import { columnWords } from '../wording/list-files.js';
import type { Rows } from './table.js';

const rowsShown = 4;

interface Props {
  readonly rows: Rows;
  readonly columns: Columns;
  readonly onChange: (columns: Columns) => void;
}

/** What each column of a list holds, over its first rows. A role is held by one column at a time. */
export function ColumnMapping({ rows, columns, onChange }: Props): ReactElement {
  const choose = (column: number, role: ColumnRole): void => onChange({ ...columns, roles: columns.roles.map((held, index) => (index === column ? role : held === role ? 'none' : held)) });
  return (
    <div className="overflow-x-auto border-t border-line px-4 py-3">
      <table className="border-separate border-spacing-x-2 border-spacing-y-0 text-left text-[13.5px]">
        <thead>
          <tr>
            {columns.roles.map((role, column) => (
              <th key={column} className="min-w-36 pb-1.5 font-normal">
                <select aria-label={`Column ${column + 1}`} value={role} onChange={(event) => choose(column, event.target.value as ColumnRole)} className={`min-h-9 w-full rounded-small border px-2 text-[14px] font-semibold ${role === 'none' ? 'border-line-strong bg-sheet' : 'border-marker-line bg-marker-soft'}`}>
                  {columnRoles.map((choice) => (
                    <option key={choice} value={choice}>
                      {columnWords[choice]}
                    </option>
                  ))}
                </select>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, rowsShown).map((row, index) => (
            <tr key={index} className={columns.header && index === 0 ? 'font-semibold text-muted' : ''}>
              {columns.roles.map((role, column) => (
                <td key={column} className={`max-w-60 truncate py-0.5 pl-2 ${role === 'none' ? 'text-muted' : ''}`}>
                  {row[column] ?? ''}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <label className="mt-2 flex min-h-8 items-center gap-2 text-[14px]">
        <input type="checkbox" checked={columns.header} onChange={(event) => onChange({ ...columns, header: event.target.checked })} className="accent-ink" /> The first row names the columns
      </label>
    </div>
  );
}
