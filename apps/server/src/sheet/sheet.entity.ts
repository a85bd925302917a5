import type { ErrorCorrectionLevel, LookDesign, PaperFormat } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, timeColumn } from '../database/columns.js';
import { Material } from '../material/material.entity.js';
import { Station } from '../station/station.entity.js';

/** What stood on a sheet when it was made, so that it can be printed again and compared with now. */
export interface SheetContent {
  readonly payload: string;
  /** Absent on sheets that are older than levels chosen by hand. */
  readonly level?: ErrorCorrectionLevel;
  /** Absent for black squares on white. */
  readonly look?: LookDesign;
  readonly title: string;
  readonly instruction: string;
  /** What to tap; absent or '' where the instruction says it, or nothing is to be tapped. */
  readonly tap?: string;
  readonly address: string | null;
  readonly foot: string;
}

@Entity('sheets')
@Index(['materialId', 'id'])
@Index(['stationId', 'id'])
export class Sheet {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) materialId: string;
  @ManyToOne(() => Material, { onDelete: 'CASCADE' }) material: Relation<Material>;
  @Column(optionalIdColumn) stationId: string | null;
  @ManyToOne(() => Station, { onDelete: 'SET NULL', nullable: true }) station: Relation<Station> | null;
  @Column(keywordColumn(20)) kind: 'poster';
  @Column(keywordColumn(10)) paper: PaperFormat;
  @Column({ type: 'double' }) sizeMm: number;
  @Column({ type: 'json' }) content: SheetContent;
  @Column({ type: 'varchar', length: 120 }) fileName: string;
  @Column(timeColumn) madeAt: Date;
}
