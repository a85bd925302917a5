import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { VisitorModule } from '../visitor/visitor.module.js';
import { Arrival } from './arrival.entity.js';
import { ArrivalController } from './arrival.controller.js';
import { ArrivalService } from './arrival.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([Arrival]), VisitorModule],
  controllers: [ArrivalController],
  providers: [ArrivalService],
  exports: [ArrivalService],
})
export class ArrivalModule {}
