import type { RecordKind } from '@hapset/contract';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { optionalTimeColumn } from '../../platform/database/columns.js';

/** One row: how long records are kept, and what the last deletion deleted. */
@Entity('retention')
export class RetentionRow {
  @PrimaryColumn({ type: 'tinyint' }) id: number;
  /** Kinds for which nothing was chosen are kept as long as is usual. */
  @Column({ type: 'json' }) days: Readonly<Partial<Record<RecordKind, number>>>;
  @Column({ type: 'json' }) deleted: Readonly<Partial<Record<RecordKind, number>>>;
  @Column(optionalTimeColumn) deletedAt: Date | null;
  @Column({ type: 'int', default: 1 }) version: number;
}
