import type { OtherReader, RehearsalResult, SaveRehearsal } from '@hapset/contract';
import { readerEngineNames, type ReaderEngineName } from '@hapset/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayUnique,
  IsArray,
  IsIn,
  IsInt,
  IsNumber,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class DifferenceDto {
  @IsInt() @Min(0) at: number;
  @IsString() @MaxLength(60) meant: string;
  @IsString() @MaxLength(60) read: string;
}

export class TriedDistanceDto {
  @IsNumber() @Min(0) @Max(1000) distanceM: number;
  @IsInt() @Min(0) trials: number;
  @IsInt() @Min(0) read: number;
}

export class OtherReaderDto implements OtherReader {
  @IsIn(readerEngineNames) engine: ReaderEngineName;
  @IsNumber() @Min(0) @Max(1000) reachM: number;
  @ValidateIf((result: OtherReaderDto) => result.misread !== null)
  @ValidateNested()
  @Type(() => DifferenceDto)
  misread: DifferenceDto | null;
}

export class RehearsalResultDto implements RehearsalResult {
  @IsUUID('all') deviceId: string;
  @IsNumber() @Min(0) @Max(1000) reachM: number;
  @IsNumber() @Min(0) @Max(1000) hitAndMissM: number;
  @IsNumber() @Min(0) @Max(1000) fromM: number;
  @IsInt() @Min(0) frames: number;
  @IsNumber() @Min(0) @Max(1) confidence: number;
  @IsArray() @ArrayMaxSize(60) @ValidateNested({ each: true }) @Type(() => TriedDistanceDto) tried: TriedDistanceDto[];
  @IsArray()
  @ArrayMaxSize(readerEngineNames.length)
  @ValidateNested({ each: true })
  @Type(() => OtherReaderDto)
  others: OtherReaderDto[];
  @ValidateIf((result: RehearsalResultDto) => result.misread !== null)
  @ValidateNested()
  @Type(() => DifferenceDto)
  misread: DifferenceDto | null;
}
export const sameResult: Exact<Plain<RehearsalResultDto>, Plain<RehearsalResult>> = true;

export class SaveRehearsalDto implements SaveRehearsal {
  @IsArray()
  @ArrayMaxSize(60)
  @ValidateNested({ each: true })
  @Type(() => RehearsalResultDto)
  results: RehearsalResultDto[];
  @IsArray()
  @ArrayMaxSize(readerEngineNames.length)
  @ArrayUnique()
  @IsIn(readerEngineNames, { each: true })
  unreadBy: ReaderEngineName[];
}
export const sameSaveRehearsal: Exact<Plain<SaveRehearsalDto>, Plain<SaveRehearsal>> = true;
