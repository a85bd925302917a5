import type { AnswerOpens } from '@hapset/contract';
import { IsBoolean } from 'class-validator';
import type { Exact, Plain } from '../../platform/problem/exact.js';

export class AnswerOpensDto implements AnswerOpens {
  @IsBoolean() opens: boolean;
}
export const sameAnswerOpens: Exact<Plain<AnswerOpensDto>, Plain<AnswerOpens>> = true;
