import { Module } from '@nestjs/common';
import { PlannedSymbols } from './planned-symbols.js';

@Module({ providers: [PlannedSymbols], exports: [PlannedSymbols] })
export class SymbolModule {}
