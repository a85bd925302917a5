import { Module } from '@nestjs/common';
import { SheetModule } from '../../paper/sheet/sheet.module.js';
import { PlacedCodeModule } from '../../reads/placed-code/placed-code.module.js';
import { ReadinessService } from './readiness.service.js';

@Module({ imports: [PlacedCodeModule, SheetModule], providers: [ReadinessService], exports: [ReadinessService] })
export class ReadinessModule {}
