/** Removes rosters that can no longer be imported, once an hour: they are names that nobody needs any more. */
import { Inject, Injectable } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { ComparedRosters } from './compared-rosters.js';

const hourMs = 3600 * 1000;

@Injectable()
export class RosterTidying extends LoopOfServer {
  constructor(rosters: ComparedRosters, @Inject(LOGGER) logger: AppLogger) {
    super(() => rosters.removeOld(), { name: 'remove old rosters', everyMs: hourMs, logger });
  }
}
