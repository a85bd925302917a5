import { limits } from '@hapset/contract';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalIdColumn,
  optionalTimeColumn,
  textColumn,
} from '../../platform/database/columns.js';
import type { SchoolClassRecord } from '../../school/school-class/school-class-record.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Entity('lessons')
@Index(['ownerId', 'removedAt', 'date', 'id'])
export class Lesson {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) ownerId: string;
  @ManyToOne('Account', { onDelete: 'RESTRICT' }) owner: Relation<SignedIn>;
  @Column(textColumn(limits.nameLength)) name: string;
  @Index() @Column(optionalIdColumn) classId: string | null;
  @ManyToOne('SchoolClass', { onDelete: 'SET NULL', nullable: true }) class: Relation<SchoolClassRecord> | null;
  /** Day and wall time in the school's zone, as text: they are no instants until somebody needs one. */
  @Column({ ...keywordColumn(10), nullable: true }) date: string | null;
  @Column({ ...keywordColumn(5), nullable: true }) startsAt: string | null;
  @Column(textColumn(limits.placeLength)) place: string;
  @Column({ type: 'double' }) viewingDistanceM: number;
  /** Of stations without one of their own: a look's id, `plain`, or null for what the school says. */
  @Column({ ...keywordColumn(36), nullable: true }) look: string | null;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(optionalTimeColumn) removedAt: Date | null;
}
