/** Opens the stations of coming lessons the evening before and an hour before, by the school's clock. */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { type OpeningTime } from '@hapset/core';
import { Repository } from 'typeorm';
import { AccessCheckService } from '../access-check/access-check.service.js';
import { Loop } from '../../platform/loop/loop.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { StationService } from '../../lessons/station/station.service.js';
import { ScheduledOpening } from './scheduled-opening.entity.js';
import { ComingLessons } from './coming-lessons.js';

const lookMs = 60_000;

@Injectable()
export class OpeningScheduleService implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly loop: Loop;

  constructor(
    @InjectRepository(ScheduledOpening) private readonly openings: Repository<ScheduledOpening>,
    private readonly coming: ComingLessons,
    private readonly checks: AccessCheckService,
    private readonly stations: StationService,
    @Inject(LOGGER) logger: AppLogger,
  ) {
    this.loop = new Loop(() => this.openWhatIsDue(), { name: 'open coming lessons', everyMs: lookMs, logger });
  }

  onApplicationBootstrap(): void {
    this.loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
  }

  /** Ids of the lessons that this server opened now. */
  async openWhatIsDue(): Promise<readonly string[]> {
    const opened: string[] = [];
    for (const { lessonId, due } of await this.coming.listDue()) {
      const mine = await Promise.all(due.map(({ time, at }) => this.takeUp(lessonId, time, new Date(at))));
      if (!mine.includes(true)) continue;
      await this.checks.enqueue(await this.stations.materialsOf(lessonId));
      opened.push(lessonId);
    }
    return opened;
  }

  /** True for the one server that wrote the row. */
  private async takeUp(lessonId: string, time: OpeningTime, dueAt: Date): Promise<boolean> {
    const { affectedRows } = (await this.openings.query(
      'INSERT IGNORE INTO scheduled_openings (lesson_id, time, due_at) VALUES (?, ?, ?)',
      [lessonId, time, dueAt],
    )) as { affectedRows: number };
    return affectedRows === 1;
  }
}
