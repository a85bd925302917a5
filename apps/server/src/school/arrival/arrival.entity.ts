import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import {
  idColumn,
  keywordColumn,
  optionalTimeColumn,
  textColumn,
  timeColumn,
} from '../../platform/database/columns.js';

/** A code that is scanned once to see whether phones reach this server. */
@Entity('arrivals')
export class Arrival {
  @PrimaryColumn(idColumn) id: string;
  @Index({ unique: true }) @Column(keywordColumn(20)) token: string;
  /** Browser and address of the administrator's device, hashed with the token: only other devices count. */
  @Column(keywordColumn(64)) makerHash: string;
  @Column(timeColumn) madeAt: Date;
  @Index() @Column(optionalTimeColumn) arrivedAt: Date | null;
  /** By which the phone came: "https://hapset.school.example". */
  @Column({ ...textColumn(220), nullable: true }) address: string | null;
  /** "Safari on iOS". */
  @Column({ ...textColumn(80), default: '' }) device: string;
}
