import { Column, Entity, PrimaryColumn } from 'typeorm';
import { idColumn, timeColumn } from '../../platform/database/columns.js';

/** A picture for the middle of codes. Small, never changed, and kept as long as the school: sheets are drawn with it again. */
@Entity('look_pictures')
export class LookPicture {
  @PrimaryColumn(idColumn) id: string;
  /** PNG. */
  @Column({ type: 'mediumblob' }) bytes: Buffer;
  @Column({ type: 'int' }) widthPx: number;
  @Column({ type: 'int' }) heightPx: number;
  @Column(timeColumn) createdAt: Date;
}
