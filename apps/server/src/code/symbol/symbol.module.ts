import { Module } from '@nestjs/common';
import { PlannedSymbols } from './planned-symbols.js';
import { SymbolController } from './symbol.controller.js';

@Module({ controllers: [SymbolController], providers: [PlannedSymbols], exports: [PlannedSymbols] })
export class SymbolModule {}
