import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { keywordColumn, timeColumn } from '../../platform/database/columns.js';

/** How often a sign-in failed, counted before the password is looked at. Keys are hashes: neither e-mail nor network address. */
@Entity('sign_in_failures')
export class SignInFailures {
  @PrimaryColumn(keywordColumn(64)) key: string;
  @Column({ type: 'int' }) count: number;
  @Index() @Column(timeColumn) lastAt: Date;
}
