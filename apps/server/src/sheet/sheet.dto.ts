import { paperChoices, sheetWarnings, type MakeSheet, type SheetWarning } from '@hapset/contract';
import type { PaperFormat } from '@hapset/core';
import { ArrayMaxSize, IsArray, IsIn } from 'class-validator';
import type { Exact, Plain } from '../problem/exact.js';

export class MakeSheetDto implements MakeSheet {
  @IsIn(['poster']) kind: 'poster';
  @IsIn(paperChoices) paper: PaperFormat;
  @IsArray() @ArrayMaxSize(sheetWarnings.length) @IsIn(sheetWarnings, { each: true }) goAhead: SheetWarning[];
}
export const sameMakeSheet: Exact<Plain<MakeSheetDto>, Plain<MakeSheet>> = true;
