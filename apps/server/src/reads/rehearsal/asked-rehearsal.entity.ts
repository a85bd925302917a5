import type { AskedRehearsalResult, AskRehearsal } from '@hapset/contract';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, timeColumn } from '../../platform/database/columns.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** A rehearsal that a script asked for; kept for a week. */
@Entity('asked_rehearsals')
export class AskedRehearsal {
  @PrimaryColumn(idColumn) id: string;
  @Index() @Column(idColumn) askedById: string;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) askedBy: Relation<SignedIn>;
  @Column({ type: 'json' }) request: AskRehearsal;
  @Column({ type: 'json', nullable: true }) result: AskedRehearsalResult | null;
  /** Why there is none; null where nothing failed. */
  @Column({ type: 'varchar', length: 500, nullable: true }) failure: string | null;
  @Index() @Column(timeColumn) askedAt: Date;
}
