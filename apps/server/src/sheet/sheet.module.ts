import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LookModule } from '../look/look.module.js';
import { MaterialModule } from '../material/material.module.js';
import { StationModule } from '../station/station.module.js';
import { SheetController } from './sheet.controller.js';
import { Sheet } from './sheet.entity.js';
import { SheetService } from './sheet.service.js';

@Module({ imports: [TypeOrmModule.forFeature([Sheet]), MaterialModule, StationModule, LookModule], controllers: [SheetController], providers: [SheetService] })
export class SheetModule {}
