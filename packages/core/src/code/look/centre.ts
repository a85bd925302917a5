/** Where a centre picture lies, and how large: by itself the largest that leaves half of the error correction unused. */
import type { SymbolPlan } from '../symbol/plan.js';
import { coveredByCentre, largestCentre } from '../symbol/spare-repair.js';
import type { LookCentre } from './look.js';

/** What is in the middle, in modules, and the modules that it covers. */
export interface PlacedCentre {
  /** Clear ground in whole modules, in the middle; both sides odd, as a symbol's is, so that no module is cut. */
  readonly width: number;
  readonly height: number;
  /** Modules that it takes away. */
  readonly covered: Uint8Array;
}

/** Of the longer side: with less, nobody recognises what is shown. Of the shorter one, for wide and high pictures. Modules. */
const leastLonger = 5;
const leastShorter = 3;

/** Between the clear ground's edge and the picture, modules. */
export const centreRim = 0.5;

type Placed = Pick<SymbolPlan, 'version' | 'modules' | 'level'>;

/**
 * Null where no picture that can be recognised may cover anything: then the code goes without. A size asked for by hand is
 * taken as it is, but never too small to recognise.
 */
export function placeCentre({ version, modules, level }: Placed, centre: LookCentre): PlacedCentre | null {
  const aspect = centre.kind === 'picture' ? centre.aspect : 1;
  const sides = centre.side === null ? largestCentre(version, level, aspect) : sidesOf(modules * centre.side, aspect);
  if (sides === null) return null;
  const [width, height] = [oddUpTo(sides.width), oddUpTo(sides.height)];
  if (Math.max(width, height) < leastLonger || Math.min(width, height) < leastShorter)
    return centre.side === null ? null : placeSides(version, leastSides(aspect));
  return placeSides(version, { width, height });
}

interface Sides {
  readonly width: number;
  readonly height: number;
}

function placeSides(version: number, { width, height }: Sides): PlacedCentre {
  return { width, height, covered: coveredByCentre(version, width, height) };
}

function leastSides(aspect: number): Sides {
  const shorter = aspect === 1 ? leastLonger : leastShorter;
  return aspect >= 1 ? { width: leastLonger, height: shorter } : { width: shorter, height: leastLonger };
}

function sidesOf(longer: number, aspect: number): Sides {
  return aspect >= 1 ? { width: longer, height: longer / aspect } : { width: longer * aspect, height: longer };
}

function oddUpTo(side: number): number {
  const whole = Math.max(1, Math.floor(side + 1e-9));
  return whole % 2 === 1 ? whole : whole - 1;
}
