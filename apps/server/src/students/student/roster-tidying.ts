/** Removes rosters that can no longer be imported, once an hour: they are names that nobody needs any more. */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { Loop } from '../../platform/loop/loop.js';
import { ComparedRosters } from './compared-rosters.js';

const hourMs = 3600 * 1000;

@Injectable()
export class RosterTidying implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly loop: Loop;

  constructor(rosters: ComparedRosters, @Inject(LOGGER) logger: AppLogger) {
    this.loop = new Loop(() => rosters.removeOld(), { name: 'remove old rosters', everyMs: hourMs, logger });
  }

  onApplicationBootstrap(): void {
    this.loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
  }
}
