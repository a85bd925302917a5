/** Column shapes that every entity shares. */
import { v7 } from 'uuid';
import type { ColumnOptions } from 'typeorm';

/** UUIDv7: in the order in which rows were made. */
export function newId(): string {
  return v7();
}

export const idColumn = {
  type: 'char',
  length: 36,
  charset: 'ascii',
  collation: 'ascii_bin',
} as const satisfies ColumnOptions;
export const optionalIdColumn: ColumnOptions = { ...idColumn, nullable: true };
/** Words of our own unions, tokens, dates as text: plain ASCII, compared byte by byte. */
export const keywordColumn = (length: number) =>
  ({ type: 'varchar', length, charset: 'ascii', collation: 'ascii_bin' }) as const satisfies ColumnOptions;
/** Words of people, up to so many characters: a limit of the contract or the core, where somebody sends them. */
export const textColumn = (length: number) => ({ type: 'varchar', length }) as const satisfies ColumnOptions;
export const timeColumn: ColumnOptions = { type: 'datetime', precision: 3 };
export const optionalTimeColumn: ColumnOptions = { type: 'datetime', precision: 3, nullable: true };
