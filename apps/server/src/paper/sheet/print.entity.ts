import { limits, type PrintOrigin, type PrintState } from '@hapset/contract';
import type { SheetSetup, SheetKind } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  timeColumn,
  textColumn,
} from '../../platform/database/columns.js';
import type { HanForms } from '../../code/typeface/shaped-line.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** Sheets that were made in one go. Its codes are rows of `sheets`, in their order. */
@Entity('prints')
@Index(['ownerId', 'id'])
@Index(['state', 'finishedAt'])
export class Print {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) ownerId: string;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) owner: Relation<SignedIn>;
  /** Of the lesson, the collection, the material. */
  @Column(textColumn(limits.titleLength)) name: string;
  @Column(keywordColumn(20)) kind: SheetKind;
  @Column({ type: 'json' }) setup: SheetSetup;
  @Column(keywordColumn(4)) han: HanForms;
  @Column({ type: 'int' }) codes: number;
  @Column({ type: 'int' }) pages: number;
  /** Counts how often what is on it became less; a drawing of an earlier one is thrown away. */
  @Column({ type: 'int', default: 1 }) revision: number;
  /** Short ones are done at once: they are drawn whenever they are asked for. */
  @Column(keywordColumn(10)) state: PrintState;
  /** In the storage, where a job drew it; null otherwise, and once it was put away. */
  @Column({ ...keywordColumn(80), nullable: true }) storageKey: string | null;
  @Column({ type: 'varchar', length: 120 }) fileName: string;
  @Column(timeColumn) madeAt: Date;
  @Column(optionalTimeColumn) finishedAt: Date | null;
  /** When it was taken off the list; what is on paper is remembered all the same. */
  @Column(optionalTimeColumn) removedAt: Date | null;
  /** What it was made with; null on student cards and on prints of before. */
  @Column({ type: 'json', nullable: true }) origin: PrintOrigin | null;
}
