import { Column, Entity, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, timeColumn } from '../../platform/database/columns.js';
import type { StudentRecord } from '../student/student-record.js';

/** A student's photo for the card. Gone with the student, and when the student leaves. */
@Entity('student_photos')
export class StudentPhoto {
  @PrimaryColumn(idColumn) studentId: string;
  @ManyToOne('Student', { onDelete: 'CASCADE' }) student: Relation<StudentRecord>;
  /** JPEG, 4:5. */
  @Column({ type: 'mediumblob' }) bytes: Buffer;
  @Column(timeColumn) addedAt: Date;
}
