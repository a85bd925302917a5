/** Deletes sessions that ended, and failed sign-ins that are forgotten, once a day. */
import { Inject, Injectable } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { SessionService } from './session.service.js';
import { SignInService } from './sign-in.service.js';

const dayMs = 24 * 3600 * 1000;

@Injectable()
export class SessionTidying extends LoopOfServer {
  constructor(sessions: SessionService, signIns: SignInService, @Inject(LOGGER) logger: AppLogger) {
    super(() => Promise.all([sessions.deleteEnded(), signIns.tidy()]), {
      name: 'delete ended sessions',
      everyMs: dayMs,
      logger,
    });
  }
}
