import type { Opening } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { keywordColumn, optionalIdColumn, optionalTimeColumn, timeColumn } from '../../platform/database/columns.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';

/** A slug that was given out. Rows stay for ever: what once stood on paper never means anything else. */
@Entity('short_links')
export class ShortLink {
  @PrimaryColumn(keywordColumn(9)) slug: string;
  /** Where it leads. A material may have several: those that were replaced still lead there. */
  @Index() @Column(optionalIdColumn) materialId: string | null;
  @ManyToOne('Material', { onDelete: 'SET NULL', nullable: true }) material: Relation<MaterialRecord> | null;
  /** The material's id while it is the one that new codes carry, then null: a material has one such. */
  @Index({ unique: true }) @Column(optionalIdColumn) currentFor: string | null;
  @Column({ type: 'json' }) opening: Opening;
  /** A real device is being tried until then, since that moment. */
  @Column(optionalTimeColumn) tryingSince: Date | null;
  @Column(optionalTimeColumn) tryingUntil: Date | null;
  @Column(timeColumn) createdAt: Date;
  /** By the database's clock, whenever it or its material changes: servers look for it. */
  @Index()
  @Column({ ...timeColumn, default: () => 'CURRENT_TIMESTAMP(3)', onUpdate: 'CURRENT_TIMESTAMP(3)' })
  changedAt: Date;
}
