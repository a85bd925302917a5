import { limits } from '@hapset/contract';
import type { FaceLayoutName, HeaderPicture, LabelGrid, SheetKind } from '@hapset/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  timeColumn,
  textColumn,
} from '../../platform/database/columns.js';

/** A variant of the school's own of how a kind of sheet looks. */
@Entity('sheet_templates')
export class SheetTemplate {
  @PrimaryColumn(idColumn) id: string;
  @Column(textColumn(limits.lookNameLength)) name: string;
  @Column(keywordColumn(20)) kind: SheetKind;
  /** `#rrggbb` */
  @Column(keywordColumn(7)) accent: string;
  @Column({ type: 'json', nullable: true }) header: HeaderPicture | null;
  /** Null for the usual one of its kind. */
  @Column({ ...keywordColumn(20), nullable: true }) layout: FaceLayoutName | null;
  /** In the line at the foot; '' for the school's name. */
  @Column({ ...textColumn(limits.sheetFooterLength), default: '' }) footer: string;
  /** How the school's sheets of labels are cut. */
  @Column({ type: 'json', nullable: true }) labels: LabelGrid | null;
  /** What sheets of its kind have where nobody chose; at most one a kind. */
  @Column({ type: 'boolean', default: false }) usual: boolean;
  /** Who made it; that one and the administrator may change it. */
  @Column(idColumn) madeById: string;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(timeColumn) createdAt: Date;
  @Column(optionalTimeColumn) removedAt: Date | null;
}
