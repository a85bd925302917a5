/** Rows of a table -> students. What is wrong with a row is said with its number; good rows are never lost because of bad ones. */
import type { RosterLayout, RosterRole, RosterRows } from './roster-layout.js';
import { nameKey, sortName, splitFamilyFirst, splitName, tidyName, wholeName, type NameParts } from './name.js';

/** A student as a roster says it. */
export interface RosterStudent extends NameParts {
  /** As the school writes it, with its leading zeros; null where it has none. */
  readonly schoolId: string | null;
  /** As it is printed and said. */
  readonly name: string;
  /** By which it is sorted. */
  readonly sortedBy: string;
  readonly className: string;
  readonly year: string;
}

/** A student with the row that says it, from 1. */
export interface RosterEntry extends RosterStudent {
  /** Number of its row in the table, from 1, the head counted. */
  readonly row: number;
}

/** What may be wrong with a row. */
export const rosterProblemReasons = [
  'no-name',
  'name-too-long',
  'id-too-long',
  'same-id',
  'same-name',
  'looks-like-formula',
] as const;
/** One of them. */
export type RosterProblemReason = (typeof rosterProblemReasons)[number];

/** What is wrong with a row. */
export interface RosterProblem {
  readonly row: number;
  readonly reason: RosterProblemReason;
  /** What it is about. */
  readonly detail: string;
  /** Row of the other one, with `same-id` and `same-name`. */
  readonly other: number | null;
  /** Its row is not among the students. */
  readonly leftOut: boolean;
}

/** Students of a roster, and what is wrong with it. */
export interface ReadRoster {
  readonly students: readonly RosterEntry[];
  readonly problems: readonly RosterProblem[];
}

/** Which of several rows with the same id counts. */
export type SameId = 'first' | 'last';

/** Longest names, ids and classes, characters; most students. */
export const rosterLimits = { nameLength: 120, idLength: 120, classLength: 60, students: 5000 } as const;

/** @param rows as the file has them, with heads and empty rows, which are passed over */
export function readRoster(rows: RosterRows, layout: RosterLayout, sameId: SameId = 'first'): ReadRoster {
  const problems: RosterProblem[] = [];
  const entries: RosterEntry[] = [];
  const tell: Tell = (row, reason, detail, other, leftOut) =>
    void problems.push({ row, reason, detail, other, leftOut });
  const passedOver = new Set([...layout.headRows, ...layout.leftOut]);
  const classes = new Map(layout.classRows.map(({ row, className }) => [row, className]));
  let heading = '';
  rows.forEach((cells, index) => {
    heading = classes.get(index) ?? heading;
    if (passedOver.has(index) || classes.has(index) || cells.every((cell) => cell.trim() === '')) return;
    const entry = readEntry(cells, layout.roles, index + 1, tell);
    if (entry) entries.push(layout.roles.includes('class') ? entry : { ...entry, className: tidyName(heading) });
  });
  const students = chooseSameIds(entries, sameId, tell);
  tellSameNames(students, tell);
  return { students, problems: [...problems].sort((one, other) => one.row - other.row) };
}

type Tell = (row: number, reason: RosterProblemReason, detail: string, other: number | null, leftOut: boolean) => void;

/** Null for a row that is no student; why is told. */
function readEntry(
  cells: readonly string[],
  roles: readonly RosterRole[],
  row: number,
  tell: Tell,
): RosterEntry | null {
  const cell = (role: RosterRole): string => tidyName(roles.includes(role) ? (cells[roles.indexOf(role)] ?? '') : '');
  const parts = namePartsOf(cell, roles);
  const name = wholeName(parts);
  const schoolId = cell('id');
  const refuse = (reason: RosterProblemReason, detail: string): null => {
    tell(row, reason, detail, null, true);
    return null;
  };
  if (!/[\p{L}\p{N}]/u.test(name)) return refuse('no-name', schoolId);
  if (name.length > rosterLimits.nameLength) return refuse('name-too-long', `${name.slice(0, 40)}…`);
  if (schoolId.length > rosterLimits.idLength) return refuse('id-too-long', `${schoolId.slice(0, 40)}…`);
  if (/^[=@]|^[+-]\S*\(/u.test(name)) tell(row, 'looks-like-formula', name.slice(0, 40), null, false);
  return {
    ...parts,
    row,
    schoolId: schoolId === '' ? null : schoolId,
    name,
    sortedBy: sortName(parts),
    className: cell('class').slice(0, rosterLimits.classLength),
    year: cell('year').slice(0, rosterLimits.classLength),
  };
}

function namePartsOf(cell: (role: RosterRole) => string, roles: readonly RosterRole[]): NameParts {
  if (roles.includes('name')) return splitName(cell('name'));
  if (roles.includes('familyFirst')) return splitFamilyFirst(cell('familyFirst'));
  return { prefix: cell('prefix'), given: cell('given'), middle: cell('middle'), family: cell('family') };
}

function chooseSameIds(entries: readonly RosterEntry[], sameId: SameId, tell: Tell): readonly RosterEntry[] {
  const chosen = new Map<string, RosterEntry>();
  for (const entry of sameId === 'first' ? entries : [...entries].reverse()) {
    if (entry.schoolId !== null && !chosen.has(idKey(entry.schoolId))) chosen.set(idKey(entry.schoolId), entry);
  }
  return entries.filter((entry) => {
    const kept = entry.schoolId === null ? entry : chosen.get(idKey(entry.schoolId));
    if (kept === entry) return true;
    tell(entry.row, 'same-id', entry.schoolId ?? '', kept?.row ?? null, true);
    return false;
  });
}

/** Two of the same name are two people, and both stay; named are those whom no id tells apart. */
function tellSameNames(students: readonly RosterEntry[], tell: Tell): void {
  const first = new Map<string, RosterEntry>();
  for (const student of students) {
    const key = nameKey(student.name);
    const other = first.get(key);
    if (other && (student.schoolId === null || other.schoolId === null))
      tell(student.row, 'same-name', student.name, other.row, false);
    if (!other) first.set(key, student);
  }
}

/** Ids are text: 007 is not 7. Case alone makes no other one. */
export function idKey(schoolId: string): string {
  return schoolId.toUpperCase();
}
