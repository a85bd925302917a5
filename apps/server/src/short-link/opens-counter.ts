/** Counts openings in memory and writes them down together: a crash loses a second of counts, never a redirect. */
import { Inject, Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import type { VisitorKind } from '@hapset/core';
import { DataSource } from 'typeorm';
import { LOGGER, type AppLogger } from '../logging/logger.token.js';

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
export class OpensCounter implements BeforeApplicationShutdown {
  private counted = new Map<string, Counted>();
  private timer: NodeJS.Timeout | null = null;
  private writing: Promise<void> = Promise.resolve();

  constructor(
    private readonly dataSource: DataSource,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {}

  async beforeApplicationShutdown(): Promise<void> {
    if (this.timer) clearTimeout(this.timer);
    await this.write();
  }

  /** @param at milliseconds since 1970 */
  count(slug: string, visitor: VisitorKind, at: number): void {
    this.add({ slug, hour: at - (at % hourMs), visitor, opens: 1 });
    this.timer ??= setTimeout(() => {
      this.timer = null;
      void this.write();
    }, writeEveryMs);
  }

  /** Writes what was counted so far. What could not be written is kept for the next time. */
  write(): Promise<void> {
    this.writing = this.writing.then(() => this.writeNow());
    return this.writing;
  }

  private async writeNow(): Promise<void> {
    const batch = [...this.counted.values()];
    this.counted = new Map();
    for (let from = 0; from < batch.length; from += rowsAtOnce) {
      const rows = batch.slice(from, from + rowsAtOnce);
      try {
        await this.dataSource.query(
          `INSERT INTO short_link_counts (slug, hour, visitor, opens) VALUES ${rows.map(() => '(?, ?, ?, ?)').join(', ')} ON DUPLICATE KEY UPDATE opens = opens + VALUES(opens)`,
          rows.flatMap(({ slug, hour, visitor, opens }) => [slug, new Date(hour), visitor, opens]),
        );
      } catch (error) {
        this.logger.error({ err: error }, 'could not write counts of short links');
        rows.forEach((row) => this.add(row));
      }
    }
  }

  private add(counted: Counted): void {
    const key = `${counted.slug} ${counted.hour} ${counted.visitor}`;
    const known = this.counted.get(key);
    if (known) known.opens += counted.opens;
    else this.counted.set(key, counted);
  }
}
