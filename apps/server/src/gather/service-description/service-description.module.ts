import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudentBrowserModule } from '../../opens/student-browser/student-browser.module.js';
import { ServiceDescriptionController } from './service-description.controller.js';
import { DescribedService } from './service-description.entity.js';
import { ServiceDescriptionService } from './service-description.service.js';
import { ServiceTryoutService } from '../../opens/service-tryout/service-tryout.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([DescribedService]), StudentBrowserModule],
  controllers: [ServiceDescriptionController],
  providers: [ServiceDescriptionService, ServiceTryoutService],
  exports: [ServiceDescriptionService],
})
export class ServiceDescriptionModule {}
