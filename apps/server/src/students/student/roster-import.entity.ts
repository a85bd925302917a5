import { limits, type RosterImportKind } from '@hapset/contract';
import type { EditedParts } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  timeColumn,
  textColumn,
} from '../../platform/database/columns.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** What a student was before an import, so that it can be undone. */
export interface StudentBefore {
  readonly id: string;
  readonly schoolId: string | null;
  readonly prefix: string;
  readonly given: string;
  readonly middle: string;
  readonly family: string;
  readonly className: string;
  readonly year: string;
  /** Milliseconds since 1970. */
  readonly leftAt: number | null;
  /** Missing in imports of earlier versions. */
  readonly edited?: EditedParts;
  /** After the import; whoever has another one by now was changed since. Missing in imports of earlier versions. */
  readonly version?: number;
}

export interface RosterChanges {
  readonly added: readonly string[];
  readonly changed: readonly StudentBefore[];
  /** Ids alone in imports of earlier versions. */
  readonly left: readonly (string | { readonly id: string; readonly version: number })[];
}

@Entity('roster_imports')
export class RosterImport {
  @PrimaryColumn(idColumn) id: string;
  @Index() @Column(idColumn) importedById: string;
  @ManyToOne('Account', { onDelete: 'CASCADE' }) importedBy: Relation<SignedIn>;
  @Column({ ...keywordColumn(20), default: 'roster' }) kind: RosterImportKind;
  @Column(textColumn(limits.fileNameLength)) fileName: string;
  @Column({ type: 'json' }) changes: RosterChanges;
  @Column(timeColumn) importedAt: Date;
  @Column(optionalTimeColumn) undoneAt: Date | null;
}
