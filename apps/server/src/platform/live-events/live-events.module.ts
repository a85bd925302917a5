import { Global, Module } from '@nestjs/common';
import { LiveEventsService } from './live-events.service.js';

/** For all areas: each tells its own changes. */
@Global()
@Module({ providers: [LiveEventsService], exports: [LiveEventsService] })
export class LiveEventsModule {}
