import { limits, type LookMakers } from '@hapset/contract';
import type { DuplexEdge, PaperFormat } from '@hapset/core';
import { Column, Entity, PrimaryColumn } from 'typeorm';
import { keywordColumn, optionalIdColumn, optionalTimeColumn, textColumn } from '../../platform/database/columns.js';

/** One row: the school that runs this server. */
@Entity('schools')
export class School {
  @PrimaryColumn({ type: 'tinyint' }) id: number;
  @Column(textColumn(limits.nameLength)) name: string;
  @Column(keywordColumn(60)) timeZone: string;
  @Column({ ...keywordColumn(limits.languageTag), default: 'en-GB' }) language: string;
  @Column(keywordColumn(10)) paper: PaperFormat;
  @Column({ type: 'double', default: 5 }) printerMarginMm: number;
  @Column({ ...keywordColumn(5), default: 'long' }) duplexEdge: DuplexEdge;
  @Column({ type: 'double', default: 0 }) duplexRightMm: number;
  @Column({ type: 'double', default: 0 }) duplexDownMm: number;
  @Column(textColumn(limits.addressLength)) publicAddress: string;
  @Column({ ...textColumn(limits.addressLength), nullable: true }) shortLinkHost: string | null;
  /** Hosts of short links before that one: what is on paper stays valid. */
  @Column({ type: 'json', nullable: true }) formerShortHosts: readonly string[] | null;
  /** From where links of codes are followed for those who are not signed in; null or none: from nowhere. */
  @Column({ type: 'json', nullable: true }) visitorNetworks: readonly string[] | null;
  /** Look of codes for which none was chosen; null for the plain one. */
  @Column(optionalIdColumn) defaultLookId: string | null;
  @Column({ ...keywordColumn(20), default: 'staff' }) looksMadeBy: LookMakers;
  /** Account ids of teachers with the classes that they see; null while all see all. */
  @Column({ type: 'json', nullable: true }) teacherClasses: Readonly<Record<string, readonly string[]>> | null;
  @Column({ ...textColumn(limits.cardReturnToLength), default: '' }) cardReturnTo: string;
  @Column({ type: 'boolean', default: false }) studentPhotos: boolean;
  @Column(optionalTimeColumn) printerTestedAt: Date | null;
  @Column({ type: 'int', default: 1 }) version: number;
  /** When the demo data came in; it does so once. */
  @Column(optionalTimeColumn) demoLoadedAt: Date | null;
}
