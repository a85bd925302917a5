import type { StudentView } from '@hapset/contract';
import type { CardOfStudent } from './cards-of-students.js';
import type { Student } from './student.entity.js';

export function toStudentView(
  { id, schoolId, prefix, given, middle, family, name, className, year, leftAt, edited, version }: Student,
  card: CardOfStudent | undefined,
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
    cardMadeAt: card?.madeAt?.toISOString() ?? null,
    cardLostAt: card?.lostAt?.toISOString() ?? null,
    photoAt: card?.photoAt?.toISOString() ?? null,
    edited,
    version,
  };
}
