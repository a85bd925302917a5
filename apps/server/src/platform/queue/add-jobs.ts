import type { EntityManager } from 'typeorm';
import { newId } from '../database/columns.js';
import type { NewJob } from './job-kind.js';

const mostAtOnce = 500;

/**
 * Adds jobs within a transaction, together with what they are about. Leaves out those of which one waits or runs
 * already. Wake the queue when the transaction has ended.
 */
export async function addJobs(manager: EntityManager, requests: readonly NewJob[]): Promise<void> {
  for (let from = 0; from < requests.length; from += mostAtOnce) {
    const some = requests.slice(from, from + mostAtOnce);
    await manager.query(
      `INSERT IGNORE INTO jobs (id, kind, subject, active_key, owner_id, lane, priority, state, run_at, attempts, created_at)
       VALUES ${some.map(() => "(?, ?, ?, ?, ?, ?, ?, 'waiting', NOW(3) + INTERVAL ? SECOND, 0, NOW(3))").join(', ')}`,
      some.flatMap(({ kind, subject, ownerId, lane = '', priority = 0, afterS = 0 }) => [
        newId(),
        kind,
        subject,
        activeKey(kind, subject),
        ownerId ?? '',
        lane,
        priority,
        afterS,
      ]),
    );
  }
}

/** Of the one unfinished job of a kind about a subject. */
export function activeKey(kind: string, subject: string): string {
  return `${kind} ${subject}`;
}
