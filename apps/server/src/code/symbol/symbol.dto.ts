import { limits, type PreviewSymbol } from '@hapset/contract';
import { errorCorrectionLevels, type ErrorCorrectionLevel } from '@hapset/core';
import { IsIn, IsOptional, IsString, MaxLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class PreviewSymbolDto implements PreviewSymbol {
  @IsString() @MaxLength(limits.payloadLength) payload: string;
  @IsOptional() @IsIn(errorCorrectionLevels) level?: ErrorCorrectionLevel;
}
export const samePreviewSymbol: Exact<Plain<PreviewSymbolDto>, Plain<PreviewSymbol>> = true;
