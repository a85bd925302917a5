import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, optionalTimeColumn, timeColumn } from '../../platform/database/columns.js';

/** A student of the school: no account, and nothing but what a roster says. */
@Entity('students')
@Index(['className', 'sortedBy'])
export class Student {
  @PrimaryColumn(idColumn) id: string;
  /** As the school writes it, with its leading zeros. */
  @Index() @Column({ type: 'varchar', length: 40, nullable: true }) schoolId: string | null;
  @Column({ type: 'varchar', length: 120 }) prefix: string;
  @Column({ type: 'varchar', length: 120 }) given: string;
  @Column({ type: 'varchar', length: 120 }) middle: string;
  @Column({ type: 'varchar', length: 120 }) family: string;
  /** As it is printed and said. */
  @Column({ type: 'varchar', length: 200 }) name: string;
  /** By which it is sorted: family name first. */
  @Index() @Column({ type: 'varchar', length: 250 }) sortedBy: string;
  @Column({ type: 'varchar', length: 60 }) className: string;
  @Column({ type: 'varchar', length: 60 }) year: string;
  /** When they left the school; null while they are there. */
  @Column(optionalTimeColumn) leftAt: Date | null;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(timeColumn) createdAt: Date;
}
