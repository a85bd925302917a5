import { limits, type AccountLinkKind, type Role } from '@hapset/contract';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, textColumn, timeColumn } from '../../platform/database/columns.js';
import type { SignedIn } from '../rights/signed-in.js';

/** A link by which somebody gets into an account once. It is deleted when it is used. */
@Entity('account_links')
export class AccountLink {
  @PrimaryColumn(idColumn) id: string;
  /** The token itself is only with whom it was given to; here is its SHA-256. */
  @Index({ unique: true }) @Column(keywordColumn(64)) tokenHash: string;
  @Column(keywordColumn(12)) kind: AccountLinkKind;
  /** Of the new account; null for a forgotten password. */
  @Column({ ...keywordColumn(20), nullable: true }) role: Role | null;
  /** Whose password is set; null for a new account. */
  @Index() @Column(optionalIdColumn) accountId: string | null;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) account: Relation<SignedIn> | null;
  /** For whom, as the administrator noted it. */
  @Column(textColumn(limits.nameLength)) note: string;
  @Column(timeColumn) madeAt: Date;
  @Index() @Column(timeColumn) expiresAt: Date;
}
