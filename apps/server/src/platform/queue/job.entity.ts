import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import { idColumn, keywordColumn, optionalIdColumn, optionalTimeColumn, timeColumn } from '../database/columns.js';

export const jobStates = ['waiting', 'working', 'done', 'failed', 'stopped'] as const;
/** waiting -> working -> done or failed; working -> waiting again after a failure that may pass; stopped from the first two. */
export type JobState = (typeof jobStates)[number];

/** Long work that outlives a page and a server. */
@Entity('jobs')
@Index(['state', 'runAt'])
@Index(['kind', 'subject', 'state'])
export class Job {
  @PrimaryColumn(idColumn) id: string;
  @Column(keywordColumn(40)) kind: string;
  /** What it is about; one unfinished job of a kind for each. */
  @Column(keywordColumn(120)) subject: string;
  @Column(keywordColumn(10)) state: JobState;
  /** Kind and subject until it is finished, then null: one unfinished job for each. */
  @Index({ unique: true }) @Column({ ...keywordColumn(170), nullable: true }) activeKey: string | null;
  /** Not before. */
  @Column(timeColumn) runAt: Date;
  @Column({ type: 'int', default: 0 }) attempts: number;
  /** Kind, code and place of what was thrown; never its message, which may repeat personal data. */
  @Column({ type: 'varchar', length: 500, nullable: true }) failure: string | null;
  /** Who works on it and until when that is believed. */
  @Index() @Column(optionalIdColumn) claim: string | null;
  @Column(optionalTimeColumn) leaseUntil: Date | null;
  @Column(timeColumn) createdAt: Date;
  @Column(optionalTimeColumn) finishedAt: Date | null;
}
