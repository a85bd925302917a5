import type { FileFindings, Media } from '@hapset/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { keywordColumn, optionalTimeColumn, timeColumn } from '../../platform/database/columns.js';
import type { VariantName } from '../../platform/storage/variant-name.js';

export const hashColumn = keywordColumn(64);

/** Bytes that are kept once, however many files hold them. */
@Entity('stored_contents')
export class StoredContent {
  /** SHA-256, also their key in the storage. */
  @PrimaryColumn(hashColumn) hash: string;
  @Column({ type: 'int' }) sizeBytes: number;
  /** Told by the bytes, not by a name. */
  @Column(keywordColumn(120)) contentType: string;
  @Column(keywordColumn(10)) media: Media;
  @Column({ type: 'int', nullable: true }) widthPx: number | null;
  @Column({ type: 'int', nullable: true }) heightPx: number | null;
  /** What is in it; null where nobody looked yet, and where there is nothing more to know. */
  @Column({ type: 'json', nullable: true }) findings: FileFindings | null;
  @Column({ type: 'json' }) variants: readonly Variant[];
  @Column(timeColumn) storedAt: Date;
  /** Since when no file holds them. */
  @Column(optionalTimeColumn) orphanedAt: Date | null;
}

/** The same in another form: a size for phones, a PDF. */
export interface Variant {
  readonly name: VariantName;
  /** In the storage. */
  readonly key: string;
  readonly contentType: string;
  readonly sizeBytes: number;
}
