import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, keywordColumn, timeColumn } from '../../platform/database/columns.js';

/** Where a short link led before its target was changed. */
@Entity('short_link_turns')
@Index(['slug', 'id'])
export class ShortLinkTurn {
  @PrimaryColumn(idColumn) id: string;
  @Column(keywordColumn(9)) slug: string;
  /** The address until then. */
  @Column({ type: 'text' }) fromAddress: string;
  @Column({ type: 'text' }) toAddress: string;
  @Column(timeColumn) at: Date;
}
