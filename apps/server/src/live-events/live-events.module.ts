import { Module } from '@nestjs/common';
import { LiveEventsController } from './live-events.controller.js';
import { LiveEventsService } from './live-events.service.js';

@Module({ controllers: [LiveEventsController], providers: [LiveEventsService] })
export class LiveEventsModule {}
