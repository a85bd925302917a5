/**
 * Dark modules -> shapes. Finder and alignment patterns are drawn as wholes, so that a line through a finder's middle always
 * meets 1:1:3:1:1 (ISO/IEC 18004, 6.3.3); all other modules take the look's form, joined where that form joins. Modules
 * under a centre picture are left out: it lies on clear ground, and error correction fills the gap.
 */
import { unreachable } from '../../platform/result.js';
import type { SymbolPlan } from '../symbol/plan.js';
import { alignmentCentres, modulesOf } from '../symbol/versions.js';
import { box, type CodeShape } from './box.js';
import type { FinderShape, LookDesign, ModuleShape } from './look.js';

/** A symbol's modules alone. */
export type Modules = Pick<SymbolPlan, 'modules' | 'matrix'>;

/** Of a single stone, and of a strand, in modules. */
const stoneSide = 0.9;
const strandWidth = 0.84;
const cutCorner = 0.4;
const wornRadius = 0.42;
const finderSide = 7;
const alignmentSide = 5;

/** @param covered not 0 where nothing is drawn; left out, everything is */
export function moduleShapesOf(
  { modules, matrix }: Modules,
  look: Pick<LookDesign, 'modules' | 'finders'>,
  covered?: Uint8Array,
): readonly CodeShape[] {
  const isCovered = (row: number, column: number): boolean => (covered?.[row * modules + column] ?? 0) !== 0;
  const alignments = alignmentCorners(modules).filter(([x, y]) => !someModule(x, y, alignmentSide, isCovered));
  const isPattern = (row: number, column: number): boolean =>
    isFinder(row, column, modules) ||
    alignments.some(([x, y]) => column >= x && column < x + alignmentSide && row >= y && row < y + alignmentSide);
  const dark = (row: number, column: number): boolean =>
    row >= 0 &&
    column >= 0 &&
    row < modules &&
    column < modules &&
    matrix[row * modules + column] === 1 &&
    !isPattern(row, column) &&
    !isCovered(row, column);
  const data = runs(modules, dark, look.modules).map((run) => ({ box: run, hole: null }));
  const far = modules - finderSide;
  const finders = (
    [
      [0, 0],
      [far, 0],
      [0, far],
    ] as const
  ).flatMap(([x, y]) => rings(x, y, finderSide, finderCorners[look.finders], look.finders === 'facet'));
  return [
    ...data,
    ...finders,
    ...alignments.flatMap(([x, y]) =>
      rings(x, y, alignmentSide, alignmentRings[look.finders], look.finders === 'facet'),
    ),
  ];
}

/** Whether a module belongs to one of the three finder patterns. Row and column from 0. */
export function isFinder(row: number, column: number, modules: number): boolean {
  const [near, far] = [finderSide, modules - finderSide];
  return (row < near && (column < near || column >= far)) || (row >= far && column < near);
}

type IsDark = (row: number, column: number) => boolean;

function runs(modules: number, dark: IsDark, form: ModuleShape) {
  switch (form) {
    case 'plain':
      return joined(modules, dark, (row, from, to) => box(from, row, to - from, 1));
    case 'worn':
      return joined(modules, dark, (row, from, to) => {
        // A corner is worn where both sides that meet in it lie open.
        const radius = (column: number, beside: number): number => (dark(beside, column) ? 0 : wornRadius);
        return box(from, row, to - from, 1, [
          radius(from, row - 1),
          radius(to - 1, row - 1),
          radius(to - 1, row + 1),
          radius(from, row + 1),
        ]);
      });
    case 'planks':
      return joined(modules, dark, (row, from, to) =>
        box(from, row + (1 - strandWidth) / 2, to - from, strandWidth, strandWidth / 2),
      );
    case 'reeds':
      return joined(
        modules,
        (row, column) => dark(column, row),
        (column, from, to) => box(column + (1 - strandWidth) / 2, from, strandWidth, to - from, strandWidth / 2),
      );
    case 'pebbles':
      return each(modules, dark, (row, column) =>
        box(column + (1 - stoneSide) / 2, row + (1 - stoneSide) / 2, stoneSide, stoneSide, stoneSide / 2),
      );
    case 'facets':
      return each(modules, dark, (row, column) => box(column, row, 1, 1, { radius: cutCorner, cut: true }));
    default:
      return unreachable(form);
  }
}

/** One shape for each run of dark modules along a line. */
function joined<Shape>(
  modules: number,
  dark: IsDark,
  make: (line: number, from: number, to: number) => Shape,
): Shape[] {
  const found: Shape[] = [];
  for (let line = 0; line < modules; line += 1) {
    for (let from = 0; from < modules; from += 1) {
      if (!dark(line, from)) continue;
      let to = from + 1;
      while (dark(line, to)) to += 1;
      found.push(make(line, from, to));
      from = to;
    }
  }
  return found;
}

function each<Shape>(modules: number, dark: IsDark, make: (row: number, column: number) => Shape): Shape[] {
  const found: Shape[] = [];
  for (let row = 0; row < modules; row += 1) {
    for (let column = 0; column < modules; column += 1) if (dark(row, column)) found.push(make(row, column));
  }
  return found;
}

/** Upper left corners of the alignment patterns; none in what is smaller than version 2. */
function alignmentCorners(modules: number): readonly (readonly [number, number])[] {
  if (modules < modulesOf(2)) return [];
  const centres = alignmentCentres((modules - 17) / 4);
  return centres
    .flatMap((y) => centres.map((x) => [x - 2, y - 2] as const))
    .filter(([x, y]) => !isFinder(y + 2, x + 2, modules));
}

function someModule(x: number, y: number, side: number, is: IsDark): boolean {
  return Array.from({ length: side * side }, (_, at) => is(y + Math.floor(at / side), x + (at % side))).some(Boolean);
}

type Corners = readonly [ring: number, hole: number, stone: number];

/**
 * Corner radii of ring, its hole and the stone in it. A cut ring is as thick across its corners as along its sides. Rounder
 * ones were measured: a circle (3.5) costs a good reader one frame in four, this ring none (docs/optics.md).
 */
const finderCorners: Readonly<Record<FinderShape, Corners>> = {
  plain: [0, 0, 0],
  worn: [2.1, 1.3, 0.9],
  ring: [2.7, 1.8, 1.3],
  facet: [1.3, 1.3 - 2 + Math.SQRT2, 0.6],
};
/** Alignment patterns go with the finders: a reader looks for their ring, which stones or strands would break up. */
const alignmentRings: Readonly<Record<FinderShape, Corners>> = {
  plain: [0, 0, 0],
  worn: [1.2, 0.6, 0.3],
  ring: [1.6, 0.8, 0.4],
  facet: [1, 1 - 2 + Math.SQRT2, 0.2],
};

/** Two modules a ring and the gap in it on each side, and the stone that is left. */
function rings(x: number, y: number, side: number, [ring, hole, stone]: Corners, cut: boolean): readonly CodeShape[] {
  return [
    {
      box: box(x, y, side, side, { radius: ring, cut }),
      hole: box(x + 1, y + 1, side - 2, side - 2, { radius: hole, cut }),
    },
    { box: box(x + 2, y + 2, side - 4, side - 4, { radius: stone, cut }), hole: null },
  ];
}
