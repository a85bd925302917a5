/**
 * Tells open pages what changes, whichever server does the work: while somebody listens, the tables are asked for what
 * changed lately, by the database's own clock. A change may be told twice, never not at all.
 */
import { Inject, Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { LiveEvent } from '@hapset/contract';
import { Observable, Subject } from 'rxjs';
import { overlapSeconds } from '../database/changed-lately.js';
import { Loop } from '../loop/loop.js';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';

const lookMs = 300;
const aliveMs = 20_000;
/** After signing out, wherever, a page hears nothing more within this. */
const sessionMs = 3_000;

/** Something that happened, under a key by which it is told once. */
export interface ChangeToTell {
  readonly key: string;
  readonly ownerId: string;
  readonly event: LiveEvent;
}

/** Looks for what changed lately (`changedLately`), by the database's clock; called while somebody listens. */
export type ChangeSource = () => Promise<readonly ChangeToTell[]>;

@Injectable()
export class LiveEventsService implements BeforeApplicationShutdown {
  private readonly sources: ChangeSource[] = [];
  private readonly changes = new Subject<ChangeToTell>();
  private readonly ended = new Subject<void>();
  private told = new Map<string, number>();
  private listeners = 0;
  private readonly loop: Loop;

  constructor(@Inject(LOGGER) private readonly logger: AppLogger) {
    this.loop = new Loop(() => this.tellChanges(), { name: 'look for changes to tell', everyMs: lookMs, logger });
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ended.next();
    this.ended.complete();
    await this.loop.stop();
  }

  /** Who tells what changes, registers its source when the server starts. */
  addSource(source: ChangeSource): void {
    this.sources.push(source);
  }

  /** Null now and then, as a sign of life. Completes when the session or the server ends. @param isAlive whether the session goes on */
  listen(ownerId: string, isAlive: () => Promise<boolean>): Observable<LiveEvent | null> {
    return new Observable((listener) => {
      const alive = setInterval(() => listener.next(null), aliveMs);
      const session = new Loop(async () => ((await isAlive()) ? undefined : listener.complete()), {
        name: 'see whether a session goes on',
        everyMs: sessionMs,
        logger: this.logger,
      }).start();
      const heard = this.changes.subscribe((told) => told.ownerId === ownerId && listener.next(told.event));
      const over = this.ended.subscribe({ next: () => listener.complete(), complete: () => listener.complete() });
      this.listeners += 1;
      this.loop.start();
      listener.next(null);
      return () => {
        clearInterval(alive);
        session.pause();
        heard.unsubscribe();
        over.unsubscribe();
        this.listeners -= 1;
        if (this.listeners === 0) this.loop.pause();
      };
    });
  }

  private async tellChanges(): Promise<void> {
    const changes = (await Promise.all(this.sources.map((source) => source()))).flat();
    const now = Date.now();
    for (const change of changes) this.tell(change, now);
    this.told = new Map([...this.told].filter(([, at]) => now - at < 2000 * overlapSeconds));
  }

  /** Once under each key. */
  private tell(change: ChangeToTell, now: number): void {
    if (!this.told.has(change.key)) this.changes.next(change);
    this.told.set(change.key, now);
  }
}
