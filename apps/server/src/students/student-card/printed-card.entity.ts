import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, optionalTimeColumn } from '../../platform/database/columns.js';
import type { SheetContent } from '../../paper/sheet/sheet-order.js';
import type { PrintRecord } from '../../paper/sheet/sheet-record.js';
import type { StudentRecord } from '../student/student-record.js';

/** A student's card on a print, with what stood on it. Gone with the student. */
@Entity('printed_cards')
@Index(['printId', 'position'])
export class PrintedCard {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) printId: string;
  @ManyToOne('Print', { onDelete: 'CASCADE' }) print: Relation<PrintRecord>;
  @Index() @Column(idColumn) studentId: string;
  @ManyToOne('Student', { onDelete: 'CASCADE' }) student: Relation<StudentRecord>;
  /** Among the cards of its print, from 0. */
  @Column({ type: 'int' }) position: number;
  @Column({ type: 'json' }) content: SheetContent;
  /** Since when its card is lost; null while it counts. */
  @Column(optionalTimeColumn) replacedAt: Date | null;
}
