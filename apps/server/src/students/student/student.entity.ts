import { rosterLimits, type EditedParts } from '@hapset/core';
import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, optionalTimeColumn, timeColumn, textColumn } from '../../platform/database/columns.js';

/** A student of the school: no account, and nothing but what a roster says. */
@Entity('students')
@Index(['className', 'sortedBy'])
export class Student {
  @PrimaryColumn(idColumn) id: string;
  /** As the school writes it, with its leading zeros. */
  @Index() @Column({ ...textColumn(rosterLimits.idLength), nullable: true }) schoolId: string | null;
  @Column(textColumn(rosterLimits.nameLength)) prefix: string;
  @Column(textColumn(rosterLimits.nameLength)) given: string;
  @Column(textColumn(rosterLimits.nameLength)) middle: string;
  @Column(textColumn(rosterLimits.nameLength)) family: string;
  /** As it is printed and said. */
  @Column({ type: 'varchar', length: 200 }) name: string;
  /** By which it is sorted: family name first. */
  @Index() @Column({ type: 'varchar', length: 250 }) sortedBy: string;
  @Column(textColumn(rosterLimits.classLength)) className: string;
  @Column(textColumn(rosterLimits.classLength)) year: string;
  /** When they left the school; null while they are there. */
  @Column(optionalTimeColumn) leftAt: Date | null;
  /** What was edited by hand, with what the roster says instead: later rosters leave it. */
  @Column({ type: 'json' }) edited: EditedParts;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(timeColumn) createdAt: Date;
}
