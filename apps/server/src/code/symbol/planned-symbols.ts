/** Plans symbols and keeps the last ones: lists ask for the same codes again and again. */
import { Injectable } from '@nestjs/common';
import type { CodeView } from '@hapset/contract';
import {
  carriedBy,
  charactersToShrink,
  drawCode,
  grainOf,
  judgeLook,
  planForLook,
  type Carriable,
  type Carried,
  type ErrorCorrectionLevel,
  type LookDesign,
  type LookJudgement,
  type SymbolPlan,
} from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import { measureText } from '../typeface/shaped-line.js';

/** A code of many stones takes some 60 KB. */
const kept = 800;

export interface MaterialCode {
  readonly carried: Carried;
  /** Null when no symbol can hold it. */
  readonly plan: SymbolPlan | null;
  readonly view: CodeView | null;
  /** What its look leaves; null when no symbol can hold it. */
  readonly judgement: LookJudgement | null;
}

export interface SymbolLook {
  readonly design: LookDesign;
  /** Stands under the code where the look says so. */
  readonly name: string;
}

@Injectable()
export class PlannedSymbols {
  private readonly plans = new Map<string, MaterialCode>();

  /**
   * @param timeZone the school's
   * @param level chosen by hand; null for the highest that costs nothing
   */
  plan(content: Carriable, timeZone: string, level: ErrorCorrectionLevel | null, look: SymbolLook): MaterialCode {
    const carried = carriedBy(content, timeZone);
    const { design, name } = look;
    const named = design.caption?.words === null ? name : '';
    const key = JSON.stringify([level, carried.carry, carried.payload, design, named]);
    const found = this.plans.get(key);
    if (found) return found;
    const planned = planForLook(carried.payload, level, design);
    const code = planned.ok
      ? {
          carried,
          plan: planned.value,
          view: toCodeView(carried, planned.value, level, look),
          judgement: judgeLook(planned.value, design),
        }
      : { carried, plan: null, view: null, judgement: null };
    const oldest = this.plans.keys().next();
    if (this.plans.size >= kept && !oldest.done) this.plans.delete(oldest.value);
    this.plans.set(key, code);
    return code;
  }
}

function toCodeView(
  { carry, payload }: Carried,
  plan: SymbolPlan,
  chosen: ErrorCorrectionLevel | null,
  { design, name }: SymbolLook,
): CodeView {
  const { version, modules, level, mask, charactersUntilGrowth } = plan;
  return {
    carry,
    payload,
    version,
    modules,
    level,
    mask,
    grain: grainOf(version),
    charactersUntilGrowth,
    charactersToShrink: charactersToShrink(plan, chosen ?? undefined),
    drawing: drawCode(plan, { look: design, name, iconOf, measure: measureText }),
  };
}
