import type { ImportedStudent } from '@hapset/contract';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, timeColumn } from '../../platform/database/columns.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/**
 * A roster that somebody compared. It may be imported for a day and is removed within the hour after, or at once when
 * any student is erased.
 */
@Entity('compared_rosters')
@Index(['comparedById', 'id'])
export class ComparedRoster {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) comparedById: string;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) comparedBy: Relation<SignedIn>;
  @Column({ type: 'json' }) students: readonly ImportedStudent[];
  @Index() @Column(timeColumn) comparedAt: Date;
}
