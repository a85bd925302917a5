import { limits, type InspectCode } from '@hapset/contract';
import { IsString, MaxLength, MinLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class InspectCodeDto implements InspectCode {
  @IsString() @MinLength(1) @MaxLength(limits.payloadLength) payload: string;
}
export const sameInspectCode: Exact<Plain<InspectCodeDto>, Plain<InspectCode>> = true;
