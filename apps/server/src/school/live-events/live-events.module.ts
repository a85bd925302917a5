import { Module } from '@nestjs/common';
import { AccountModule } from '../account/account.module.js';
import { LiveEventsController } from './live-events.controller.js';
import { LiveEventsService } from '../../platform/live-events/live-events.service.js';

@Module({ imports: [AccountModule], controllers: [LiveEventsController], providers: [LiveEventsService] })
export class LiveEventsModule {}
