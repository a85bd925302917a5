import { limits } from '@hapset/contract';
import type { MediaFormat, ReaderEngineName, ScannerAct } from '@hapset/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { idColumn, keywordColumn, textColumn } from '../../platform/database/columns.js';

/** A kind of device that the school has or that students bring. Figures as in the core's DeviceProfile. */
@Entity('devices')
export class Device {
  @PrimaryColumn(idColumn) id: string;
  @Column(textColumn(limits.nameLength)) name: string;
  @Column({ type: 'int', nullable: true }) count: number | null;
  @Column({ type: 'int' }) previewWidthPx: number;
  @Column({ type: 'int' }) previewHeightPx: number;
  @Column({ type: 'double' }) horizontalFovDeg: number;
  @Column({ type: 'double' }) nearestFocusM: number;
  @Column({ type: 'double' }) blurPx: number;
  @Column({ type: 'double' }) noiseGrey: number;
  @Column({ type: 'int', nullable: true }) jpegQuality: number | null;
  @Column(keywordColumn(20)) engine: ReaderEngineName;
  /** What its scanner acts on; the rest it shows as text. */
  @Column({ type: 'json' }) actsOn: readonly ScannerAct[];
  /** Sounds and films that its browser plays. */
  @Column({ type: 'json' }) plays: readonly MediaFormat[];
  /** Order of the list, from 1. */
  @Column({ type: 'int' }) position: number;
}
