import { limits } from '@hapset/contract';
import type { AddressCarry, Content, ErrorCorrectionLevel, Kept, MaterialKind, Repair } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  timeColumn,
  textColumn,
} from '../../platform/database/columns.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

export const titleSources = ['address', 'page', 'person', 'paper'] as const;
/**
 * Where a title comes from. What a person wrote is never overwritten. Neither is the name that a short link had before its
 * target changed (`paper`), since it is on printed sheets.
 */
export type TitleSource = (typeof titleSources)[number];

@Entity('materials')
@Index(['ownerId', 'removedAt', 'id'])
export class Material {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) ownerId: string;
  @ManyToOne('Account', { onDelete: 'RESTRICT' }) owner: Relation<SignedIn>;
  @Column(keywordColumn(20)) kind: MaterialKind;
  @Column(textColumn(limits.titleLength)) title: string;
  @Column(keywordColumn(10)) titleSource: TitleSource;
  /** What was pasted, before any repair. */
  @Column({ type: 'text' }) pasted: string;
  @Column({ type: 'text', nullable: true }) link: string | null;
  @Column({ type: 'text', nullable: true }) words: string | null;
  /** What of its address the code carries; nothing to choose where the code holds words. */
  @Column({ ...keywordColumn(20), default: 'link' }) carry: AddressCarry;
  /** The link without what only counts visitors, as it was proven when it was chosen; null where it was not. */
  @Column({ type: 'text', nullable: true }) trimmedLink: string | null;
  /** Of its short link, once it has one; then for ever. */
  @Index({ unique: true }) @Column({ ...keywordColumn(9), nullable: true }) slug: string | null;
  /** Error correction level chosen by hand; null for the highest that costs nothing. */
  @Column({ ...keywordColumn(1), nullable: true }) level: ErrorCorrectionLevel | null;
  /** Side of the printed symbol outside lessons, chosen by hand, millimetres; null to compute it. */
  @Column({ type: 'int', nullable: true }) sizeMm: number | null;
  /** A look's id, `plain`, or null for what lesson or school say. */
  @Column({ ...keywordColumn(36), nullable: true }) look: string | null;
  /** In the address of its picture for web pages, once it was shown; then for ever. */
  @Index({ unique: true }) @Column({ ...keywordColumn(20), nullable: true }) pictureToken: string | null;
  @Column({ type: 'boolean', default: false }) pictureShown: boolean;
  /** Fields of the kinds that have some. */
  @Column({ type: 'json', nullable: true }) content: Content | null;
  /** What the school's own server keeps for it. */
  @Column({ type: 'json', nullable: true }) kept: Kept | null;
  /** In the address of its page for students. */
  @Index({ unique: true }) @Column({ ...keywordColumn(20), nullable: true }) pageToken: string | null;
  /** Last day in the school's zone on which that page is shown, `YYYY-MM-DD`. */
  @Column({ ...keywordColumn(10), nullable: true }) shownUntil: string | null;
  /** First words that the teacher saw at the link when it was added; null where that is not known, or for another link. */
  @Column({ ...textColumn(limits.sawLength), nullable: true }) teacherSaw: string | null;
  @Column({ type: 'json', nullable: true }) tags: readonly string[] | null;
  @Column({ type: 'json' }) repairs: readonly Repair[];
  @Column(textColumn(limits.instructionLength)) instruction: string;
  @Column({ type: 'int', default: 1 }) version: number;
  @Column(timeColumn) createdAt: Date;
  @Column(optionalTimeColumn) removedAt: Date | null;
}
