import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { Account } from '../../school/account/account.entity.js';
import { idColumn, timeColumn } from '../../platform/database/columns.js';
import { Student } from '../student/student.entity.js';

/** A card that was read by somebody of the staff. Gone with the student. */
@Entity('card_readings')
@Index(['readById', 'id'])
export class CardReading {
  @PrimaryColumn(idColumn) id: string;
  @Index() @Column(idColumn) studentId: string;
  @ManyToOne(() => Student, { onDelete: 'CASCADE' }) student: Relation<Student>;
  @Column(idColumn) readById: string;
  @ManyToOne(() => Account, { onDelete: 'CASCADE' }) readBy: Relation<Account>;
  @Column(timeColumn) readAt: Date;
}
