import { Module } from '@nestjs/common';
import { SchoolModule } from '../../school/settings/school.module.js';
import { LookModule } from '../look/look.module.js';
import { CodePlanner } from './code-planner.js';
import { PlannedSymbols } from './planned-symbols.js';
import { SymbolController } from './symbol.controller.js';

@Module({
  imports: [LookModule, SchoolModule],
  controllers: [SymbolController],
  providers: [PlannedSymbols, CodePlanner],
  exports: [CodePlanner],
})
export class SymbolModule {}
