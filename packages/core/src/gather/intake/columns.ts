/**
 * A list out of a spreadsheet: which column holds what, guessed by its heading or its cells, and the things it lists.
 * The guess is shown and can be changed; cells come from whoever parsed the file or the clipboard.
 */
import { holdsAddress } from '../paste/read-intake.js';
import { readTags } from './tags.js';
import { readItem } from '../paste/readings.js';
import type { IntakeAnswer, IntakeItem } from '../paste/intake-item.js';
import type { IsListedHost } from '../service-description/listed-hosts.js';

/** What a column of a pasted table holds. */
export const columnRoles = ['what', 'title', 'instruction', 'tags', 'none'] as const;
/** `what`: the link or the words that students open. */
export type ColumnRole = (typeof columnRoles)[number];

/** What each column holds, and whether the first row says so. */
export interface Columns {
  /** True when the first row names the columns. */
  readonly header: boolean;
  readonly roles: readonly ColumnRole[];
}

type Rows = readonly (readonly string[])[];

// Headings as teachers write them, in the languages of the first schools. Compared without case and accents.
const headings: Readonly<Record<Exclude<ColumnRole, 'none'>, readonly string[]>> = {
  what: [
    'link',
    'url',
    'address',
    'web address',
    'adresse',
    'lien',
    'enlace',
    'message',
    'text',
    'words',
    'nachricht',
    'texte',
    'texto',
  ],
  title: ['title', 'name', 'station', 'titel', 'titre', 'titulo', 'nom', 'nombre'],
  instruction: [
    'instruction',
    'instructions',
    'task',
    'what to do',
    'aufgabe',
    'anweisung',
    'consigne',
    'tarea',
    'instruccion',
  ],
  tags: ['tags', 'tag', 'collection', 'stichworte', 'etiquettes', 'etiquetas'],
};

/** Guesses what each column holds. */
export function guessColumns(rows: Rows): Columns {
  const width = Math.max(0, ...rows.map((row) => row.length));
  const named = Array.from({ length: width }, (_, column) => roleOfHeading(rows[0]?.[column] ?? ''));
  const header = named.some((role) => role !== 'none') && !(rows[0] ?? []).some((cell) => holdsAddress(cell));
  const roles: ColumnRole[] = header ? keepFirst(named) : Array.from({ length: width }, () => 'none' as const);
  const body = header ? rows.slice(1) : rows;
  if (!roles.includes('what')) {
    const most = fullest(width, (column) => (roles[column] === 'none' ? count(body, column, holdsAddress) : -1));
    roles[most] = 'what';
  }
  // Without headings the free columns follow in the order in which lists are written: title, then what to do.
  for (const role of header ? [] : (['title', 'instruction'] as const)) {
    const next = roles.findIndex(
      (taken, column) => taken === 'none' && count(body, column, (cell) => cell.trim() !== '') > body.length / 3,
    );
    if (next >= 0) roles[next] = role;
  }
  return { header, roles };
}

/** True where the cells look like a list of things with their titles, rather than sentences with commas. */
export function looksLikeList(rows: Rows): boolean {
  const { header, roles } = guessColumns(rows);
  const body = header ? rows.slice(1) : rows;
  const what = roles.indexOf('what');
  if (body.length === 0 || roles.length < 2) return false;
  // A stray comma in one line of many makes no columns: nearly all rows must have as many cells, and more than one.
  const even = body.filter((row) => row.length === roles.length).length >= body.length * 0.8;
  return even && (header || count(body, what, holdsAddress) >= body.length * 0.6);
}

/** The items that the rows list; rows without a link or words are left out. @param isListed hosts that the school named */
export function readColumns(rows: Rows, columns: Columns, isListed: IsListedHost = () => false): readonly IntakeItem[] {
  return bodyOf(rows, columns).flatMap((row) => readRow(row, columns.roles, isListed));
}

/** The rows that list something: without the heading, and without those that have no link or words. */
export function bodyOf(rows: Rows, { header, roles }: Columns): Rows {
  const what = roles.indexOf('what');
  return (header ? rows.slice(1) : rows).filter((row) => (row[what] ?? '').trim() !== '');
}

/** What one row lists: one item, or as many as there are links in its cell. */
export function readRow(
  row: readonly string[],
  roles: readonly ColumnRole[],
  isListed: IsListedHost,
): readonly IntakeItem[] {
  const cell = (role: ColumnRole): string => (row[roles.indexOf(role)] ?? '').trim().normalize('NFC');
  const [instruction, tags] = [cell('instruction') || null, readTags(cell('tags'))];
  const withRow = <Item extends IntakeItem>(item: Item): Item => ({
    ...item,
    title: cell('title') || item.title,
    instruction,
    tags,
  });
  return readItem(cell('what'), isListed).map((item) =>
    item.kind === 'question'
      ? {
          ...withRow(item),
          readings: [item.readings[0].map(withRow<IntakeAnswer>), item.readings[1].map(withRow<IntakeAnswer>)],
        }
      : withRow(item),
  );
}

function roleOfHeading(text: string): ColumnRole {
  const plain = text.trim().toLowerCase().normalize('NFD').replace(/\p{M}/gu, '');
  const found = Object.entries(headings).find(([, words]) => words.includes(plain));
  return found ? (found[0] as ColumnRole) : 'none';
}

/** Each role once: a second column of the same heading is not used. */
function keepFirst(roles: readonly ColumnRole[]): ColumnRole[] {
  return roles.map((role, column) => (role !== 'none' && roles.indexOf(role) !== column ? 'none' : role));
}

function count(rows: Rows, column: number, test: (cell: string) => boolean): number {
  return rows.filter((row) => test(row[column] ?? '')).length;
}

function fullest(width: number, score: (column: number) => number): number {
  return Array.from({ length: width }, (_, column) => column).reduce(
    (best, column) => (score(column) > score(best) ? column : best),
    0,
  );
}
