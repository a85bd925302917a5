import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccessCheck } from '../access-check/access-check.entity.js';
import { AccessCheckModule } from '../access-check/access-check.module.js';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { LinkCheckController } from './link-check.controller.js';
import { LinkCheckService } from './link-check.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([AccessCheck]), AccessCheckModule, ServiceDescriptionModule],
  controllers: [LinkCheckController],
  providers: [LinkCheckService],
})
export class LinkCheckModule {}
