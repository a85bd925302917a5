import { planSymbol, type PlanProblem, type SymbolPlan } from '../symbol/plan.js';
import type { ErrorCorrectionLevel } from '../symbol/versions.js';
import type { Result } from '../../platform/result.js';
import { freeLevel } from './judge-look.js';
import type { LookDesign } from './look.js';

/**
 * The symbol of a payload in a look. What is in the middle takes of the error correction, so a level that was chosen by
 * hand is raised for it as far as that costs no version.
 * @param level chosen by hand; null for the highest that costs nothing
 */
export function planForLook(
  payload: string,
  level: ErrorCorrectionLevel | null,
  { centre }: Pick<LookDesign, 'centre'>,
): Result<SymbolPlan, PlanProblem> {
  const planned = planSymbol(payload, level ?? undefined);
  const higher = planned.ok && centre !== null ? freeLevel(planned.value) : null;
  return higher === null ? planned : planSymbol(payload, higher);
}
