/**
 * Which columns of a table hold what of a student, and which rows are students. Everything is weighed together: a head says
 * what a column may be, what is in the column says how well that fits, and the row of heads is the one that makes the most sense
 * of the rows below it. A wrong guess is put right by hand; a right one saves a teacher the whole dialog.
 */
import { assignRoles, type Assignment } from './assign-roles.js';
import { figuresOf, lookAt, scoreColumn, type CellLook } from './column-scores.js';
import { headKey, scoreHead, type HeadScores, type RoleScores } from './head-scores.js';
import type { ClassRow, NamedRole, RosterLayout, RosterRole, RosterRows } from '../roster/roster-layout.js';
import { classOfHeading, classOfTitle, filledOf, isFooter, isSameHead, isSparse, usualFill } from './row-kinds.js';

/** A layout with how sure it is. */
export interface UnderstoodRoster extends RosterLayout {
  /** Of the role of each column, 0 to 1: how far the next best understanding falls behind. */
  readonly certainty: readonly number[];
  /** How much sense the table makes as a roster; comparable between tables. */
  readonly score: number;
}

/** Rows that are looked at for the columns, and those among which the heads are. */
const looked = 200;
const headsWithin = 10;

/** What somebody has said already. */
export interface RosterHints {
  /** The row of the heads, from 0; null for none. Left out, it is looked for. */
  readonly headRow?: number | null;
}

/** @param rows as the file has them, with their empty rows */
export function understandRoster(rows: RosterRows, hints: RosterHints = {}): UnderstoodRoster {
  const table = prepare(rows);
  const candidates =
    hints.headRow === undefined ? headCandidates(table) : [hints.headRow === null ? [] : [hints.headRow]];
  const tried = candidates.map((heads) => tryHeads(table, heads));
  const best = tried.reduce((one, other) => (other.total > one.total ? other : one));
  const { leftOut, classRows } = kindsOfRows(table, best);
  return {
    roles: best.assignment.roles,
    headRows: best.heads,
    leftOut,
    classRows,
    certainty: certaintyOf(best),
    score: best.total,
  };
}

/** What a later sheet has to be better by: exports put their list first. */
const headStart = 4;

/** @param tables sheets of a workbook @returns the number of the one that is most like a roster, from 0 */
export function likeliestRoster(tables: readonly RosterRows[]): number {
  const scores = tables.map((rows) => understandRoster(rows.slice(0, looked)).score + Math.log2(1 + rows.length));
  return scores.reduce((best, score, index) => (score > (scores[best] ?? 0) + headStart ? index : best), 0);
}

interface Table {
  readonly rows: RosterRows;
  readonly width: number;
  readonly usual: number;
  /** Rows with a text, from 0. */
  readonly filled: readonly number[];
  /** Of the rows that are looked at. */
  readonly looks: ReadonlyMap<number, readonly CellLook[]>;
}

interface Tried {
  readonly heads: readonly number[];
  /** Of a single row of heads, to find it again further down. */
  readonly headKeys: readonly string[];
  readonly scores: readonly RoleScores[];
  readonly assignment: Assignment;
  readonly total: number;
}

function prepare(rows: RosterRows): Table {
  const filled = rows.flatMap((row, index) => (row.some((cell) => cell.trim() !== '') ? [index] : []));
  const first = filled.slice(0, looked);
  const width = Math.max(0, ...first.map((index) => rows[index]?.length ?? 0));
  const usual = usualFill(first.map((index) => rows[index] ?? []));
  const looks = new Map(
    first.map((index) => [index, Array.from({ length: width }, (_, column) => lookAt(rows[index]?.[column] ?? ''))]),
  );
  return { rows, width, usual, filled, looks };
}

/** No heads, each of the first rows, and two of them one below the other. */
function headCandidates({ rows, filled, usual }: Table): readonly (readonly number[])[] {
  const near = filled.slice(0, headsWithin);
  const singles = near.map((row) => [row]);
  const pairs = near.slice(1).flatMap((row, index) => {
    const above = near[index] ?? 0;
    return row === above + 1 && filledOf(rows[above] ?? []).length > 1 && usual > 1 ? [[above, row]] : [];
  });
  return [[], ...singles, ...pairs];
}

function tryHeads(table: Table, heads: readonly number[]): Tried {
  const { rows, width, looks, usual } = table;
  const from = heads.at(-1) ?? -1;
  const headTexts = headTextsOf(table, heads);
  const headKeys = heads.length === 1 ? headTexts.map(headKey) : [];
  const body = [...looks].filter(
    ([index]) =>
      index > from &&
      !isSparse(rows[index] ?? [], usual) &&
      !isFooter(rows[index] ?? [], usual) &&
      !isSameHead(rows[index] ?? [], headKeys),
  );
  const saying = headTexts.map(scoreHead);
  const scores = Array.from({ length: width }, (_, column) => {
    const cells = body
      .map(([, row]) => row[column])
      .filter((look): look is CellLook => look !== undefined && look.text !== '');
    return together(saying[column], scoreColumn(figuresOf(cells, body.length)), {
      named: heads.length > 0 && headTexts[column] !== '',
      empty: cells.length === 0,
    });
  });
  const assignment = assignRoles(scores);
  const total = assignment.score + scoreOfHeads(table, heads, { saying, headKeys }) + scoreOfRowsAbove(table, heads);
  return { heads, headKeys, scores, assignment, total };
}

/** Of two rows of heads, the upper one counts for the columns right of it too, as merged cells do. */
function headTextsOf({ rows, width }: Table, heads: readonly number[]): readonly string[] {
  const cells = heads.map((head) => Array.from({ length: width }, (_, column) => (rows[head]?.[column] ?? '').trim()));
  if (cells.length < 2) return cells[0] ?? [];
  const [upper = [], lower = []] = cells;
  let held = '';
  return lower.map((text, column) => {
    if (upper[column] !== '') held = upper[column] ?? '';
    return `${held} ${text}`.trim();
  });
}

/** What the head of a column says, and what is in it. Without a head that is known, what is in it counts less. */
function together(
  head: HeadScores | undefined,
  content: Required<RoleScores>,
  { named, empty }: { readonly named: boolean; readonly empty: boolean },
): RoleScores {
  if (head?.other === true) return {};
  const roles = Object.keys(content) as NamedRole[];
  const entries = roles.flatMap((role): readonly (readonly [NamedRole, number])[] => {
    const said = head?.scores[role];
    if (said !== undefined) return [[role, said + (empty ? -2 : Math.max(-4.5, content[role]))]];
    // A head that means something else, or that nobody knows, speaks against a guess.
    const against = head?.known === true ? 3.5 : named ? 1.6 : 0;
    const fits = content[role] - against;
    return fits > 0 && !empty ? [[role, fits]] : [];
  });
  return Object.fromEntries(entries);
}

/** A row of heads is unlike the rows below it: its words are known, and none of them comes again. */
function scoreOfHeads(
  { rows, looks, width }: Table,
  heads: readonly number[],
  { saying, headKeys }: { readonly saying: readonly HeadScores[]; readonly headKeys: readonly string[] },
): number {
  const last = heads.at(-1);
  if (last === undefined) return 0;
  const below = [...looks]
    .filter(([index]) => index > last && !isSameHead(rows[index] ?? [], headKeys))
    .map(([, row]) => row);
  let score = heads.length > 1 ? -1.5 : 0;
  for (let column = 0; column < width; column += 1) {
    const look = lookAt(rows[last]?.[column] ?? '');
    if (look.text === '') continue;
    const cells = below
      .map((row) => row[column])
      .filter((cell): cell is CellLook => cell !== undefined && cell.text !== '');
    score += (saying[column]?.known === true ? 0.8 : 0) + scoreOfHeadCell(look, cells);
  }
  return score;
}

function scoreOfHeadCell(look: CellLook, below: readonly CellLook[]): number {
  const isOfNumbers = below.length > 0 && below.filter(({ digit }) => digit).length / below.length > 0.9;
  const numbers = isOfNumbers ? (look.digit ? -1.5 : 0.8) : 0;
  const odd = look.date || look.email || look.phone ? -4 : 0;
  return numbers + odd + (below.some(({ key }) => key === look.key) ? -3 : 0);
}

/** Students above the heads would be lost. */
function scoreOfRowsAbove({ rows, filled, usual }: Table, heads: readonly number[]): number {
  const [head] = heads;
  if (head === undefined) return 0;
  const lost = filled.filter(
    (index) => index < head && !isSparse(rows[index] ?? [], usual) && filledOf(rows[index] ?? []).length > usual * 0.5,
  );
  return usual > 1 ? lost.length * -4 : filled.filter((index) => index < head).length * -1.5;
}

function kindsOfRows(table: Table, tried: Tried): Pick<RosterLayout, 'leftOut' | 'classRows'> {
  const leftOut: number[] = [];
  const classRows: ClassRow[] = [];
  const names = tried.assignment.roles.flatMap((role, column) => (nameRoles.includes(role) ? [column] : []));
  for (const row of table.filled) {
    if (tried.heads.includes(row)) continue;
    const kind = kindOfRow(table, tried, row);
    if (typeof kind === 'object') classRows.push({ row, className: kind.className });
    // Only the name may be filled in.
    else if (kind === 'left-out' || (kind === 'sparse' && !hasLetters(table.rows[row], names))) leftOut.push(row);
  }
  return { leftOut, classRows };
}

type RowKind = 'usual' | 'sparse' | 'left-out' | { readonly className: string };

function kindOfRow({ rows, usual }: Table, { heads, headKeys }: Tried, index: number): RowKind {
  const row = rows[index] ?? [];
  if (isSameHead(row, headKeys) || isFooter(row, usual)) return 'left-out';
  const firstHead = heads[0] ?? -1;
  if (index < firstHead) {
    const className = classAbove(row, index === firstHead - 1);
    return className === null ? 'left-out' : { className };
  }
  if (usual > 1 && !isSparse(row, usual)) return 'usual';
  const className = classOfHeading(row);
  return className === null ? 'sparse' : { className };
}

const hasLetters = (row: readonly string[] | undefined, columns: readonly number[]): boolean =>
  columns.some((column) => /\p{L}/u.test(row?.[column] ?? ''));

const nameRoles: readonly RosterRole[] = ['name', 'familyFirst', 'given', 'family'];

/** A title may name the class; right above the heads, a class alone is the one of the first block. */
function classAbove(row: readonly string[], isRightAbove: boolean): string | null {
  return classOfTitle(row) ?? (isRightAbove ? classOfHeading(row) : null);
}

/** How far the next best understanding falls behind, for each column. */
function certaintyOf({ scores, assignment }: Tried): readonly number[] {
  return assignment.roles.map((role, column) => {
    const mayBeOther = Object.values(scores[column] ?? {}).some((score) => score > 0);
    if (role === 'none' && !mayBeOther) return 1;
    const next = assignRoles(scores, { column, role });
    const behind = assignment.score - next.score;
    return Number.isFinite(behind) ? 1 / (1 + Math.exp(1 - behind * 1.2)) : 1;
  });
}
