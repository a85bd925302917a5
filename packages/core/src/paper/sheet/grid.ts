/**
 * Many small things on one page: cards, labels, codes of a handout. A grid has straight columns and rows, so that a paper cutter
 * goes through from edge to edge; cells are filled row by row, from whichever cell of a page that was begun already; and the back of each
 * cell is known, as it falls when the printer turns the paper.
 */
import type { MmBox, PaperSize } from '../face/box.js';
import { fail, succeed, type Result } from '../../platform/result.js';
import { requirePositive } from '../../platform/units.js';

/** Where the cells of a kind lie on their page. */
export interface Grid {
  readonly page: PaperSize;
  readonly columns: number;
  readonly rows: number;
  /** Of a cell. */
  readonly widthMm: number;
  readonly heightMm: number;
  /** Corner of the first cell. */
  readonly leftMm: number;
  readonly topMm: number;
  /** From the begin of a cell to that of the next. */
  readonly pitchXMm: number;
  readonly pitchYMm: number;
}

/** Why there can't be such pages. */
export type GridProblem =
  { readonly reason: 'no-room' } | { readonly reason: 'cells-overlap' } | { readonly reason: 'beyond-page' };

/** Rounding of what was measured with a ruler. */
const toleranceMm = 0.01;

/** As many cells as fit, in the middle of the page. */
export function fitGrid(page: PaperSize, cell: PaperSize, marginMm: number, gapMm: number): Result<Grid, GridProblem> {
  for (const [name, value] of Object.entries({ ...cell })) requirePositive(name, value);
  const fits = (lengthMm: number, cellMm: number): number =>
    Math.floor((lengthMm - 2 * marginMm + gapMm + toleranceMm) / (cellMm + gapMm));
  const [columns, rows] = [fits(page.widthMm, cell.widthMm), fits(page.heightMm, cell.heightMm)];
  if (columns < 1 || rows < 1) return fail({ reason: 'no-room' });
  const begin = (lengthMm: number, cellMm: number, count: number): number =>
    (lengthMm - count * cellMm - (count - 1) * gapMm) / 2;
  return succeed({
    page,
    columns,
    rows,
    ...cell,
    leftMm: begin(page.widthMm, cell.widthMm, columns),
    topMm: begin(page.heightMm, cell.heightMm, rows),
    pitchXMm: cell.widthMm + gapMm,
    pitchYMm: cell.heightMm + gapMm,
  });
}

/** A grid by its figures, as labels are sold; what can't be is named. */
export function checkGrid(grid: Grid): Result<Grid, GridProblem> {
  const { columns, rows, widthMm, heightMm, pitchXMm, pitchYMm } = grid;
  if (columns < 1 || rows < 1 || widthMm <= 0 || heightMm <= 0) return fail({ reason: 'no-room' });
  if ((columns > 1 && pitchXMm < widthMm - toleranceMm) || (rows > 1 && pitchYMm < heightMm - toleranceMm))
    return fail({ reason: 'cells-overlap' });
  return isOnPage(grid) ? succeed(grid) : fail({ reason: 'beyond-page' });
}

function isOnPage({ page, columns, rows, widthMm, heightMm, leftMm, topMm, pitchXMm, pitchYMm }: Grid): boolean {
  const [rightMm, bottomMm] = [leftMm + (columns - 1) * pitchXMm + widthMm, topMm + (rows - 1) * pitchYMm + heightMm];
  return (
    Math.min(leftMm, topMm) >= -toleranceMm &&
    rightMm <= page.widthMm + toleranceMm &&
    bottomMm <= page.heightMm + toleranceMm
  );
}

/** @param index row by row, from 0 @throws RangeError for a cell that the grid has not */
export function cellBox(grid: Grid, index: number): MmBox {
  if (!Number.isInteger(index) || index < 0 || index >= grid.columns * grid.rows)
    throw new RangeError(`there is no cell ${index} of ${grid.columns * grid.rows}`);
  const [column, row] = [index % grid.columns, Math.floor(index / grid.columns)];
  return {
    xMm: grid.leftMm + column * grid.pitchXMm,
    yMm: grid.topMm + row * grid.pitchYMm,
    widthMm: grid.widthMm,
    heightMm: grid.heightMm,
  };
}

/** The edge that a printer turns the paper about. */
export type DuplexEdge = 'long' | 'short';

/** How far backs are moved so that the school's printer puts them behind their fronts, in mm to the right and down as the back is looked at. */
export interface DuplexAdjustment {
  readonly rightMm: number;
  readonly downMm: number;
}

/**
 * Where on the back page the back of a box lies. Turned about an upright edge, left and right change places; about a lying one,
 * top and bottom do, and what is printed must stand on its head to be upright on the card.
 */
export function backOf(
  page: PaperSize,
  { xMm, yMm, widthMm, heightMm }: MmBox,
  edge: DuplexEdge,
  { rightMm, downMm }: DuplexAdjustment = { rightMm: 0, downMm: 0 },
): { readonly box: MmBox; readonly onItsHead: boolean } {
  const upright = page.heightMm >= page.widthMm;
  const aboutUpright = (edge === 'long') === upright;
  const mirrored = aboutUpright
    ? { xMm: page.widthMm - xMm - widthMm, yMm }
    : { xMm, yMm: page.heightMm - yMm - heightMm };
  return {
    box: { xMm: mirrored.xMm + rightMm, yMm: mirrored.yMm + downMm, widthMm, heightMm },
    onItsHead: !aboutUpright,
  };
}

/** Where a cutter goes through, from edge to edge of the page: positions across and down, each once. */
export function cutsOf({ columns, rows, widthMm, heightMm, leftMm, topMm, pitchXMm, pitchYMm }: Grid): {
  readonly acrossMm: readonly number[];
  readonly downMm: readonly number[];
} {
  const edges = (beginMm: number, count: number, pitchMm: number, lengthMm: number): readonly number[] => {
    const all = Array.from({ length: count }, (_, index) => [
      beginMm + index * pitchMm,
      beginMm + index * pitchMm + lengthMm,
    ]).flat();
    // Cells that touch share a cut.
    return all.filter((position, index) => index === 0 || position - (all[index - 1] ?? 0) > toleranceMm);
  };
  return { acrossMm: edges(leftMm, columns, pitchXMm, widthMm), downMm: edges(topMm, rows, pitchYMm, heightMm) };
}
