import type { Student } from './student.entity.js';

/** A student as the other nouns of this area see them. */
export type StudentRecord = Readonly<Student>;
