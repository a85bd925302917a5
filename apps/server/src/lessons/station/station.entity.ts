import { limits } from '@hapset/contract';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, optionalTimeColumn, textColumn } from '../../platform/database/columns.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { LessonRecord } from '../lesson/lesson-record.js';

@Entity('stations')
@Index(['lessonId', 'removedAt', 'position'])
export class Station {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) lessonId: string;
  @ManyToOne('Lesson', { onDelete: 'CASCADE' }) lesson: Relation<LessonRecord>;
  @Index() @Column(idColumn) materialId: string;
  @ManyToOne('Material', { onDelete: 'RESTRICT' }) material: Relation<MaterialRecord>;
  /** Order within the lesson; gaps and repeats are harmless, ids decide then. */
  @Column({ type: 'int' }) position: number;
  /** Null goes by the material's title. */
  @Column({ ...textColumn(limits.titleLength), nullable: true }) name: string | null;
  /** Null takes the material's. */
  @Column({ ...textColumn(limits.instructionLength), nullable: true }) instruction: string | null;
  /** Metres; null takes the lesson's. */
  @Column({ type: 'double', nullable: true }) viewingDistanceM: number | null;
  /** Side of the printed symbol chosen by hand, millimetres; null to compute it. */
  @Column({ type: 'int', nullable: true }) sizeMm: number | null;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(optionalTimeColumn) removedAt: Date | null;
}
