/**
 * What a look leaves of a code's readability: contrast as printed in colour and in grey, readers that refuse it, and spare
 * repair. The rehearsal has the last word on what is between; what stops here is never rehearsed into a "done".
 */
import { readerEngineNames, type ReaderEngineName } from '../../school/device/device.js';
import { holds } from '../symbol/fit.js';
import type { SymbolPlan } from '../symbol/plan.js';
import { centreLeaves, spareRepair, type SpareRepair } from '../symbol/spare-repair.js';
import type { ErrorCorrectionLevel } from '../symbol/versions.js';
import { placeCentre } from './centre.js';
import { contrastOf, hasEnoughContrast, nearestEnough, prints, type Contrast, type Print } from './contrast.js';
import { lookColours, withColours, type LookDesign } from './look.js';
import type { AnswerState } from '../../platform/answer-state.js';

/** What about a look should be changed, the worst first. */
export const lookReasons = [
  'too-little-contrast',
  'not-read-flat',
  'light-on-dark',
  'covers-patterns',
  'beyond-repair',
  'little-spare-repair',
  'no-room-for-centre',
  'not-allowed',
] as const;
/** One of them. */
export type LookReason = (typeof lookReasons)[number];

/** What a look leaves of contrast and repair. */
export interface LookJudgement {
  readonly state: Extract<AnswerState, 'done' | 'look-at' | 'stop'>;
  /** Worst first; empty where nothing is wrong. */
  readonly reasons: readonly LookReason[];
  readonly contrast: Readonly<Record<Print, Contrast>>;
  /** Engines that take light on dark for no code at all. */
  readonly refusedBy: readonly ReaderEngineName[];
  readonly spare: SpareRepair;
  /** What the centre takes away, in modules; null without one, or where it finds no room. */
  readonly centre: { readonly width: number; readonly height: number } | null;
  /** A higher level that the same version holds; null where it has the highest. */
  readonly freeLevel: ErrorCorrectionLevel | null;
}

/** As these engines are set up here: neither looks for codes whose light and dark have changed places. */
export const refusesLightOnDark: readonly ReaderEngineName[] = readerEngineNames;

const stops: readonly LookReason[] = [
  'too-little-contrast',
  'not-read-flat',
  'light-on-dark',
  'covers-patterns',
  'beyond-repair',
];

/** Worth knowing, and nothing to change: the code reads as well without its picture. */
const informs: readonly LookReason[] = ['no-room-for-centre'];

/**
 * What a look leaves: contrast of each print, repair, and reasons to change it, the worst first. Colours, shape
 * and size of the centre decide; no reader is asked.
 */
export function judgeLook(plan: SymbolPlan, look: LookDesign): LookJudgement {
  const colours = lookColours(look);
  const contrast = Object.fromEntries(
    prints.map((print) => [print, contrastOf(colours, print)]),
  ) as unknown as LookJudgement['contrast'];
  const refusedBy = prints.some((print) => contrast[print].lightOnDark) ? refusesLightOnDark : [];
  const centre = look.centre === null ? null : placeCentre(plan, look.centre);
  const spare = spareRepair(plan.version, plan.level, centre?.covered ?? new Uint8Array(plan.modules * plan.modules));
  const found: Readonly<Record<LookReason, boolean>> = {
    'too-little-contrast': !hasEnoughContrast(colours),
    // Only readers can tell; whoever asked them adds it.
    'not-read-flat': false,
    'light-on-dark': refusedBy.length > 0,
    'covers-patterns': centre !== null && reachesPatterns(plan.modules, centre),
    'beyond-repair': spare.spare <= 0,
    'little-spare-repair': spare.spare > 0 && spare.spare < centreLeaves,
    'no-room-for-centre': look.centre !== null && centre === null,
    'not-allowed': false,
  };
  return {
    ...standing(lookReasons.filter((reason) => found[reason])),
    contrast,
    refusedBy,
    spare,
    centre: centre && { width: centre.width, height: centre.height },
    freeLevel: freeLevel(plan),
  };
}

/** The state that reasons amount to, worst first. */
export function standing(reasons: readonly LookReason[]): Pick<LookJudgement, 'state' | 'reasons'> {
  const [stopping, others] = [
    reasons.filter((reason) => stops.includes(reason)),
    reasons.filter((reason) => !stops.includes(reason)),
  ];
  return {
    state: stopping.length > 0 ? 'stop' : others.some((reason) => !informs.includes(reason)) ? 'look-at' : 'done',
    reasons: [...stopping, ...others],
  };
}

/** Finders, format information and timing patterns end at module 8 (ISO/IEC 18004, 6.3); no error correction repairs those. */
function reachesPatterns(
  modules: number,
  { width, height }: { readonly width: number; readonly height: number },
): boolean {
  return (modules - Math.max(width, height)) / 2 < 9;
}

/** The highest level that costs no version, where it is higher than the plan's. */
export function freeLevel({
  version,
  level,
  segmentation,
}: Pick<SymbolPlan, 'version' | 'level' | 'segmentation'>): ErrorCorrectionLevel | null {
  const highest = (['H', 'Q', 'M'] as const).find((candidate) => holds(version, candidate, segmentation));
  return highest === undefined || order[highest] <= order[level] ? null : highest;
}
const order: Readonly<Record<ErrorCorrectionLevel, number>> = { L: 0, M: 1, Q: 2, H: 3 };

/** The look with the nearest colours that pass; null where its colours pass as they are. */
export function passingColours(look: LookDesign): LookDesign | null {
  const passing = nearestEnough(lookColours(look));
  return passing && withColours(look, passing);
}
