import { Module } from '@nestjs/common';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { DeviceModule } from '../../school/device/device.module.js';
import { PlacedCodeModule } from '../placed-code/placed-code.module.js';
import { TryoutResultsModule } from '../tryout-results/tryout-results.module.js';
import { TryoutController } from './tryout.controller.js';
import { TryoutChanges } from './tryout-changes.js';

@Module({
  imports: [TryoutResultsModule, MaterialModule, ShortLinkModule, PlacedCodeModule, DeviceModule],
  controllers: [TryoutController],
  providers: [TryoutChanges],
})
export class TryoutModule {}
