import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { StudentBrowserModule } from '../student-browser/student-browser.module.js';
import { ServiceDescriptionController } from './service-description.controller.js';
import { DescribedService } from './service-description.entity.js';
import { ServiceDescriptionService } from './service-description.service.js';
import { ServiceTryoutService } from './service-tryout.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([DescribedService]), StudentBrowserModule],
  controllers: [ServiceDescriptionController],
  providers: [ServiceDescriptionService, ServiceTryoutService],
  exports: [ServiceDescriptionService],
})
export class ServiceDescriptionModule {}
