import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, optionalTimeColumn, timeColumn } from '../../platform/database/columns.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** An upload under way: whose it is and how large it will be. Its bytes so far lie in the folder of uploads. */
@Entity('uploads')
export class Upload {
  @PrimaryColumn(idColumn) id: string;
  @Index() @Column(idColumn) ownerId: string;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) owner: Relation<SignedIn>;
  @Column({ type: 'int' }) sizeBytes: number;
  @Column(timeColumn) createdAt: Date;
  /** Since when its bytes are being made a file; one request alone may do so. */
  @Column(optionalTimeColumn) takenAt: Date | null;
}
