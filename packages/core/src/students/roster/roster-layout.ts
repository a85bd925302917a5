/** What the columns and rows of a table hold of a school's students. */
export const rosterRoles = [
  'id',
  'name',
  'familyFirst',
  'prefix',
  'given',
  'middle',
  'family',
  'class',
  'year',
  'none',
] as const;
/** What a column holds; `name` and `familyFirst` are whole names in one cell. */
export type RosterRole = (typeof rosterRoles)[number];
/** A role that means something. */
export type NamedRole = Exclude<RosterRole, 'none'>;

/** Cells of a table, row by row. */
export type RosterRows = readonly (readonly string[])[];

/** A row that names the class of the rows below it. */
export interface ClassRow {
  /** From 0. */
  readonly row: number;
  readonly className: string;
}

/** What each column holds, and which rows are no students. */
export interface RosterLayout {
  /** One for each column. A role but `none` is held by one column at most. */
  readonly roles: readonly RosterRole[];
  /** Rows that name the columns, from 0, one below the other; empty where none does. */
  readonly headRows: readonly number[];
  /** Titles, totals, heads that are repeated, from 0. Rows without a text need not be among them. */
  readonly leftOut: readonly number[];
  readonly classRows: readonly ClassRow[];
}
