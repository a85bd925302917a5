/** The cells that a kind of sheet has on a paper. */
import { fail, succeed, type Result } from '../../platform/result.js';
import type { MmBox, PaperSize } from '../face/box.js';
import { checkGrid, fitGrid, type Grid, type GridProblem } from './grid.js';
import { pageSize } from './paper.js';
import { type SheetSetup } from './sheet-page.js';

const markMm = 3;
const headMm = 17;
const footMm = 7;

/** Smaller cells can't hold a readable code. */
const leastCellMm = 12;

/** ISO/IEC 7810, ID-1. */
const id1: PaperSize = { widthMm: 85.6, heightMm: 53.98 };

/** @returns the cells of a page, or why there can't be any */
export function gridOf(setup: SheetSetup): Result<Grid, GridProblem> {
  const page = pageSize(setup.paper, setup.lying);
  const whole: MmBox = { xMm: 0, yMm: 0, ...page };
  const edge = setup.printerMarginMm;
  switch (setup.kind) {
    case 'poster':
      return succeed(divided(page, whole, 1, 1));
    case 'table-card':
      return divide(page, inset(whole, edge + markMm), setup.perPage, lyingPanel);
    case 'small-card':
      return divide(page, inset(whole, edge + markMm), setup.perPage, squareness);
    case 'student-card':
      return setup.perPage === 10
        ? fitGrid(page, setup.design.card === 'upright' ? turned(id1) : id1, edge, 0)
        : divide(
            page,
            inset(whole, edge + markMm),
            setup.perPage,
            setup.design.card === 'upright' ? uprightness : squareness,
          );
    case 'handout': {
      const area = inset(whole, Math.max(edge, 10));
      const body = { ...area, yMm: area.yMm + headMm, heightMm: area.heightMm - headMm - footMm };
      return setup.inColumns
        ? divide(page, body, Math.max(1, setup.perPage), squareness)
        : tallEnough(divided(page, body, 1, Math.max(1, setup.perPage)));
    }
    case 'label': {
      const grid = checkGrid({ page, ...setup.labels });
      return grid.ok ? tallEnough(grid.value) : grid;
    }
  }
}

/** Nearest to a bank card that is upright. */
function uprightness({ widthMm, heightMm }: PaperSize): number {
  return -Math.abs(Math.log((heightMm / widthMm) * (id1.heightMm / id1.widthMm)));
}

function turned({ widthMm, heightMm }: PaperSize): PaperSize {
  return { widthMm: heightMm, heightMm: widthMm };
}

function squareness({ widthMm, heightMm }: PaperSize): number {
  return Math.min(widthMm, heightMm);
}

/** A tent stands on its long side. */
function lyingPanel({ widthMm, heightMm }: PaperSize): number {
  return widthMm >= heightMm / 2 ? heightMm / 2 : 0;
}

function inset(box: MmBox, byMm: number): MmBox {
  return {
    xMm: box.xMm + byMm,
    yMm: box.yMm + byMm,
    widthMm: box.widthMm - 2 * byMm,
    heightMm: box.heightMm - 2 * byMm,
  };
}

function divided(page: PaperSize, { xMm, yMm, widthMm, heightMm }: MmBox, columns: number, rows: number): Grid {
  return {
    page,
    columns,
    rows,
    widthMm: widthMm / columns,
    heightMm: heightMm / rows,
    leftMm: xMm,
    topMm: yMm,
    pitchXMm: widthMm / columns,
    pitchYMm: heightMm / rows,
  };
}

/** Columns and rows that make the best cells of all that give that number. */
function divide(
  page: PaperSize,
  area: MmBox,
  count: number,
  worth: (cell: PaperSize) => number,
): Result<Grid, GridProblem> {
  const grids = Array.from({ length: count }, (_, index) => index + 1)
    .filter((columns) => count % columns === 0)
    .map((columns) => divided(page, area, columns, count / columns));
  const [best] = [...grids].sort((one, other) => worth(other) - worth(one));
  return best ? tallEnough(best) : fail({ reason: 'no-room' });
}

function tallEnough(grid: Grid): Result<Grid, GridProblem> {
  return Math.min(grid.widthMm, grid.heightMm) < leastCellMm ? fail({ reason: 'no-room' }) : succeed(grid);
}
