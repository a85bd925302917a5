import type { ChangeShortLink } from '@hapset/contract';
import type { OpenHours, Opening } from '@hapset/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsInt,
  IsObject,
  IsString,
  MaxLength,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class OpenHoursDto implements OpenHours {
  @IsArray() @ArrayMaxSize(7) @IsInt({ each: true }) days: number[];
  @IsString() @MaxLength(5) from: string;
  @IsString() @MaxLength(5) until: string;
}
export const sameOpenHours: Exact<Plain<OpenHoursDto>, Plain<OpenHours>> = true;

export class OpeningDto implements Opening {
  @ValidateIf((_, value) => value !== null) @IsString() @MaxLength(16) from: string | null;
  @ValidateIf((_, value) => value !== null) @IsString() @MaxLength(16) until: string | null;
  @IsArray() @ArrayMaxSize(20) @ValidateNested({ each: true }) @Type(() => OpenHoursDto) hours: OpenHoursDto[];
}
export const sameOpening: Exact<Plain<OpeningDto>, Plain<Opening>> = true;

export class ChangeShortLinkDto implements ChangeShortLink {
  @IsObject() @ValidateNested() @Type(() => OpeningDto) opening: OpeningDto;
}
export const sameChangeShortLink: Exact<Plain<ChangeShortLinkDto>, Plain<ChangeShortLink>> = true;
