import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  textColumn,
  timeColumn,
} from '../../platform/database/columns.js';
import { Account } from './account.entity.js';

/** The token itself is only in the browser's cookie; here is its SHA-256. */
@Entity('sessions')
export class Session {
  @PrimaryColumn(keywordColumn(64)) tokenHash: string;
  /** By which its owner names it; useless as a token. */
  @Index({ unique: true }) @Column(idColumn) id: string;
  @Index() @Column(idColumn) accountId: string;
  @ManyToOne(() => Account, { onDelete: 'CASCADE' }) account: Relation<Account>;
  /** "Keep me signed in on this device": ends after 30 days. Others end after 12 hours without use. */
  @Column({ type: 'boolean', default: false }) kept: boolean;
  /** Where it was begun, hashed under the account's id; null for those of earlier versions. */
  @Column({ ...keywordColumn(64), nullable: true }) addressHash: string | null;
  @Index() @Column(timeColumn) expiresAt: Date;
  @Column(timeColumn) begunAt: Date;
  /** Within five minutes. */
  @Column(timeColumn) usedAt: Date;
  /** When the password was last given; null for sessions of earlier versions. */
  @Column(optionalTimeColumn) confirmedAt: Date | null;
  /** "Firefox on Windows". */
  @Column({ ...textColumn(80), default: '' }) device: string;
}
