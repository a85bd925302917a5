/** Deletes sessions that ended, once a day. */
import { Inject, Injectable } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { SessionService } from './session.service.js';

const dayMs = 24 * 3600 * 1000;

@Injectable()
export class SessionTidying extends LoopOfServer {
  constructor(sessions: SessionService, @Inject(LOGGER) logger: AppLogger) {
    super(() => sessions.deleteEnded(), { name: 'delete ended sessions', everyMs: dayMs, logger });
  }
}
