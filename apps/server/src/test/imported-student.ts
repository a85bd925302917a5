import type { ImportedStudent } from '@hapset/contract';

/** A student of a roster, in one class where nothing else is said. */
export const importedStudent = (
  given: string,
  family: string,
  schoolId: string | null,
  className = '6 Kestrel',
  year = '6',
): ImportedStudent => ({ schoolId, prefix: '', given, middle: '', family, className, year });
