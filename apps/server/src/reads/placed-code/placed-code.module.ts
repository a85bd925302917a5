import { Module } from '@nestjs/common';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { SymbolModule } from '../../code/symbol/symbol.module.js';
import { AccessCheckModule } from '../../opens/access-check/access-check.module.js';
import { SchoolClassModule } from '../../school/school-class/school-class.module.js';
import { RehearsalResultsModule } from '../rehearsal-results/rehearsal-results.module.js';
import { TryoutResultsModule } from '../tryout-results/tryout-results.module.js';
import { ReadingEvidence } from './reading-evidence.js';
import { PlacedCodeService } from './placed-code.service.js';

@Module({
  imports: [
    SymbolModule,
    SchoolClassModule,
    AccessCheckModule,
    ShortLinkModule,
    RehearsalResultsModule,
    TryoutResultsModule,
  ],
  providers: [PlacedCodeService, ReadingEvidence],
  exports: [PlacedCodeService],
})
export class PlacedCodeModule {}
