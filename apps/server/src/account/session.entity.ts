import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, timeColumn } from '../database/columns.js';
import { Account } from './account.entity.js';

/** The token itself is only in the browser's cookie; here is its SHA-256. */
@Entity('sessions')
export class Session {
  @PrimaryColumn(keywordColumn(64)) tokenHash: string;
  @Index() @Column(idColumn) accountId: string;
  @ManyToOne(() => Account, { onDelete: 'CASCADE' }) account: Relation<Account>;
  @Index() @Column(timeColumn) expiresAt: Date;
}
