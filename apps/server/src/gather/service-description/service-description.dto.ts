import { limits, type KeepService, type TryService } from '@hapset/contract';
import type { ServiceDescription } from '@hapset/core';
import { IsInt, IsObject, IsString, MaxLength, MinLength, ValidateIf } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

// What is inside a description is checked by its schema, which can name the place of each problem.
export class KeepServiceDto implements KeepService {
  @IsObject() description: ServiceDescription;
  @ValidateIf((_, value) => value !== null) @IsInt() version: number | null;
}
export const sameKeepService: Exact<Plain<KeepServiceDto>, Plain<KeepService>> = true;

export class TryServiceDto implements TryService {
  @IsObject() description: ServiceDescription;
  @IsString() @MinLength(1) @MaxLength(limits.linkLength) link: string;
}
export const sameTryService: Exact<Plain<TryServiceDto>, Plain<TryService>> = true;
