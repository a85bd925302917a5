import { In, type EntityManager } from 'typeorm';
import type { StudentRecord } from './student-record.js';
import { Student } from './student.entity.js';

/** Those of the students that are there. Until the transaction ends, nobody else changes them or writes what belongs to them. */
export function lockStudents(manager: EntityManager, ids: readonly string[]): Promise<readonly StudentRecord[]> {
  return manager
    .createQueryBuilder(Student, 'student')
    .where({ id: In([...ids]) })
    .setLock('pessimistic_write')
    .getMany();
}
