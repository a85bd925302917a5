/** Plans symbols and keeps the last ones: lists ask for the same codes again and again. */
import { Injectable } from '@nestjs/common';
import type { CodeView } from '@hapset/contract';
import { carriedBy, charactersToShrink, grainOf, outlinePath, planSymbol, type Carriable, type Carried, type ErrorCorrectionLevel, type SymbolPlan } from '@hapset/core';

const kept = 2000;

export interface MaterialCode {
  readonly carried: Carried;
  /** Null when no symbol can hold it. */
  readonly plan: SymbolPlan | null;
  readonly view: CodeView | null;
}

@Injectable()
export class PlannedSymbols {
  private readonly plans = new Map<string, MaterialCode>();

  /**
   * @param timeZone the school's
   * @param level chosen by hand; null for the highest that costs nothing
   */
  of(content: Carriable, timeZone: string, level: ErrorCorrectionLevel | null): MaterialCode {
    const carried = carriedBy(content, timeZone);
    const key = `${level ?? ''} ${carried.carry} ${carried.payload}`;
    const found = this.plans.get(key);
    if (found) return found;
    const planned = planSymbol(carried.payload, level ?? undefined);
    const code = planned.ok ? { carried, plan: planned.value, view: toCodeView(carried, planned.value, level) } : { carried, plan: null, view: null };
    const oldest = this.plans.keys().next();
    if (this.plans.size >= kept && !oldest.done) this.plans.delete(oldest.value);
    this.plans.set(key, code);
    return code;
  }
}

function toCodeView({ carry, payload }: Carried, plan: SymbolPlan, chosen: ErrorCorrectionLevel | null): CodeView {
  const { version, modules, level, mask, charactersUntilGrowth } = plan;
  return { carry, payload, version, modules, level, mask, grain: grainOf(version), charactersUntilGrowth, charactersToShrink: charactersToShrink(plan, chosen ?? undefined), path: outlinePath(plan) };
}
