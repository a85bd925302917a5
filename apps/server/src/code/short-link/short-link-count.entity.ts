import type { VisitorKind } from '@hapset/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { keywordColumn } from '../../platform/database/columns.js';

/** How often a short link was opened within an hour, by kind of device. Nothing about who. */
@Entity('short_link_counts')
export class ShortLinkCount {
  @PrimaryColumn(keywordColumn(9)) slug: string;
  /** Begin of the hour, UTC. */
  @PrimaryColumn({ type: 'datetime' }) hour: Date;
  @PrimaryColumn(keywordColumn(10)) visitor: VisitorKind;
  @Column({ type: 'int' }) opens: number;
}
