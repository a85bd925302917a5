import { limits, type Role } from '@hapset/contract';
import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  textColumn,
  timeColumn,
} from '../../platform/database/columns.js';

@Entity('accounts')
export class Account {
  @PrimaryColumn(idColumn) id: string;
  /** In lower case. */
  @Index({ unique: true }) @Column(textColumn(limits.emailLength)) email: string;
  @Column(textColumn(limits.nameLength)) name: string;
  @Column(keywordColumn(20)) role: Role;
  @Column(keywordColumn(200)) passwordHash: string;
  @Column(timeColumn) createdAt: Date;
  /** Since when nobody signs in to it; null for an account that is used. */
  @Column(optionalTimeColumn) deactivatedAt: Date | null;
  @Column(optionalTimeColumn) lastSignInAt: Date | null;
}
