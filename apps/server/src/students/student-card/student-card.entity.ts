import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalIdColumn,
  optionalTimeColumn,
  timeColumn,
} from '../../platform/database/columns.js';
import type { StudentRecord } from '../student/student-record.js';

/** The token that a student's card carries; the same on every reprint, another one once a card is lost. */
@Entity('student_cards')
export class StudentCard {
  @PrimaryColumn(idColumn) id: string;
  @Index() @Column(idColumn) studentId: string;
  /** The student's id while the card is valid, then null: nobody has two valid ones. */
  @Index({ unique: true }) @Column(optionalIdColumn) validFor: string | null;
  @ManyToOne('Student', { onDelete: 'CASCADE' }) student: Relation<StudentRecord>;
  @Index({ unique: true }) @Column(keywordColumn(20)) token: string;
  @Column(timeColumn) madeAt: Date;
  /** Since when it is no longer valid; null while it is. */
  @Column(optionalTimeColumn) replacedAt: Date | null;
}
