import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationController } from './station.controller.js';
import { Station } from './station.entity.js';
import { StationService } from './station.service.js';
import { KeepWhileUsed } from './keep-while-used.js';

@Module({
  imports: [TypeOrmModule.forFeature([Station]), MaterialModule],
  controllers: [StationController],
  providers: [StationService, KeepWhileUsed],
  exports: [StationService],
})
export class StationModule {}
