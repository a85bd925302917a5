/** Deletes one-time links that are too old, once a day. */
import { Inject, Injectable } from '@nestjs/common';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { AccountLinks } from './account-links.js';

const dayMs = 24 * 3600 * 1000;

@Injectable()
export class AccountLinkTidying extends LoopOfServer {
  constructor(links: AccountLinks, @Inject(LOGGER) logger: AppLogger) {
    super(() => links.deleteOld(), { name: 'delete old account links', everyMs: dayMs, logger });
  }
}
