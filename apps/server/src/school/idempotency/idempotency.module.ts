import { Inject, Injectable, Module } from '@nestjs/common';
import { APP_INTERCEPTOR } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { LoopOfServer } from '../../platform/loop/loop-of-server.js';
import { AnsweredRequest } from './answered-request.entity.js';
import { AnsweredRequests } from './answered-requests.js';
import { IdempotencyInterceptor } from './idempotency.interceptor.js';

const hourMs = 3600 * 1000;

@Injectable()
class AnsweredRequestsTidying extends LoopOfServer {
  constructor(requests: AnsweredRequests, @Inject(LOGGER) logger: AppLogger) {
    super(() => requests.deleteOld(), { name: 'delete old replies', everyMs: hourMs, logger });
  }
}

@Module({
  imports: [TypeOrmModule.forFeature([AnsweredRequest])],
  providers: [
    AnsweredRequests,
    AnsweredRequestsTidying,
    { provide: APP_INTERCEPTOR, useClass: IdempotencyInterceptor },
  ],
})
export class IdempotencyModule {}
