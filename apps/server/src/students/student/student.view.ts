import type { StudentView } from '@hapset/contract';
import type { Student } from './student.entity.js';

export function toStudentView(
  { id, schoolId, prefix, given, middle, family, name, className, year, leftAt, edited, version }: Student,
  cardMadeAt: Date | null,
): StudentView {
  return {
    id,
    schoolId,
    prefix,
    given,
    middle,
    family,
    name,
    className,
    year,
    left: leftAt !== null,
    cardMadeAt: cardMadeAt?.toISOString() ?? null,
    edited,
    version,
  };
}
