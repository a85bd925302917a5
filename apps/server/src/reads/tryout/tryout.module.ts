import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { DeviceModule } from '../../school/device/device.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { PlacedCodeModule } from '../placed-code/placed-code.module.js';
import { TryoutController } from './tryout.controller.js';
import { Tryout } from './tryout.entity.js';
import { TryoutService } from './tryout.service.js';
import { TryoutChanges } from './tryout-changes.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([Tryout]),
    MaterialModule,
    ShortLinkModule,
    PlacedCodeModule,
    DeviceModule,
    SchoolModule,
  ],
  controllers: [TryoutController],
  providers: [TryoutService, TryoutChanges],
  exports: [TryoutService],
})
export class TryoutModule {}
