/** What of a student was edited by hand, and what the school's roster says instead. */
import { sortName, wholeName, type NameParts } from './name.js';
import type { RosterStudent } from './read-roster.js';

/** What of a student a roster may change. */
export const rosterParts = ['schoolId', 'name', 'className', 'year'] as const;
/** One of them. */
export type RosterPart = (typeof rosterParts)[number];

/** For each part that was edited by hand, what the last roster says. */
export interface EditedParts {
  readonly schoolId?: string | null;
  readonly name?: NameParts;
  readonly className?: string;
  readonly year?: string;
}

const partsOfName = ({ prefix, given, middle, family }: NameParts): NameParts => ({ prefix, given, middle, family });

/** @returns what of a student a roster may change, in a form that is stored */
function valuesOf(student: RosterStudent): Required<EditedParts> {
  const { schoolId, className, year } = student;
  return { schoolId, name: partsOfName(student), className, year };
}

const isSame = (one: unknown, other: unknown): boolean => JSON.stringify(one) === JSON.stringify(other);

type ImportedParts = Omit<RosterStudent, 'sortedBy'>;

/** @returns the student as the roster says, with the parts that were edited by hand put back */
export function asInRoster<Student extends ImportedParts>(student: Student, edited: EditedParts): Student {
  const { name, ...others } = edited;
  return { ...student, ...others, ...(name && { ...name, name: wholeName(name), sortedBy: sortName(name) }) };
}

/**
 * What is edited after somebody changed a student by hand.
 * @param edited before the change
 * @returns without the parts that are what the roster says again
 */
export function editedByHand(before: RosterStudent, after: RosterStudent, edited: EditedParts): EditedParts {
  const [was, is, roster] = [valuesOf(before), valuesOf(after), valuesOf(asInRoster(before, edited))];
  return pick((part) => !isSame(roster[part], is[part]) && (part in edited || !isSame(was[part], is[part])), roster);
}

/** @returns what is edited after another roster that says `roster` of the student */
export function editedAfterRoster(student: RosterStudent, roster: RosterStudent, edited: EditedParts): EditedParts {
  const [is, says] = [valuesOf(student), valuesOf(roster)];
  return pick((part) => part in edited && !isSame(is[part], says[part]), says);
}

function pick(isEdited: (part: RosterPart) => boolean, values: Required<EditedParts>): EditedParts {
  return Object.fromEntries(rosterParts.filter(isEdited).map((part) => [part, values[part]]));
}
