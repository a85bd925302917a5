/** What another import changes: who is new, who is written otherwise, who is not in it any more. */
import { asInRoster, editedAfterRoster, rosterParts, type EditedParts, type RosterPart } from './edited-parts.js';
import { nameKey } from './name.js';
import { idKey, type RosterStudent } from './read-roster.js';

/** A student who is known already. */
export type Known<Id> = RosterStudent & {
  readonly id: Id;
  /** Left the school. */
  readonly left: boolean;
  readonly edited: EditedParts;
};

/** Who is in the roster with something else. */
export interface ChangedStudent<Id, Student extends RosterStudent> {
  readonly id: Id;
  readonly before: Known<Id>;
  /** After the import: what was edited by hand stays. */
  readonly student: Student;
  readonly edited: EditedParts;
  /** Empty where somebody only came back. */
  readonly parts: readonly RosterPart[];
}

/** What an import would change. */
export interface RosterComparison<Id, Student extends RosterStudent> {
  readonly added: readonly Student[];
  readonly changed: readonly ChangedStudent<Id, Student>[];
  readonly same: number;
  /** Known and not in the roster, as far as they have not left. */
  readonly leftOut: readonly Known<Id>[];
  /** Something of them was edited by hand, and stays though the roster says something else. */
  readonly kept: readonly Known<Id>[];
  /** Nothing of them changes but what the roster says instead of what was edited. */
  readonly marked: readonly { readonly id: Id; readonly edited: EditedParts }[];
}

/**
 * Students are found again by their id; without one by name and class, then by name alone where that is clear; each as the last
 * roster said, then as somebody edited them. Nobody is found twice.
 * @param known all students that the school has
 */
export function compareRoster<Id, Student extends RosterStudent>(
  known: readonly Known<Id>[],
  roster: readonly Student[],
): RosterComparison<Id, Student> {
  const open = new Set(known);
  const found = new Map<Student, Known<Id>>();
  const match = (keyOf: (student: RosterStudent) => string | null): void => {
    matchAs((one) => asInRoster(one, one.edited), keyOf);
    if ([...open].some(({ edited }) => Object.keys(edited).length > 0)) matchAs((one) => one, keyOf);
  };
  const matchAs = (as: (one: Known<Id>) => Known<Id>, keyOf: (student: RosterStudent) => string | null): void => {
    const candidatesOf = grouped([...open], (one) => keyOf(as(one)));
    for (const [key, students] of grouped(
      roster.filter((student) => !found.has(student)),
      keyOf,
    )) {
      const candidates = candidatesOf.get(key) ?? [];
      // As many as there are of that name, in their order; where numbers differ nobody is guessed, and whoever has another id is somebody else.
      if (
        candidates.length !== students.length ||
        candidates.some(
          (one, index) =>
            as(one).schoolId !== null &&
            students[index]?.schoolId !== null &&
            !sameId(as(one), students[index] as Student),
        )
      )
        continue;
      students.forEach((student, index) => {
        const one = candidates[index] as Known<Id>;
        found.set(student, one);
        open.delete(one);
      });
    }
  };
  match(({ schoolId }) => (schoolId === null ? null : idKey(schoolId)));
  match(({ name, className }) => `${nameKey(name)} ${nameKey(className)}`);
  match(({ name }) => nameKey(name));
  const compared = [...found].map(([student, before]) => compareOne(before, student));
  const changed = compared.filter(({ parts, before }) => parts.length > 0 || before.left);
  return {
    added: roster.filter((student) => !found.has(student)),
    changed,
    same: found.size - changed.length,
    leftOut: [...open].filter(({ left }) => !left),
    kept: compared.filter(({ edited }) => Object.keys(edited).length > 0).map(({ before }) => before),
    marked: compared.filter(
      (one) => !changed.includes(one) && JSON.stringify(one.edited) !== JSON.stringify(one.before.edited),
    ),
  };
}

function compareOne<Id, Student extends RosterStudent>(before: Known<Id>, said: Student): ChangedStudent<Id, Student> {
  // A roster without ids takes none away.
  const roster = said.schoolId === null ? { ...said, schoolId: asInRoster(before, before.edited).schoolId } : said;
  const edited = editedAfterRoster(before, roster, before.edited);
  const isKept = (part: RosterPart): boolean => part in before.edited;
  const { prefix, given, middle, family, name, sortedBy, schoolId, className, year } = before;
  const student = {
    ...roster,
    ...(isKept('name') && { prefix, given, middle, family, name, sortedBy }),
    ...(isKept('schoolId') && { schoolId }),
    ...(isKept('className') && { className }),
    ...(isKept('year') && { year }),
  };
  return {
    id: before.id,
    before,
    student,
    edited,
    parts: rosterParts.filter((part) => before[part] !== student[part]),
  };
}

function sameId(one: RosterStudent, other: RosterStudent): boolean {
  return one.schoolId !== null && other.schoolId !== null && idKey(one.schoolId) === idKey(other.schoolId);
}

/** In their order, under each key; those without one are left out. */
function grouped<One>(all: readonly One[], keyOf: (one: One) => string | null): ReadonlyMap<string, readonly One[]> {
  const groups = new Map<string, One[]>();
  for (const one of all) {
    const key = keyOf(one);
    if (key === null) continue;
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
