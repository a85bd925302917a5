/**
 * Tells open pages what changes, whichever server does the work: while somebody listens, the tables are asked for what
 * changed since they were asked last. A change may be told twice, never not at all: whoever begins to listen hears what
 * was told in the moments before, when the page had asked already and did not listen yet.
 */
import { Inject, Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { LiveEvent } from '@hapset/contract';
import { Observable, Subject } from 'rxjs';
import { DataSource } from 'typeorm';
import { ChangeReader, overlapSeconds, type ChangedSince } from '../database/change-reader.js';
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

/** Looks for what changed since; called while somebody listens. */
export type ChangeSource = (since: ChangedSince) => Promise<readonly ChangeToTell[]>;

/** Times in milliseconds since 1970. */
interface Told {
  readonly change: ChangeToTell;
  readonly at: number;
  readonly lastSeenAt: number;
}

@Injectable()
export class LiveEventsService implements BeforeApplicationShutdown {
  private readonly sources: ChangeSource[] = [];
  private readonly changes = new Subject<ChangeToTell>();
  private readonly ended = new Subject<void>();
  private told = new Map<string, Told>();
  private listeners = 0;
  private readonly reader: ChangeReader;
  private readonly loop: Loop;

  constructor(
    @Inject(LOGGER) private readonly logger: AppLogger,
    dataSource: DataSource,
  ) {
    this.reader = new ChangeReader(dataSource);
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
      listener.next(null);
      for (const event of this.toldLately(ownerId)) listener.next(event);
      this.listeners += 1;
      this.loop.start();
      return () => {
        clearInterval(alive);
        session.pause();
        heard.unsubscribe();
        over.unsubscribe();
        this.listeners -= 1;
        if (this.listeners > 0) return;
        this.loop.pause();
        this.reader.forget();
      };
    });
  }

  private async tellChanges(): Promise<void> {
    await this.reader.read(async (since) => {
      const changes = (await Promise.all(this.sources.map((source) => source(since)))).flat();
      const now = Date.now();
      for (const change of changes) this.tell(change, now);
    });
    this.told = new Map([...this.told].filter(([, { lastSeenAt }]) => isLately(lastSeenAt)));
  }

  private toldLately(ownerId: string): readonly LiveEvent[] {
    const told = [...this.told.values()].filter(({ change, at }) => change.ownerId === ownerId && isLately(at));
    return told.map(({ change }) => change.event);
  }

  /** Once under each key. */
  private tell(change: ChangeToTell, now: number): void {
    const before = this.told.get(change.key);
    if (!before) this.changes.next(change);
    this.told.set(change.key, { change, at: before?.at ?? now, lastSeenAt: now });
  }
}

function isLately(at: number): boolean {
  return Date.now() - at < 1000 * overlapSeconds;
}
