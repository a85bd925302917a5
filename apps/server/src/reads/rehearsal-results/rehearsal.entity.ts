import type { RehearsalResult } from '@hapset/contract';
import type { ReaderEngineName } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, timeColumn } from '../../platform/database/columns.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';

/** How far devices read, kept under what was rehearsed: payload, printed size and devices. A change makes another key. */
@Entity('rehearsals')
@Index(['shapeKey', 'rehearsedAt'])
export class Rehearsal {
  @PrimaryColumn(idColumn) materialId: string;
  @PrimaryColumn(keywordColumn(64)) rehearsalKey: string;
  @ManyToOne('Material', { onDelete: 'CASCADE' }) material: Relation<MaterialRecord>;
  @Column({ type: 'json' }) results: readonly RehearsalResult[];
  /** Engines that could not read it flat and straight. */
  @Column({ type: 'json' }) unreadBy: readonly ReaderEngineName[];
  @Column(timeColumn) rehearsedAt: Date;
  /** What every code of that shape has in common; null on earlier ones. */
  @Column({ ...keywordColumn(64), nullable: true }) shapeKey: string | null;
}
