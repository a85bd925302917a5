/** A material's code in its place, as one value that everything above is made of. */
import type { CodeLookView, CodeView, ReadinessView, RehearsalView } from '@hapset/contract';
import type { LookJudgement, PaperFormat, SymbolPlan } from '@hapset/core';
import type { Place } from '../../lessons/station/place.js';
import {
  carriesView,
  isReadFlat,
  lookStanding,
  opensView,
  readsView,
  toRehearsalView,
  type CodeFacts,
} from './answers.js';
import type { AccessCheckRecord } from '../../opens/access-check/access-check-record.js';
import type { SchoolRecord } from '../../school/settings/school-record.js';

/** A material's code in its place, with three of the four answers. */
export interface PlacedCode {
  readonly place: Place;
  readonly plan: SymbolPlan | null;
  readonly code: CodeView | null;
  readonly payload: string;
  readonly look: CodeLookView;
  /** The last finished check, or the one that runs when there is none. */
  readonly check: AccessCheckRecord | null;
  readonly opening: boolean;
  readonly opens: ReadinessView['opens'];
  readonly carries: ReadinessView['carries'];
  readonly reads: ReadinessView['reads'];
  readonly rehearsal: RehearsalView;
  /** What codes of its shape have in common, for whatever is rehearsed next. */
  readonly shapeKey: string;
  /** As it was when this was found out. */
  readonly school: SchoolRecord;
  /** The size that a symbol of so many modules would have in its place, mm. */
  readonly sizeMmOf: (modules: number) => number;
  /** The size that it would have on that paper, mm. */
  readonly sizeMmOn: (paper: PaperFormat) => number;
}

/** @param sizeMmOn the size that it would have on a paper, mm */
export function toPlacedCode(facts: CodeFacts, school: SchoolRecord, sizeMmOn: PlacedCode['sizeMmOn']): PlacedCode {
  const { code, checks, place } = facts;
  const opens = opensView(facts);
  return {
    place,
    plan: code.plan,
    code: code.view,
    payload: code.carried.payload,
    look: toCodeLook(facts, code.judgement),
    check: checks.done ?? checks.pending,
    opening: opens.opening,
    opens,
    carries: carriesView(facts),
    reads: readsView(facts),
    rehearsal: toRehearsalView(facts),
    shapeKey: facts.print.shapeKey,
    school,
    sizeMmOf: facts.print.sizeMmOf,
    sizeMmOn,
  };
}

function toCodeLook({ look, rehearsal }: CodeFacts, judgement: LookJudgement | null): CodeLookView {
  const { from, id, name, design, allowed } = look;
  const standing = judgement && lookStanding(judgement, { allowed, readFlat: isReadFlat(rehearsal) });
  return { from, id, name, design, judgement: judgement && { ...judgement, ...standing } };
}
