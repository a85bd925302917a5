import { limits } from '@hapset/contract';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  timeColumn,
  textColumn,
} from '../../platform/database/columns.js';
import { hashColumn, StoredContent } from './stored-content.entity.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** A file that a teacher added. Its address stays when its content is replaced. */
@Entity('kept_files')
@Index(['ownerId', 'removedAt', 'id'])
export class KeptFile {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) ownerId: string;
  @ManyToOne('Account', { onDelete: 'RESTRICT' }) owner: Relation<SignedIn>;
  /** In its public address. */
  @Index({ unique: true }) @Column(keywordColumn(20)) token: string;
  @Column(textColumn(limits.fileNameLength)) name: string;
  @Index() @Column(hashColumn) contentHash: string;
  @ManyToOne(() => StoredContent, { onDelete: 'RESTRICT' }) content: Relation<StoredContent>;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(timeColumn) createdAt: Date;
  @Column(optionalTimeColumn) removedAt: Date | null;
}
