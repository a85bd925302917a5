import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, optionalTimeColumn, timeColumn } from '../../platform/database/columns.js';
import type { SignedIn } from '../rights/signed-in.js';

/** A change that was sent with a key, and its reply once there is one. Sent again, it gets the same reply. */
@Entity('answered_requests')
export class AnsweredRequest {
  @PrimaryColumn(idColumn) accountId: string;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) account: Relation<SignedIn>;
  /** Of the header Idempotency-Key. */
  @PrimaryColumn({ ...idColumn, name: 'request_key' }) key: string;
  /** SHA-256 of what was asked. */
  @Column(keywordColumn(64)) fingerprint: string;
  /** Renewed while it is being worked on, by the database’s clock. */
  @Index() @Column(timeColumn) heldAt: Date;
  @Column(optionalTimeColumn) answeredAt: Date | null;
  @Column({ type: 'mediumtext', nullable: true }) reply: string | null;
}
