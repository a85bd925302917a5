import type { PageDocument } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, timeColumn } from '../../platform/database/columns.js';
import type { MaterialRecord } from '../material/material-record.js';

/** A page as it stood before it was saved over from another place. Nothing that was written is lost. */
@Entity('earlier_pages')
@Index(['materialId', 'id'])
export class EarlierPage {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) materialId: string;
  @ManyToOne('Material', { onDelete: 'CASCADE' }) material: Relation<MaterialRecord>;
  @Column({ type: 'json' }) document: PageDocument;
  @Column(timeColumn) replacedAt: Date;
}
