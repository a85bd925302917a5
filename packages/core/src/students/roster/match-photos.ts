/** Whose photo a file is, by its name: the school's id, or the whole name in any order. */
import { nameKey } from './name.js';
import { idKey } from './read-roster.js';

/** What of a student a file may be called by. */
export interface PhotoStudent<Id> {
  readonly id: Id;
  readonly schoolId: string | null;
  readonly name: string;
  readonly className: string;
}

/**
 * @param files names with their folders and endings: "6 Kestrel/LEE Ann.jpg", "00617.png"
 * @returns for each file the student; null where nobody, or more than one, is meant
 */
export function matchPhotos<Id>(
  files: readonly string[],
  students: readonly PhotoStudent<Id>[],
): readonly (Id | null)[] {
  const byId = grouped(students, ({ schoolId }) => (schoolId === null ? '' : idKey(schoolId)));
  const byName = grouped(students, ({ name }) => wordsKey(name));
  return files.map((file) => {
    const parts = file.replace(/\\/g, '/').split('/');
    const base = (parts.pop() ?? '').replace(/\.[a-z]{3,4}$/iu, '');
    const ids = [base, ...base.split(/[\s_,;()[\]-]+/u)].flatMap((word) => byId.get(idKey(word.trim())) ?? []);
    const named = byName.get(wordsKey(base.replace(/\d+/g, ' '))) ?? [];
    const found = ids.length > 0 ? ids : named;
    // Namesakes are told apart by the folder of their class.
    return (
      only(found) ?? only(found.filter(({ className }) => parts.some((part) => nameKey(part) === nameKey(className))))
    );
  });
}

function only<Id>(students: readonly PhotoStudent<Id>[]): Id | null {
  const ids = new Set(students.map(({ id }) => id));
  const [first] = students;
  return ids.size === 1 && first ? first.id : null;
}

/** The words of a name in one order, so that "Lee, Ann" is "Ann Lee". */
function wordsKey(name: string): string {
  return name
    .split(/[\s_,;.()[\]-]+/u)
    .map(nameKey)
    .filter((word) => word !== '')
    .sort()
    .join(' ');
}

function grouped<One>(all: readonly One[], keyOf: (one: One) => string): ReadonlyMap<string, readonly One[]> {
  const groups = new Map<string, One[]>();
  for (const one of all) {
    const key = keyOf(one);
    if (key !== '') groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return groups;
}
