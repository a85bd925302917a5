import { tryoutOutcomes, type ChangeTryout, type TellTryout, type TryoutOutcome } from '@hapset/contract';
import { IsIn, IsUUID, ValidateIf } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class TellTryoutDto implements TellTryout {
  @ValidateIf((_, value) => value !== null) @IsUUID() deviceId: string | null;
  @IsIn(tryoutOutcomes) outcome: TryoutOutcome;
}
export const sameTellTryout: Exact<Plain<TellTryoutDto>, Plain<TellTryout>> = true;

export class ChangeTryoutDto implements ChangeTryout {
  @ValidateIf((_, value) => value !== null) @IsUUID() deviceId: string | null;
}
export const sameChangeTryout: Exact<Plain<ChangeTryoutDto>, Plain<ChangeTryout>> = true;
