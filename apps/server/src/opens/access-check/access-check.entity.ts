import type { AccessCheckState, StudentViewState } from '@hapset/contract';
import type { AccessVerdict, Evidence, Finding, TrimmedLink } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalIdColumn,
  optionalTimeColumn,
  timeColumn,
} from '../../platform/database/columns.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** One opening of a link as a student. Rows of a material stay: they are its history. */
@Entity('access_checks')
@Index(['materialId', 'id'])
export class AccessCheck {
  @PrimaryColumn(idColumn) id: string;
  /** Null for a link that belongs to no material: then somebody asked for it by itself. */
  @Column(optionalIdColumn) materialId: string | null;
  @ManyToOne('Material', { onDelete: 'CASCADE', nullable: true }) material: Relation<MaterialRecord> | null;
  @Index() @Column(optionalIdColumn) askedById: string | null;
  @ManyToOne('Account', { onDelete: 'CASCADE', nullable: true }) askedBy: Relation<SignedIn> | null;
  @Column(keywordColumn(10)) state: AccessCheckState;
  @Column({ type: 'text' }) link: string;
  @Column(timeColumn) askedAt: Date;
  @Column(optionalTimeColumn) finishedAt: Date | null;
  @Column({ ...keywordColumn(20), nullable: true }) verdict: AccessVerdict | null;
  /** Why, the first first; none until it is done. */
  @Column({ type: 'json', nullable: true }) reasons: readonly Finding[] | null;
  @Column({ type: 'json', nullable: true }) evidence: Evidence | null;
  /** The link without what only counts visitors, and whether it leads to the same page; null where there is nothing to leave out. */
  @Column({ type: 'json', nullable: true }) trimmed: (TrimmedLink & { readonly same: boolean }) | null;
  /** The page's own picture for previews, made small; loaded on demand alone. */
  @Column({ type: 'mediumblob', nullable: true, select: false }) picture: Buffer | null;
  @Column({ type: 'int', nullable: true }) pictureBytes: number | null;
  /** How far seeing it in a browser is; null where none is asked. */
  @Column({ ...keywordColumn(10), nullable: true }) view: StudentViewState | null;
  /** Where the storage has the picture of what a student sees; null without one. */
  @Column({ ...keywordColumn(80), nullable: true }) viewKey: string | null;
  /** By the database's own clock, so that all servers tell their pages in one order. */
  @Index()
  @Column({ ...timeColumn, default: () => 'CURRENT_TIMESTAMP(3)', onUpdate: 'CURRENT_TIMESTAMP(3)' })
  changedAt: Date;
}
