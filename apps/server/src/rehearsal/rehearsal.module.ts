import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { MaterialModule } from '../material/material.module.js';
import { StationModule } from '../station/station.module.js';
import { RehearsalController } from './rehearsal.controller.js';
import { Rehearsal } from './rehearsal.entity.js';
import { RehearsalService } from './rehearsal.service.js';

@Module({ imports: [TypeOrmModule.forFeature([Rehearsal]), MaterialModule, StationModule], controllers: [RehearsalController], providers: [RehearsalService] })
export class RehearsalModule {}
