/** What each column of a table holds, over its first rows. A role is held by one column at a time. */
import type { ReactElement } from 'react';
import { Tick } from '../design/tick.js';
import type { Rows } from './table.js';
import { SelectInput } from '../design/inputs.js';
import { t } from '../language/words.js';

const rowsShown = 4;

interface Props<Role extends string> {
  readonly rows: Rows;
  readonly roles: readonly Role[];
  readonly choices: readonly Role[];
  readonly words: Readonly<Record<Role, string>>;
  /** Of columns that are not used. */
  readonly none: Role;
  /** The first row names the columns. */
  readonly header: boolean;
  readonly onChange: (roles: readonly Role[], header: boolean) => void;
}

export function ColumnTable<Role extends string>({
  rows,
  roles,
  choices,
  words,
  none,
  header,
  onChange,
}: Props<Role>): ReactElement {
  const choose = (column: number, role: Role): void =>
    onChange(
      roles.map((held, index) => (index === column ? role : held === role ? none : held)),
      header,
    );
  return (
    <div className="overflow-x-auto">
      <table className="border-separate border-spacing-x-2 border-spacing-y-0 text-left text-small">
        <thead>
          <tr>
            {roles.map((role, column) => (
              <th key={column} className="min-w-36 pb-1.5 font-normal">
                <SelectInput
                  aria-label={t('columnTable.column', { number: column + 1 })}
                  value={role}
                  onChange={(event) => choose(column, event.target.value as Role)}
                  marked={role !== none}
                  className="w-full text-row font-semibold"
                >
                  {choices.map((choice) => (
                    <option key={choice} value={choice}>
                      {words[choice]}
                    </option>
                  ))}
                </SelectInput>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, rowsShown).map((row, index) => (
            <tr key={index} className={header && index === 0 ? 'font-semibold text-muted' : ''}>
              {roles.map((role, column) => (
                <td key={column} className={`max-w-60 truncate py-0.5 pl-2 ${role === none ? 'text-muted' : ''}`}>
                  {row[column] ?? ''}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Tick words={t('columnTable.firstRowIsAHeader')} ticked={header} onTick={(ticked) => onChange(roles, ticked)} />
    </div>
  );
}
