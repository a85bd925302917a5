/**
 * The carry ladder: what a material's code could carry, side by side, with what each costs and one recommended. Nobody
 * need know that fewer characters make a coarser code which reads from farther away: the figures say it, in steps.
 */
import { bareAddress, type Carry } from '../../code/payload/carry.js';
import { figuresOf, type Printed, type SymbolFigures } from './figures.js';
import type { ErrorCorrectionLevel } from '../../code/symbol/versions.js';

/** What a code depends on to keep working. */
export const dependencies = ['page', 'page-and-school', 'page-and-reader', 'nothing'] as const;
/** What must go on working: the page where it is; also the school's own server; also a reader that takes bare addresses for links; nothing at all. */
export type Dependency = (typeof dependencies)[number];

/** Something that the code could carry, with what it costs. */
export interface Rung {
  readonly kind: Carry;
  readonly payload: string;
  /** The following are null where no symbol holds it. */
  readonly figures: SymbolFigures | null;
  readonly dependsOn: Dependency;
}

/** Why one of them is recommended. */
export const rungReasons = ['only-one', 'exact', 'reads-farther', 'fits-the-room', 'coarser', 'short-reads'] as const;
/** Why one is recommended. */
export type RungReason = (typeof rungReasons)[number];

/** All that a code could carry, from what was given down to the shortest. */
export interface Ladder {
  readonly rungs: readonly Rung[];
  /** Index of the recommended one; null where no symbol holds any. */
  readonly recommended: number | null;
  readonly reason: RungReason;
}

/** What is known of an address and where its code will hang. */
export interface LadderOptions extends Printed {
  /** What the material carries as it was given: a link, or a payload that needs none. */
  readonly kind: 'link' | 'words';
  readonly payload: string;
  /** The link without what only counts visitors; only where both were opened and led to the same page. */
  readonly trimmed: string | null;
  /** The school's short link, or one as long as it would be; null where there can be none. */
  readonly short: string | null;
  /** Chosen by hand; null for the highest that costs nothing. */
  readonly level: ErrorCorrectionLevel | null;
  readonly distanceM: number;
}

/**
 * What a code could carry, from what was given down to the shortest, each with what it costs, and which one is
 * recommended.
 */
export function ladderOf(options: LadderOptions): Ladder {
  const rungs = options.kind === 'words' ? [rung('words', options.payload, 'nothing', options)] : addressRungs(options);
  return { rungs, ...recommend(rungs, options.distanceM) };
}

/** From what was given down to what is shortest but nothing to rely on. */
function addressRungs(options: LadderOptions): readonly Rung[] {
  const { payload, trimmed, short } = options;
  return [
    rung('link', payload, 'page', options),
    ...(trimmed === null ? [] : [rung('trimmed', trimmed, 'page', options)]),
    ...(short === null ? [] : [rung('short-link', short, 'page-and-school', options)]),
    ...bareRung(trimmed ?? payload, options),
  ];
}

function bareRung(link: string, options: LadderOptions): readonly Rung[] {
  const bare = bareAddress(link);
  return bare === null ? [] : [rung('bare', bare, 'page-and-reader', options)];
}

function rung(kind: Carry, payload: string, dependsOn: Dependency, options: LadderOptions): Rung {
  return { kind, payload, dependsOn, figures: figuresOf(payload, options.level, options) };
}

/**
 * The first direct one that reads from where students stand; where none does, the school's short link if it reads; else
 * what reads farthest. The bare address is never recommended: whether a reader takes it for a link is not ours to promise.
 */
function recommend(rungs: readonly Rung[], distanceM: number): Pick<Ladder, 'recommended' | 'reason'> {
  const candidates = rungs.flatMap(({ kind, figures }, index): readonly Candidate[] =>
    figures === null || kind === 'bare' ? [] : [{ index, kind, figures }],
  );
  const direct = candidates.filter(({ kind }) => kind !== 'short-link');
  const [first] = direct;
  const coarsest = coarsestOf(candidates);
  if (!coarsest) return { recommended: null, reason: 'only-one' };
  if (rungs.length === 1) return { recommended: coarsest.index, reason: 'only-one' };
  const reads = direct.find(({ figures }) => figures.reachM !== null && figures.reachM >= distanceM);
  if (!first || !reads) return whereNoneReads(first ?? null, coarsest, distanceM);
  if (reads.index !== first.index) return { recommended: reads.index, reason: 'fits-the-room' };
  // It reads as given. A step that costs nothing is taken all the same: the shorter one leads to the same page.
  const shorter = coarsestOf(direct) ?? first;
  return shorter.figures.version < first.figures.version
    ? { recommended: shorter.index, reason: 'coarser' }
    : { recommended: first.index, reason: 'exact' };
}

interface Candidate {
  readonly index: number;
  readonly kind: Carry;
  readonly figures: SymbolFigures;
}

/** No direct one reads from there: a step that gains something is taken, and nothing is promised. */
function whereNoneReads(
  first: Candidate | null,
  coarsest: Candidate,
  distanceM: number,
): Pick<Ladder, 'recommended' | 'reason'> {
  if (first && coarsest.figures.version === first.figures.version) return { recommended: first.index, reason: 'exact' };
  const reach = coarsest.figures.reachM;
  const shortReads = coarsest.kind === 'short-link' && reach !== null && reach >= distanceM;
  return { recommended: coarsest.index, reason: shortReads ? 'short-reads' : 'reads-farther' };
}

function coarsestOf(candidates: readonly Candidate[]): Candidate | null {
  return candidates.reduce<Candidate | null>(
    (best, each) => (best === null || each.figures.version < best.figures.version ? each : best),
    null,
  );
}
