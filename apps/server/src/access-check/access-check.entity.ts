import type { AccessCheckState } from '@hapset/contract';
import type { AccessVerdict, Evidence, TrimmedLink, VerdictReason } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, optionalTimeColumn, timeColumn } from '../database/columns.js';
import { Material } from '../material/material.entity.js';

/** One opening of a material's link as a student. Rows stay: they are the material's history. */
@Entity('access_checks')
@Index(['materialId', 'id'])
@Index(['state', 'leaseUntil'])
export class AccessCheck {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) materialId: string;
  @ManyToOne(() => Material, { onDelete: 'CASCADE' }) material: Relation<Material>;
  @Column(keywordColumn(10)) state: AccessCheckState;
  @Column({ type: 'text' }) link: string;
  @Column(timeColumn) askedAt: Date;
  @Column(optionalTimeColumn) finishedAt: Date | null;
  /** Who works on it and until when that is believed. */
  @Index() @Column(optionalIdColumn) claim: string | null;
  @Column(optionalTimeColumn) leaseUntil: Date | null;
  @Column({ ...keywordColumn(20), nullable: true }) verdict: AccessVerdict | null;
  @Column({ ...keywordColumn(30), nullable: true }) reason: VerdictReason | null;
  @Column({ type: 'varchar', length: 500, nullable: true }) detail: string | null;
  @Column({ type: 'json', nullable: true }) evidence: Evidence | null;
  /** The link without what only counts visitors, and whether it leads to the same page; null where there is nothing to leave out. */
  @Column({ type: 'json', nullable: true }) trimmed: (TrimmedLink & { readonly same: boolean }) | null;
}
