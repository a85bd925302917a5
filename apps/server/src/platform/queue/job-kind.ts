/** What kinds of long work say about themselves, and what their work is given. */
import type { EntityManager } from 'typeorm';

/**
 * What a kind of work takes up. `network` waits for answers of others: many at once, few in one lane, counted over all
 * servers. `cores` computes: as many as each server has room for. `browser` draws pages: each server has one browser.
 */
export const pools = {
  network: { atOnce: 40, atOneLane: 6, countedOver: 'all servers' },
  browser: { atOnce: 2, atOneLane: 2, countedOver: 'this server' },
  cores: { atOnce: 2, atOneLane: 2, countedOver: 'this server' },
} as const;
export type Pool = keyof typeof pools;

export interface JobKind {
  /** At most 40 ASCII characters. */
  readonly name: string;
  readonly pool: Pool;
  /** Done again from its beginning after a failure or the end of a server. A job that is stopped fires `stop`. */
  readonly work: (run: JobRun) => Promise<void>;
  /** Makes the failure visible, after the third attempt. It may be called twice. */
  readonly failed?: (subject: string) => Promise<void>;
}

/** One attempt. */
export interface JobRun {
  readonly subject: string;
  /** Fires when the job was stopped, begun again, taken over by another server, or when this server ends. */
  readonly stop: AbortSignal;
  /** Says how far it is, in a unit of its own; written down about every second. */
  readonly tell: (done: number, total: number) => void;
  /**
   * Whether it is still this attempt's to write the result. Begin the transaction that writes it with this question:
   * nobody can stop the job or take it over until that ends.
   */
  readonly holds: (manager: EntityManager) => Promise<boolean>;
}

export interface NewJob {
  readonly kind: string;
  /** What it is about, at most 120 ASCII characters; one unfinished job of a kind for each. */
  readonly subject: string;
  /** For whom; nobody where nothing is said. */
  readonly ownerId?: string | null;
  readonly lane?: string;
  /** Higher ones of an owner begin first; 0 where nothing is said, -128 to 127. */
  readonly priority?: number;
  /** Not before so many seconds have passed. */
  readonly afterS?: number;
}

export interface JobProgress {
  readonly done: number;
  readonly total: number;
}
