import type { PaperFormat, SheetKind } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, timeColumn } from '../../platform/database/columns.js';
import { Print } from './print.entity.js';
import type { SheetContent } from './sheet-order.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { StationRecord } from '../../lessons/station/station-record.js';

@Entity('sheets')
@Index(['materialId', 'id'])
@Index(['stationId', 'id'])
@Index(['printId', 'position'])
export class Sheet {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) materialId: string;
  @ManyToOne('Material', { onDelete: 'CASCADE' }) material: Relation<MaterialRecord>;
  @Column(optionalIdColumn) stationId: string | null;
  @ManyToOne('Station', { onDelete: 'SET NULL', nullable: true }) station: Relation<StationRecord> | null;
  @Column(keywordColumn(20)) kind: SheetKind;
  @Column(keywordColumn(10)) paper: PaperFormat;
  @Column({ type: 'double' }) sizeMm: number;
  @Column({ type: 'json' }) content: SheetContent;
  @Column({ type: 'varchar', length: 120 }) fileName: string;
  @Column(timeColumn) madeAt: Date;
  /** With which it was made; null on sheets that are older than prints. */
  @Column(optionalIdColumn) printId: string | null;
  @ManyToOne(() => Print, { onDelete: 'CASCADE', nullable: true }) print: Relation<Print> | null;
  /** Among the codes of its print, from 0. */
  @Column({ type: 'int', default: 0 }) position: number;
}
