import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, optionalTimeColumn, timeColumn } from '../database/columns.js';

export const jobStates = ['waiting', 'working', 'done', 'failed', 'stopped'] as const;
/** waiting -> working -> done or failed; working -> waiting again after a failure that may pass; stopped from the first two. */
export type JobState = (typeof jobStates)[number];

/** Long work that outlives a page and a server. All its times are the database's. */
@Entity('jobs')
@Index(['state', 'runAt'])
@Index(['kind', 'subject', 'state'])
export class Job {
  @PrimaryColumn(idColumn) id: string;
  @Column(keywordColumn(40)) kind: string;
  /** What it is about; one unfinished job of a kind for each. */
  @Column(keywordColumn(120)) subject: string;
  /** For whom; empty where it is for the school. Nobody's crowd keeps the others waiting. */
  @Column({ ...keywordColumn(36), default: '' }) ownerId: string;
  /** Jobs in one lane (a host, for instance) run a few at once. */
  @Column({ ...keywordColumn(100), default: '' }) lane: string;
  /** Higher ones of an owner begin first. */
  @Column({ type: 'tinyint', default: 0 }) priority: number;
  @Column(keywordColumn(10)) state: JobState;
  /** Kind and subject until it is finished, then null: one unfinished job for each. */
  @Index({ unique: true }) @Column({ ...keywordColumn(170), nullable: true }) activeKey: string | null;
  /** Not before. */
  @Column(timeColumn) runAt: Date;
  @Column({ type: 'int', default: 0 }) attempts: number;
  /** How much is done, of how much, in the kind's own unit; null where it never said so. */
  @Column({ type: 'int', nullable: true }) progressDone: number | null;
  @Column({ type: 'int', nullable: true }) progressTotal: number | null;
  /** Kind, code and place of what was thrown; never its message, which may repeat personal data. */
  @Column({ type: 'varchar', length: 500, nullable: true }) failure: string | null;
  /** Who works on it and until when that is believed. */
  @Index() @Column(optionalIdColumn) claim: string | null;
  @Column(optionalTimeColumn) leaseUntil: Date | null;
  @Column(timeColumn) createdAt: Date;
  @Index() @Column(optionalTimeColumn) finishedAt: Date | null;
}
