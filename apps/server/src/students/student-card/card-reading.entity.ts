import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, timeColumn } from '../../platform/database/columns.js';
import type { StudentRecord } from '../student/student-record.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** A card that was read by somebody of the staff. Gone with the student. */
@Entity('card_readings')
@Index(['readById', 'id'])
export class CardReading {
  @PrimaryColumn(idColumn) id: string;
  @Index() @Column(idColumn) studentId: string;
  @ManyToOne('Student', { onDelete: 'CASCADE' }) student: Relation<StudentRecord>;
  @Column(idColumn) readById: string;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) readBy: Relation<SignedIn>;
  @Column(timeColumn) readAt: Date;
  /** An id was typed; no card was there. */
  @Column({ type: 'boolean', default: false }) byId: boolean;
}
