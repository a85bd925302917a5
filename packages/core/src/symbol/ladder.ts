/**
 * The carry ladder: what a material's code could carry, side by side, with what each costs and one recommended. Nobody
 * need know that fewer characters make a coarser code which reads from farther away: the figures say it, in steps.
 */
import type { DeviceProfile } from '../optics/device.js';
import { predictReachM } from '../optics/predictor.js';
import { grainOf, type Grain } from './grain.js';
import { charactersToShrink, planSymbol, type ErrorCorrectionLevel, type SymbolPlan } from './plan.js';

export const rungKinds = ['link', 'trimmed', 'bare', 'words'] as const;
/** `bare`: the link without its scheme. Short links of the school's own will stand between `trimmed` and `bare`. */
export type RungKind = (typeof rungKinds)[number];

export const dependencies = ['page', 'page-and-reader', 'nothing'] as const;
/** What must go on working: the page where it is; also a reader that takes bare addresses for links; nothing at all. */
export type Dependency = (typeof dependencies)[number];

export interface Rung {
  readonly kind: RungKind;
  readonly payload: string;
  /** The following are null where no symbol holds it. */
  readonly figures: RungFigures | null;
  readonly dependsOn: Dependency;
}

export interface RungFigures {
  readonly version: number;
  readonly modules: number;
  readonly grain: Grain;
  readonly level: ErrorCorrectionLevel;
  readonly characters: number;
  readonly charactersUntilGrowth: number;
  /** Null where nothing gets coarser. */
  readonly charactersToShrink: number | null;
  /** Side of a module at the printed size, mm. */
  readonly moduleMm: number;
  /** Of the weakest device, predicted, metres; null without devices. */
  readonly reachM: number | null;
}

export const rungReasons = ['only-one', 'exact', 'reads-farther', 'fits-the-room', 'coarser'] as const;
/** Why one is recommended. */
export type RungReason = (typeof rungReasons)[number];

export interface Ladder {
  readonly rungs: readonly Rung[];
  /** Index of the recommended one; null where no symbol holds any. */
  readonly recommended: number | null;
  readonly reason: RungReason;
}

export interface LadderWish {
  /** What the material carries as it was given: a link, or a payload that needs none. */
  readonly kind: 'link' | 'words';
  readonly payload: string;
  /** The link without what only counts visitors; only where both were opened and led to the same page. */
  readonly trimmed: string | null;
  readonly sizeMm: number;
  readonly distanceM: number;
  readonly devices: readonly DeviceProfile[];
}

export function ladderOf(wish: LadderWish): Ladder {
  const { kind, payload, trimmed } = wish;
  const rungs = kind === 'words' ? [rung('words', payload, 'nothing', wish)] : [rung('link', payload, 'page', wish), ...(trimmed === null ? [] : [rung('trimmed', trimmed, 'page', wish)]), ...bareRung(trimmed ?? payload, wish)];
  return { rungs, ...recommend(rungs, wish.distanceM) };
}

/** Scheme and all that a browser adds by itself; null for what would not lead to the same page without it. */
export function bareAddress(link: string): string | null {
  const rest = /^https:\/\/([^/?#@]+\.[^/?#@]+(?:[/?#].*)?)$/i.exec(link)?.[1] ?? null;
  return rest === null ? null : rest.replace(/^([^/?#]+)\/$/, '$1');
}

function bareRung(link: string, wish: LadderWish): readonly Rung[] {
  const bare = bareAddress(link);
  return bare === null ? [] : [rung('bare', bare, 'page-and-reader', wish)];
}

function rung(kind: RungKind, payload: string, dependsOn: Dependency, { sizeMm, devices }: LadderWish): Rung {
  const planned = planSymbol(payload);
  return { kind, payload, dependsOn, figures: planned.ok ? figuresOf(planned.value, sizeMm, devices) : null };
}

function figuresOf(plan: SymbolPlan, sizeMm: number, devices: readonly DeviceProfile[]): RungFigures {
  const { version, modules, level, payload, charactersUntilGrowth } = plan;
  return {
    version,
    modules,
    grain: grainOf(version),
    level,
    characters: [...payload].length,
    charactersUntilGrowth,
    charactersToShrink: charactersToShrink(plan),
    moduleMm: sizeMm / modules,
    reachM: devices.length === 0 ? null : Math.min(...devices.map((device) => predictReachM(device, sizeMm, modules))),
  };
}

/**
 * The first that reads from where students stand, with the fewest dependencies; where none reads, the one that reads
 * farthest. The bare address is never recommended: whether a reader takes it for a link is not ours to promise.
 */
function recommend(rungs: readonly Rung[], distanceM: number): Pick<Ladder, 'recommended' | 'reason'> {
  const candidates = rungs.flatMap(({ kind, figures }, index) => (figures === null || kind === 'bare' ? [] : [{ index, figures }]));
  const [first] = candidates;
  if (!first) return { recommended: null, reason: 'only-one' };
  if (candidates.length === 1) return { recommended: first.index, reason: rungs.length === 1 ? 'only-one' : 'exact' };
  const coarsest = candidates.reduce((best, each) => (each.figures.version < best.figures.version ? each : best));
  const reads = candidates.find(({ figures }) => figures.reachM !== null && figures.reachM >= distanceM);
  if (!reads) return { recommended: coarsest.index, reason: coarsest.index === first.index ? 'exact' : 'reads-farther' };
  if (reads.index !== first.index) return { recommended: reads.index, reason: 'fits-the-room' };
  // It reads as given. A step that costs nothing is taken all the same: the shorter one leads to the same page.
  return coarsest.figures.version < first.figures.version ? { recommended: coarsest.index, reason: 'coarser' } : { recommended: first.index, reason: 'exact' };
}
