import { limits, type AskLinkCheck } from '@hapset/contract';
import { IsString, MaxLength, MinLength } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class AskLinkCheckDto implements AskLinkCheck {
  @IsString() @MinLength(1) @MaxLength(limits.linkLength) link: string;
}
export const sameAskLinkCheck: Exact<Plain<AskLinkCheckDto>, Plain<AskLinkCheck>> = true;
