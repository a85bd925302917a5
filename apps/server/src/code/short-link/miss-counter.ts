/** Counts addresses that led nowhere by the hour, for the administrator; a crash loses some seconds of them. */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { Loop } from '../../platform/loop/loop.js';

const writeEveryMs = 5000;
const hourMs = 3_600_000;
const keptMs = 30 * 24 * hourMs;

@Injectable()
export class MissCounter implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private misses = 0;
  private slowed = 0;
  private readonly loop: Loop;

  constructor(
    private readonly dataSource: DataSource,
    private readonly clock: Clock,
    @Inject(LOGGER) logger: AppLogger,
  ) {
    this.loop = new Loop(() => this.write(), {
      name: 'write counts of unknown short links',
      everyMs: writeEveryMs,
      logger,
    });
  }

  onApplicationBootstrap(): void {
    this.loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
    await this.write().catch(() => undefined);
  }

  count(slowed: boolean): void {
    this.misses += 1;
    if (slowed) this.slowed += 1;
  }

  async lastDay(): Promise<{ readonly misses: number; readonly slowed: number }> {
    await this.write();
    const rows = (await this.dataSource.query(
      'SELECT COALESCE(SUM(misses), 0) AS misses, COALESCE(SUM(slowed), 0) AS slowed FROM short_link_misses WHERE hour > ?',
      [new Date(this.clock.now().getTime() - 24 * hourMs)],
    )) as { misses: string; slowed: string }[];
    return { misses: Number(rows[0]?.misses ?? 0), slowed: Number(rows[0]?.slowed ?? 0) };
  }

  private async write(): Promise<void> {
    const { misses, slowed } = this;
    if (misses === 0) return;
    const now = this.clock.now().getTime();
    await this.dataSource.query(
      'INSERT INTO short_link_misses (hour, misses, slowed) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE misses = misses + VALUES(misses), slowed = slowed + VALUES(slowed)',
      [new Date(now - (now % hourMs)), misses, slowed],
    );
    this.misses -= misses;
    this.slowed -= slowed;
    await this.dataSource.query('DELETE FROM short_link_misses WHERE hour < ?', [new Date(now - keptMs)]);
  }
}
