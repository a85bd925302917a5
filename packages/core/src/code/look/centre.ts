/** Where a centre picture lies, and how large: by itself the largest that leaves half of the error correction unused. */
import type { SymbolPlan } from '../symbol/plan.js';
import { coveredByCentre, largestCentre } from '../symbol/spare-repair.js';
import type { LookCentre } from './look.js';

/** What stands in the middle, in modules, and the modules that it covers. */
export interface PlacedCentre {
  /** Clear ground in whole modules, in the middle; both sides odd, as a symbol's is, so that no module is cut. */
  readonly width: number;
  readonly height: number;
  /** Modules that it takes away. */
  readonly covered: Uint8Array;
}

/** Between the clear ground's edge and the picture, modules. */
export const centreRim = 0.5;

type Placed = Pick<SymbolPlan, 'version' | 'modules' | 'level'>;

/** Null where nothing may be covered: then the code goes without. A size asked for by hand is taken as it is. */
export function placeCentre({ version, modules, level }: Placed, centre: LookCentre): PlacedCentre | null {
  const aspect = centre.kind === 'picture' ? centre.aspect : 1;
  const sides = centre.side === null ? largestCentre(version, level, aspect) : sidesOf(modules * centre.side, aspect);
  if (sides === null) return null;
  const [width, height] = [oddUpTo(sides.width), oddUpTo(sides.height)];
  return { width, height, covered: coveredByCentre(version, width, height) };
}

function sidesOf(longer: number, aspect: number): { readonly width: number; readonly height: number } {
  return aspect >= 1 ? { width: longer, height: longer / aspect } : { width: longer * aspect, height: longer };
}

function oddUpTo(side: number): number {
  const whole = Math.max(1, Math.floor(side + 1e-9));
  return whole % 2 === 1 ? whole : whole - 1;
}
