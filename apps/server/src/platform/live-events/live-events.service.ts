/**
 * Tells open pages that their materials' checks move on, whichever server does the work: while somebody listens, the
 * table is asked for what changed lately, by the database's own clock. A change may be told twice, never not at all.
 */
import { Inject, Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { AccessCheckState, LiveEvent } from '@hapset/contract';
import { Observable, Subject } from 'rxjs';
import { DataSource } from 'typeorm';
import { SessionService } from '../../school/account/session.service.js';
import { changedLately, overlapSeconds } from '../database/changed-lately.js';
import { Loop } from '../loop/loop.js';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';

const lookMs = 300;
const aliveMs = 20_000;
/** After signing out, wherever, a page hears nothing more within this. */
const sessionMs = 3_000;

interface ChangedRow {
  readonly id: string;
  readonly materialId: string;
  readonly ownerId: string;
  readonly state: AccessCheckState;
}
interface Told {
  readonly ownerId: string;
  readonly event: LiveEvent;
}

interface TriedRow {
  readonly id: string;
  readonly materialId: string;
  readonly ownerId: string;
  readonly pageOpened: number | null;
}

@Injectable()
export class LiveEventsService implements BeforeApplicationShutdown {
  private readonly changes = new Subject<Told>();
  private readonly ended = new Subject<void>();
  private told = new Map<string, number>();
  private listeners = 0;
  private readonly loop: Loop;

  constructor(
    private readonly dataSource: DataSource,
    private readonly sessions: SessionService,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    this.loop = new Loop(() => this.tellChanges(), { name: 'look for changes to tell', everyMs: lookMs, logger });
  }

  async beforeApplicationShutdown(): Promise<void> {
    this.ended.next();
    this.ended.complete();
    await this.loop.stop();
  }

  /** Null now and then, as a sign of life. Completes when the session or the server ends. */
  of(ownerId: string, token: string): Observable<LiveEvent | null> {
    return new Observable((listener) => {
      const alive = setInterval(() => listener.next(null), aliveMs);
      const session = new Loop(async () => ((await this.sessions.isAlive(token)) ? undefined : listener.complete()), {
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
    const rows = (await this.dataSource.query(
      `SELECT checks.id, checks.material_id AS materialId, materials.owner_id AS ownerId, checks.state
       FROM access_checks checks JOIN materials ON materials.id = checks.material_id
       WHERE ${changedLately('checks.changed_at')}`,
    )) as ChangedRow[];
    const tried = (await this.dataSource.query(
      `SELECT tryouts.id, tryouts.material_id AS materialId, materials.owner_id AS ownerId, tryouts.page_opened AS pageOpened
       FROM tryouts JOIN materials ON materials.id = tryouts.material_id
       WHERE ${changedLately('tryouts.changed_at')}`,
    )) as TriedRow[];
    const now = Date.now();
    for (const { id, materialId, ownerId, state } of rows)
      this.tell(`${id} ${state}`, { ownerId, event: { type: 'check', materialId, state } }, now);
    for (const { id, materialId, ownerId, pageOpened } of tried)
      this.tell(`${id} ${pageOpened ?? ''}`, { ownerId, event: { type: 'tryout', materialId } }, now);
    this.told = new Map([...this.told].filter(([, at]) => now - at < 2000 * overlapSeconds));
  }

  /** Once under each key. */
  private tell(key: string, told: Told, now: number): void {
    if (!this.told.has(key)) this.changes.next(told);
    this.told.set(key, now);
  }
}
