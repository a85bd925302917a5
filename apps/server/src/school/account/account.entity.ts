import type { Role } from '@hapset/contract';
import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, keywordColumn, timeColumn } from '../../platform/database/columns.js';

@Entity('accounts')
export class Account {
  @PrimaryColumn(idColumn) id: string;
  /** In lower case. */
  @Index({ unique: true }) @Column({ type: 'varchar', length: 190 }) email: string;
  @Column({ type: 'varchar', length: 120 }) name: string;
  @Column(keywordColumn(20)) role: Role;
  @Column(keywordColumn(200)) passwordHash: string;
  @Column(timeColumn) createdAt: Date;
}
