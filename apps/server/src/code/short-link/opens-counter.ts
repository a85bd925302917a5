/** Counts openings in memory and writes them down together: a crash loses a second of counts, never a redirect. */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import type { VisitorKind } from '@hapset/core';
import { DataSource } from 'typeorm';
import { Loop } from '../../platform/loop/loop.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';

const writeEveryMs = 900;
const hourMs = 3_600_000;
const rowsAtOnce = 500;

interface Counted {
  readonly slug: string;
  readonly hour: number;
  readonly visitor: VisitorKind;
  opens: number;
}

@Injectable()
export class OpensCounter implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private counted = new Map<string, Counted>();
  private readonly loop: Loop;
  private writing: Promise<void> = Promise.resolve();

  constructor(
    private readonly dataSource: DataSource,
    @Inject(LOGGER) logger: AppLogger,
  ) {
    this.loop = new Loop(() => this.write(), { name: 'write counts of short links', everyMs: writeEveryMs, logger });
  }

  onApplicationBootstrap(): void {
    this.loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
    // The database may be away just now; then these are lost, and the server ends all the same.
    await this.write().catch(() => undefined);
  }

  /** @param at milliseconds since 1970 */
  count(slug: string, visitor: VisitorKind, at: number): void {
    this.add({ slug, hour: at - (at % hourMs), visitor, opens: 1 });
  }

  /** Writes what was counted so far. What could not be written is kept for the next time. */
  write(): Promise<void> {
    this.writing = this.writing.catch(() => undefined).then(() => this.writeNow());
    return this.writing;
  }

  private async writeNow(): Promise<void> {
    const batch = [...this.counted.values()];
    this.counted = new Map();
    let failure: unknown = null;
    for (let from = 0; from < batch.length; from += rowsAtOnce) {
      const rows = batch.slice(from, from + rowsAtOnce);
      try {
        await this.dataSource.query(
          `INSERT INTO short_link_counts (slug, hour, visitor, opens) VALUES ${rows.map(() => '(?, ?, ?, ?)').join(', ')} ON DUPLICATE KEY UPDATE opens = opens + VALUES(opens)`,
          rows.flatMap(({ slug, hour, visitor, opens }) => [slug, new Date(hour), visitor, opens]),
        );
      } catch (error) {
        failure = error;
        rows.forEach((row) => this.add(row));
      }
    }
    if (failure instanceof Error) throw failure;
  }

  private add(counted: Counted): void {
    const key = `${counted.slug} ${counted.hour} ${counted.visitor}`;
    const known = this.counted.get(key);
    if (known) known.opens += counted.opens;
    else this.counted.set(key, counted);
  }
}
