import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ServiceDescriptionController } from './service-description.controller.js';
import { DescribedService } from './service-description.entity.js';
import { ServiceDescriptionService } from './service-description.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([DescribedService])],
  controllers: [ServiceDescriptionController],
  providers: [ServiceDescriptionService],
  exports: [ServiceDescriptionService],
})
export class ServiceDescriptionModule {}
