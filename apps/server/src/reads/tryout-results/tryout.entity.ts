import type { TryoutOutcome } from '@hapset/contract';
import type { VisitorKind } from '@hapset/core';
import { Column, Entity, Index, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, timeColumn } from '../../platform/database/columns.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { DeviceRecord } from '../../school/device/device-record.js';

/** What a real device made of a code: seen by the server itself, or told by the teacher. */
@Entity('tryouts')
@Index(['materialId', 'id'])
export class Tryout {
  @PrimaryColumn(idColumn) id: string;
  @Column(idColumn) materialId: string;
  @ManyToOne('Material', { onDelete: 'CASCADE' }) material: Relation<MaterialRecord>;
  /** Which of the school's devices, where the teacher said so. */
  @Column(optionalIdColumn) deviceId: string | null;
  @ManyToOne('Device', { onDelete: 'SET NULL', nullable: true }) device: Relation<DeviceRecord> | null;
  @Column(keywordColumn(12)) outcome: TryoutOutcome;
  /** Null where the teacher told it. */
  @Column({ ...keywordColumn(10), nullable: true }) visitor: VisitorKind | null;
  /** From showing the code to its opening, milliseconds; null where the teacher told it. */
  @Column({ type: 'int', nullable: true }) afterMs: number | null;
  /** Whether the page behind it was fetched as well; null where that is not for this server to see. */
  @Column({ type: 'boolean', nullable: true }) pageOpened: boolean | null;
  /** What the code said then. */
  @Column({ type: 'text' }) payload: string;
  @Column(timeColumn) at: Date;
  @Index()
  @Column({ ...timeColumn, default: () => 'CURRENT_TIMESTAMP(3)', onUpdate: 'CURRENT_TIMESTAMP(3)' })
  changedAt: Date;
}
