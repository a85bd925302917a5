/**
 * What is on the paper: a code in its look as reflectances, fine enough for the camera model to sample. Colours become the
 * grey that a camera's reader sees, in the print (colour, or a printer's grey) whose contrast is the lesser. What lies in a
 * centre picture is not looked at: every codeword under it counts as lost, so it is a dark patch.
 */
import { gradientAt } from '../look/drawing.js';
import { box, boxHolds, grown, type Box } from '../look/box.js';
import { centreRim, placeCentre } from '../look/centre.js';
import { inkReflectance, paperReflectance, reflectancesOf, worsePrint } from '../look/contrast.js';
import { lookColours, plainLook, type LookDesign } from '../look/look.js';
import { moduleShapesOf } from '../look/shapes.js';
import type { SymbolPlan } from '../symbol/plan.js';

/** What is to be printed; without a look it is black on white. */
export interface PrintedCode extends Pick<SymbolPlan, 'modules' | 'matrix'>, Partial<Pick<SymbolPlan, 'version' | 'level'>> {
  readonly look?: LookDesign | null;
}

export interface Print {
  readonly side: number;
  /** Texels a module along each axis. */
  readonly perModule: number;
  readonly texels: Float32Array;
  /** Of the quiet zone around. */
  readonly ground: number;
}

/** Toner spreads beyond the module's edge on each side, in modules. */
const inkSpread = 1 / 16;
const finestPerModule = 16;

const known = new WeakMap<Uint8Array, { readonly look: LookDesign | null; readonly levels: readonly Print[] }>();

/** The print at the resolution that fits the sampling: the coarsest of 16, 8, 4 and 2 texels a module that loses nothing. */
export function printFor(code: PrintedCode, grid: number, modulesPerPixel: number): Print {
  const look = code.look ?? null;
  const before = known.get(code.matrix);
  const levels = before && before.look === look ? before.levels : coarserLevels(rasterise(code, look ?? plainLook));
  known.set(code.matrix, { look, levels });
  const wanted = grid / modulesPerPixel;
  return levels.findLast((level) => level.perModule >= wanted) ?? (levels[0] as Print);
}

/** The printed symbol, 16 texels a module with the ink spread by one. */
function rasterise(code: PrintedCode, look: LookDesign): Print {
  const side = code.modules * finestPerModule;
  const { ground, inkAt } = tones(look);
  const texels = new Float32Array(side * side).fill(ground);
  const spread = ground > inkAt(0) ? inkSpread : 0;
  const centre = centreOf(code, look);
  const fill = (shape: Box, hole: Box | null): void => fillBox(texels, side, grown(shape, spread), hole && grown(hole, -spread), (x, y) => inkAt(gradientAt(look.way, x, y, code.modules)));
  for (const { box: shape, hole } of moduleShapesOf(code, look, centre?.covered)) fill(shape, hole);
  if (centre) fill(centre.patch, null);
  return { side, perModule: finestPerModule, texels, ground };
}

function centreOf({ modules, version, level }: PrintedCode, look: LookDesign): { readonly covered: Uint8Array; readonly patch: Box } | null {
  if (look.centre === null || version === undefined || level === undefined) return null;
  const placed = placeCentre({ modules, version, level }, look.centre);
  if (placed === null) return null;
  const { width, height, covered } = placed;
  return { covered, patch: box((modules - width) / 2 + centreRim, (modules - height) / 2 + centreRim, width - 2 * centreRim, height - 2 * centreRim) };
}

/** Reflectances of ground and ink, the ink's by its place in the gradient. */
function tones(look: LookDesign): { readonly ground: number; readonly inkAt: (share: number) => number } {
  if (look === plainLook) return { ground: paperReflectance, inkAt: () => inkReflectance };
  const colours = lookColours(look);
  const { ground, inks } = reflectancesOf(colours, worsePrint(colours));
  return { ground, inkAt: (share) => inks[Math.round(share * (inks.length - 1))] ?? inkReflectance };
}

function fillBox(texels: Float32Array, side: number, shape: Box, hole: Box | null, tone: (x: number, y: number) => number): void {
  const within = (value: number): number => Math.min(side, Math.max(0, Math.round(value * finestPerModule)));
  const square = shape.radii.every((radius) => radius === 0);
  for (let y = within(shape.y); y < within(shape.y + shape.height); y += 1) {
    const py = (y + 0.5) / finestPerModule;
    for (let x = within(shape.x); x < within(shape.x + shape.width); x += 1) {
      const px = (x + 0.5) / finestPerModule;
      if ((square || boxHolds(shape, px, py)) && !(hole && boxHolds(hole, px, py))) texels[y * side + x] = tone(px, py);
    }
  }
}

function coarserLevels(finest: Print): readonly Print[] {
  const levels: Print[] = [finest];
  for (let level = levels[0]; level && level.perModule > 2; level = levels.at(-1)) levels.push(halve(level));
  return levels;
}

function halve({ side, perModule, texels, ground }: Print): Print {
  const half = side / 2;
  const coarser = new Float32Array(half * half);
  for (let y = 0; y < half; y += 1) {
    for (let x = 0; x < half; x += 1) {
      const at = 2 * y * side + 2 * x;
      coarser[y * half + x] = ((texels[at] as number) + (texels[at + 1] as number) + (texels[at + side] as number) + (texels[at + side + 1] as number)) / 4;
    }
  }
  return { side: half, perModule: perModule / 2, texels: coarser, ground };
}
