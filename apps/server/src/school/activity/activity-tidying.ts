/** Deletes what was done more than a year ago, once a day. */
import { Inject, Injectable } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { ActivityService } from './activity.service.js';

const dayMs = 24 * 3600 * 1000;

@Injectable()
export class ActivityTidying extends LoopOfServer {
  constructor(activity: ActivityService, @Inject(LOGGER) logger: AppLogger) {
    super(() => activity.deleteOld(), { name: 'delete old entries of the activity log', everyMs: dayMs, logger });
  }
}
