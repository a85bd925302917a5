import { Module } from '@nestjs/common';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { LinkCheckController } from './link-check.controller.js';

@Module({ imports: [AccessCheckModule, ServiceDescriptionModule], controllers: [LinkCheckController] })
export class LinkCheckModule {}
