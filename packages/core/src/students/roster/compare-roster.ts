/** What another import changes: who is new, who is written otherwise, who is not in it any more. */
import { nameKey } from './name.js';
import { idKey, type RosterStudent } from './read-roster.js';

/** A student who is known already. */
export type Known<Id> = RosterStudent & { readonly id: Id; /** Left the school. */ readonly left: boolean };

/** What of a student a roster may change. */
export const rosterParts = ['schoolId', 'name', 'className', 'year'] as const;
/** One of them. */
export type RosterPart = (typeof rosterParts)[number];

/** Who is in the roster with something else. */
export interface ChangedStudent<Id, Student extends RosterStudent> {
  readonly id: Id;
  readonly before: Known<Id>;
  readonly student: Student;
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
}

/**
 * Students are found again by their id; without one by name and class, then by name alone where that is clear. Nobody is found twice.
 * @param known all students that the school has
 */
export function compareRoster<Id, Student extends RosterStudent>(
  known: readonly Known<Id>[],
  roster: readonly Student[],
): RosterComparison<Id, Student> {
  const open = new Set(known);
  const found = new Map<Student, Known<Id>>();
  const match = (keyOf: (student: RosterStudent) => string | null): void => {
    const candidatesOf = grouped([...open], keyOf);
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
            one.schoolId !== null && students[index]?.schoolId !== null && !sameId(one, students[index] as Student),
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
  const changed = [...found].flatMap(([student, before]) => {
    const parts = rosterParts.filter(
      (part) => before[part] !== student[part] && !(part === 'schoolId' && student.schoolId === null),
    );
    return parts.length === 0 && !before.left ? [] : [{ id: before.id, before, student, parts }];
  });
  return {
    added: roster.filter((student) => !found.has(student)),
    changed,
    same: found.size - changed.length,
    leftOut: [...open].filter(({ left }) => !left),
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
