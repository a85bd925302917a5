/** Plans symbols and keeps the last ones: lists ask for the same codes again and again. */
import { Injectable } from '@nestjs/common';
import type { CodeView } from '@hapset/contract';
import { carriedBy, charactersToShrink, grainOf, outlinePath, planSymbol, type Carriable, type Carried, type SymbolPlan } from '@hapset/core';

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

  /** @param timeZone the school's */
  of(content: Carriable, timeZone: string): MaterialCode {
    const carried = carriedBy(content, timeZone);
    const key = `${carried.carry} ${carried.payload}`;
    const found = this.plans.get(key);
    if (found) return found;
    const planned = planSymbol(carried.payload);
    const code = planned.ok ? { carried, plan: planned.value, view: toCodeView(carried, planned.value) } : { carried, plan: null, view: null };
    const oldest = this.plans.keys().next();
    if (this.plans.size >= kept && !oldest.done) this.plans.delete(oldest.value);
    this.plans.set(key, code);
    return code;
  }
}

function toCodeView({ carry, payload }: Carried, plan: SymbolPlan): CodeView {
  const { version, modules, level, mask, charactersUntilGrowth } = plan;
  return { carry, payload, version, modules, level, mask, grain: grainOf(version), charactersUntilGrowth, charactersToShrink: charactersToShrink(plan), path: outlinePath(plan) };
}
