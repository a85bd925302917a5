import { limits } from '@hapset/contract';
import type { LookDesign } from '@hapset/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { idColumn, optionalTimeColumn, timeColumn, textColumn } from '../../platform/database/columns.js';

/** A look of the school: seen and used by all staff. */
@Entity('looks')
export class Look {
  @PrimaryColumn(idColumn) id: string;
  @Column(textColumn(limits.lookNameLength)) name: string;
  @Column({ type: 'json' }) design: LookDesign;
  /** The school lets it be chosen; where it was chosen before, it stays. */
  @Column({ type: 'boolean', default: true }) allowed: boolean;
  /** Who made it; that one and the administrator may change it. */
  @Column(idColumn) madeById: string;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(timeColumn) createdAt: Date;
  @Column(optionalTimeColumn) removedAt: Date | null;
}
