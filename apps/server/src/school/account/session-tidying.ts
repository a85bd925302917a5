/** Deletes sessions that ended, once a day. */
import { Inject, Injectable, type BeforeApplicationShutdown, type OnApplicationBootstrap } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { Loop } from '../../platform/loop/loop.js';
import { SessionService } from './session.service.js';

const dayMs = 24 * 3600 * 1000;

@Injectable()
export class SessionTidying implements OnApplicationBootstrap, BeforeApplicationShutdown {
  private readonly loop: Loop;

  constructor(sessions: SessionService, @Inject(LOGGER) logger: AppLogger) {
    this.loop = new Loop(() => sessions.deleteEnded(), { name: 'delete ended sessions', everyMs: dayMs, logger });
  }

  onApplicationBootstrap(): void {
    this.loop.start();
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.loop.stop();
  }
}
