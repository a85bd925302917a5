/**
 * What is on the paper: a code in its look as reflectances, fine enough for the camera model to sample. Colours become the
 * grey that a camera's reader sees, in the print (colour, or a printer's grey) whose contrast is the lesser. What lies in a
 * centre picture is not looked at: every codeword under it counts as lost, so it is a dark patch.
 */
import { gradientAt } from '../../code/look/drawing.js';
import { box, boxHolds, grown, type Box } from '../../code/look/box.js';
import { centreRim, placeCentre } from '../../code/look/centre.js';
import { inkReflectance, paperReflectance, reflectancesOf, worsePrint } from '../../code/look/contrast.js';
import { lookColours, plainLook, type LookDesign } from '../../code/look/look.js';
import { moduleShapesOf } from '../../code/look/shapes.js';
import type { SymbolPlan } from '../../code/symbol/plan.js';
import { techniqueFigures, type PrintTechnique } from './scene.js';

/** What is to be printed; without a look it is black on white. */
export interface PrintedCode
  extends Pick<SymbolPlan, 'modules' | 'matrix'>, Partial<Pick<SymbolPlan, 'version' | 'level'>> {
  readonly look?: LookDesign | null;
}

/** The printed symbol as reflectances, texel by texel. */
export interface Print {
  readonly modules: number;
  /** Texels a module along each axis. */
  readonly perModule: number;
  /** Texels a side of the symbol. */
  readonly side: number;
  /** Reflectance that the ink takes from the ground's, texel by texel. */
  readonly taken: Float32Array;
  /** Sums of `taken` over everything above and left of a point, (side + 1) x (side + 1): a box is told by four of them. */
  readonly integral: Float64Array;
  /** Reflectance of the quiet zone around. */
  readonly ground: number;
}

/** Fine enough for edges that are rounded; larger symbols have smaller modules on the sensor, and memory is not endless. */
const texelsFor = (modules: number): number => (modules <= 77 ? 16 : 8);

const known = new WeakMap<Uint8Array, Map<string, { readonly look: LookDesign | null; readonly print: Print }>>();

/** The print as the camera model samples it; made once for each look and technique of a symbol. */
export function printFor(code: PrintedCode, technique: PrintTechnique): Print {
  const look = code.look ?? null;
  const ofCode = known.get(code.matrix) ?? new Map<string, { look: LookDesign | null; print: Print }>();
  const before = ofCode.get(technique);
  if (before && before.look === look) return before.print;
  const print = rasterise(code, look ?? plainLook, technique);
  known.set(code.matrix, ofCode.set(technique, { look, print }));
  return print;
}

/** The printed symbol, its ink spread beyond the modules' edges and as pale as the technique makes it. */
function rasterise(code: PrintedCode, look: LookDesign, technique: PrintTechnique): Print {
  const { modules } = code;
  const perModule = texelsFor(modules);
  const side = modules * perModule;
  const { ground, inkAt } = tones(look);
  const taken = new Float32Array(side * side);
  const { spread, paler } = techniqueFigures[technique];
  const grow = ground > inkAt(0) ? spread : 0;
  const centre = centreOf(code, look);
  const raster = { taken, side, perModule };
  const fill = (shape: Box, hole: Box | null): void =>
    fillBox(
      raster,
      grown(shape, grow),
      hole && grown(hole, -grow),
      (x, y) => (ground - inkAt(gradientAt(look.way, x, y, modules))) * (1 - paler),
    );
  for (const { box: shape, hole } of moduleShapesOf(code, look, centre?.covered)) fill(shape, hole);
  if (centre) fill(centre.patch, null);
  return { modules, perModule, side, taken, integral: integrate(taken, side), ground };
}

function integrate(taken: Float32Array, side: number): Float64Array {
  const stride = side + 1;
  const integral = new Float64Array(stride * stride);
  for (let y = 0; y < side; y += 1) {
    let row = 0;
    for (let x = 0; x < side; x += 1) {
      row += taken[y * side + x] as number;
      integral[(y + 1) * stride + x + 1] = (integral[y * stride + x + 1] as number) + row;
    }
  }
  return integral;
}

function centreOf(
  { modules, version, level }: PrintedCode,
  look: LookDesign,
): { readonly covered: Uint8Array; readonly patch: Box } | null {
  if (look.centre === null || version === undefined || level === undefined) return null;
  const placed = placeCentre({ modules, version, level }, look.centre);
  if (placed === null) return null;
  const { width, height, covered } = placed;
  return {
    covered,
    patch: box(
      (modules - width) / 2 + centreRim,
      (modules - height) / 2 + centreRim,
      width - 2 * centreRim,
      height - 2 * centreRim,
    ),
  };
}

/** Reflectances of ground and ink, the ink's by its place in the gradient. */
function tones(look: LookDesign): { readonly ground: number; readonly inkAt: (share: number) => number } {
  if (look === plainLook) return { ground: paperReflectance, inkAt: () => inkReflectance };
  const colours = lookColours(look);
  const { ground, inks } = reflectancesOf(colours, worsePrint(colours));
  return { ground, inkAt: (share) => inks[Math.round(share * (inks.length - 1))] ?? inkReflectance };
}

function fillBox(
  { taken, side, perModule }: Pick<Print, 'taken' | 'side' | 'perModule'>,
  shape: Box,
  hole: Box | null,
  tone: (x: number, y: number) => number,
): void {
  const within = (value: number): number => Math.min(side, Math.max(0, Math.round(value * perModule)));
  const square = shape.radii.every((radius) => radius === 0);
  for (let y = within(shape.y); y < within(shape.y + shape.height); y += 1) {
    const py = (y + 0.5) / perModule;
    for (let x = within(shape.x); x < within(shape.x + shape.width); x += 1) {
      const px = (x + 0.5) / perModule;
      if ((square || boxHolds(shape, px, py)) && !(hole && boxHolds(hole, px, py))) taken[y * side + x] = tone(px, py);
    }
  }
}
