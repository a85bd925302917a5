import { limits, type Activity, type Role } from '@hapset/contract';
import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, textColumn, timeColumn } from '../../platform/database/columns.js';

/** What somebody did, with the name they had then: it outlives the account. Never changed. */
@Entity('activity_entries')
@Index(['activity', 'id'])
@Index(['who', 'id'])
export class ActivityEntryRow {
  @PrimaryColumn(idColumn) id: string;
  @Index() @Column(timeColumn) at: Date;
  /** Null where it was done at the server's console. */
  @Column(optionalIdColumn) accountId: string | null;
  @Column(textColumn(limits.nameLength)) who: string;
  @Column({ ...keywordColumn(20), nullable: true }) role: Role | null;
  @Column(keywordColumn(40)) activity: Activity;
  /** Never a student's name. */
  @Column(textColumn(200)) subject: string;
}
