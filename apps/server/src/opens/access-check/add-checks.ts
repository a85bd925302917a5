import { parseUrl } from '@hapset/core';
import type { EntityManager } from 'typeorm';
import { addJobs } from '../../platform/queue/add-jobs.js';
import { AccessCheck } from './access-check.entity.js';

/** What checks are called in the queue. */
export const checkJob = 'access-check';
/** What seeing their pages in a browser is called. */
export const viewJob = 'student-view';
/** Somebody looks at the page of the one material. */
const looksAtIt = 1;

/** What is known of a check when it is asked for. */
export interface NewCheck {
  readonly id: string;
  readonly link: string;
  readonly materialId: string | null;
  readonly askedById: string | null;
  /** For whom it is done; null for a visitor. */
  readonly ownerId: string | null;
}

/** Adds checks with their jobs, within a transaction. Wake the queue when it has ended. */
export async function addChecks(manager: EntityManager, requests: readonly NewCheck[], askedAt: Date): Promise<void> {
  if (requests.length === 0) return;
  await manager.insert(
    AccessCheck,
    requests.map(({ id, link, materialId, askedById }) => ({
      id,
      link,
      materialId,
      askedById,
      state: 'waiting' as const,
      askedAt,
    })),
  );
  await addJobs(
    manager,
    requests.map(({ id, link, ownerId }) => ({
      kind: checkJob,
      subject: id,
      ownerId,
      lane: hostOfLink(link),
      priority: requests.length === 1 ? looksAtIt : 0,
    })),
  );
}

/** Asks for a page to be seen in a browser, within the transaction that finishes its plain check. */
export async function addViewJob(
  manager: EntityManager,
  { id, link, material }: Pick<AccessCheck, 'id' | 'link' | 'material'>,
): Promise<void> {
  await addJobs(manager, [{ kind: viewJob, subject: id, ownerId: material?.ownerId ?? null, lane: hostOfLink(link) }]);
}

/** Host and port, cut: so many may be opened at once. */
function hostOfLink(link: string): string {
  const host = parseUrl(link)?.host ?? '';
  return /^[\x20-\x7e]*$/.test(host) ? host.slice(0, 100) : '';
}
