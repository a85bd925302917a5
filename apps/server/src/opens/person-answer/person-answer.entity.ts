import { limits } from '@hapset/contract';
import type { PageFingerprint } from '@hapset/core';
import { Column, Entity, OneToOne, JoinColumn, PrimaryColumn, type Relation } from 'typeorm';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import { idColumn, textColumn, timeColumn } from '../../platform/database/columns.js';

/** The last answer of a person who tried a material on a device. */
@Entity('person_answers')
export class PersonAnswer {
  @PrimaryColumn(idColumn) materialId: string;
  @OneToOne('Material', { onDelete: 'CASCADE' }) @JoinColumn() material: Relation<MaterialRecord>;
  /** What was tried; the answer says nothing about another link. */
  @Column({ type: 'text' }) link: string;
  @Column({ type: 'boolean' }) opens: boolean;
  /** The person's name at that time. */
  @Column(textColumn(limits.nameLength)) answeredBy: string;
  @Column(timeColumn) answeredAt: Date;
  /** Of the page that was there; null where nothing came that can be known again. */
  @Column({ type: 'json', nullable: true }) fingerprint: PageFingerprint | null;
}
