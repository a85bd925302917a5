/**
 * A lesson or a collection on pages: which grid a kind of sheet has on which paper, what lies in each cell, backs as the printer turns
 * them, cuts and folds. The same pages are drawn as preview, PDF and picture.
 */
import { fail, succeed, type Result } from '../../platform/result.js';
import {
  backFields,
  type BackField,
  type FaceField,
  type SheetDesign,
  type SheetKind,
  type TextField,
} from './design.js';
import {
  layoutFace,
  type ArrowBox,
  type CodeBox,
  type FaceContent,
  type FaceLayout,
  type PictureBox,
  type TextBox,
} from './face.js';
import {
  backOf,
  cellBox,
  checkGrid,
  cutsOf,
  fitGrid,
  placeOnPages,
  type DuplexAdjustment,
  type DuplexEdge,
  type Grid,
  type GridProblem,
  type MmBox,
  type PaperSize,
} from './grid.js';
import { pageSize, type PaperFormat } from './paper.js';
import type { LabelGrid } from './kinds.js';
import { fitText, lineHeightMm, type MeasureText } from '../../code/typeface/text.js';
import type { Surround } from '../../code/look/frame.js';

/** Smaller ones hold no code that is read. */
const leastCellMm = 12;

/** ISO/IEC 7810, ID-1. */
const id1: PaperSize = { widthMm: 85.6, heightMm: 53.98 };

export interface SheetSetup {
  readonly kind: SheetKind;
  readonly paper: PaperFormat;
  readonly lying: boolean;
  readonly perPage: number;
  /** Handouts: one below the other with texts beside, or in columns. */
  readonly inColumns: boolean;
  readonly labels: LabelGrid;
  /** First label of the first sheet that is still there, from 0. */
  readonly startAt: number;
  /** Copies of each. */
  readonly copies: number;
  readonly fields: readonly FaceField[];
  /** Null without backs. */
  readonly backs: { readonly edge: DuplexEdge; readonly adjustment: DuplexAdjustment } | null;
  readonly design: SheetDesign;
  /** What the printer can't reach at the edges. */
  readonly printerMarginMm: number;
  /** Over each page of a handout. */
  readonly head: { readonly title: string; readonly about: string };
}

/** What one code shows on its sheet. */
export interface SheetItem {
  readonly texts: Readonly<Record<FaceField | BackField, string>>;
  readonly modules: number;
  readonly surround: Surround;
  /** Side of the symbol that its distance and devices ask for, mm. */
  readonly neededMm: number;
  /** Width by height of a picture of what opens; null without. */
  readonly pictureAspect: number | null;
}

interface OfItem {
  /** Place in the list of items. */
  readonly item: number;
  /** Stands on its head: the upper panel of a tent, a back turned about the short edge. */
  readonly turned: boolean;
}

export type PageText = Omit<TextBox, 'field'> & {
  readonly field: TextField | 'head' | 'head-about' | 'page-number';
  readonly item: number | null;
  readonly turned: boolean;
};
export type PageCode = CodeBox & OfItem;
export type PagePicture = PictureBox & OfItem;
export type PageArrow = ArrowBox & OfItem;

export interface PageLine {
  readonly from: readonly [xMm: number, yMm: number];
  readonly to: readonly [xMm: number, yMm: number];
  /** Where to cut, its mark at the edge, where to fold, between entries. */
  readonly kind: 'cut' | 'mark' | 'fold' | 'rule';
}

export interface SheetPage extends PaperSize {
  readonly side: 'front' | 'back';
  readonly texts: readonly PageText[];
  readonly codes: readonly PageCode[];
  readonly pictures: readonly PagePicture[];
  readonly arrows: readonly PageArrow[];
  readonly lines: readonly PageLine[];
}

const markMm = 3;
const headMm = 17;
const footMm = 7;
const rulePadMm = 1;

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
        ? fitGrid(page, id1, edge, 0)
        : divide(page, inset(whole, edge + markMm), setup.perPage, squareness);
    case 'handout': {
      const area = inset(whole, Math.max(edge, 10));
      const body = { ...area, yMm: area.yMm + headMm, heightMm: area.heightMm - headMm - footMm };
      return setup.inColumns
        ? divide(page, body, setup.perPage, squareness)
        : tallEnough(divided(page, body, 1, setup.perPage));
    }
    case 'label': {
      const grid = checkGrid({ page, ...setup.labels });
      return grid.ok ? tallEnough(grid.value) : grid;
    }
  }
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

/** Everything that is laid out: the setup with its cells. */
export interface Composition {
  readonly setup: SheetSetup;
  readonly grid: Grid;
  readonly items: readonly SheetItem[];
}

export function compose(setup: SheetSetup, items: readonly SheetItem[]): Result<Composition, GridProblem> {
  const grid = gridOf(setup);
  return grid.ok ? succeed({ setup, grid: grid.value, items }) : grid;
}

/** Fronts, without backs. */
export function frontsOf({ setup, grid, items }: Composition): number {
  const cells = grid.columns * grid.rows;
  return Math.max(1, Math.ceil((items.length * setup.copies + startOf(setup)) / cells));
}

function startOf({ kind, startAt }: SheetSetup): number {
  return kind === 'label' ? startAt : 0;
}

/** Pages of the file: each front with its back behind it, as a duplex printer wants them. */
export function pagesOf(composition: Composition): number {
  return frontsOf(composition) * (composition.setup.backs === null ? 1 : 2);
}

/** @param index from 0 @throws RangeError beyond the last page */
export function layoutPage(composition: Composition, index: number, measure: MeasureText): SheetPage {
  if (!Number.isInteger(index) || index < 0 || index >= pagesOf(composition))
    throw new RangeError(`there is no page ${index} of ${pagesOf(composition)}`);
  const { backs } = composition.setup;
  return backs === null
    ? frontPage(composition, index, measure)
    : index % 2 === 0
      ? frontPage(composition, index / 2, measure)
      : backPage(composition, (index - 1) / 2, measure);
}

/** The items of a front with their cells. */
function cellsOn(
  { setup, grid, items }: Composition,
  front: number,
): readonly { readonly item: number; readonly box: MmBox }[] {
  const each = grid.columns * grid.rows;
  const from = Math.max(0, front * each - startOf(setup));
  const to = Math.min(items.length * setup.copies, (front + 1) * each - startOf(setup));
  const cells = placeOnPages(grid, to, startOf(setup)).slice(from);
  return cells.map(({ cell }, index) => ({
    item: Math.floor((from + index) / setup.copies),
    box: cellBox(grid, cell),
  }));
}

function frontPage(composition: Composition, front: number, measure: MeasureText): SheetPage {
  const { setup, grid } = composition;
  const page = emptyPage(grid.page, 'front');
  for (const { item, box } of cellsOn(composition, front)) {
    if (setup.kind === 'table-card') {
      const [upper, lower] = panelsOf(box);
      const layout = layoutFront(composition, item, lower, measure);
      put(page, layout, item);
      put(page, layout, item, { from: lower, to: upper });
    } else put(page, layoutFront(composition, item, faceRoom(setup, box), measure), item);
  }
  page.lines.push(...linesOf(composition, front));
  page.texts.push(...furniture(composition, front, measure));
  return page;
}

function backPage(composition: Composition, front: number, measure: MeasureText): SheetPage {
  const { setup, grid } = composition;
  const page = emptyPage(grid.page, 'back');
  const { edge, adjustment } = setup.backs ?? { edge: 'long' as const, adjustment: { rightMm: 0, downMm: 0 } };
  for (const { item, box } of cellsOn(composition, front)) {
    const { box: behind, onItsHead } = backOf(grid.page, backRoom(setup, box), edge, adjustment);
    const layout = layoutBack(composition, item, behind, measure);
    if (onItsHead) put(page, layout, item, { from: behind, to: behind });
    else put(page, layout, item);
  }
  return page;
}

export function layoutFront(
  { setup, items }: Composition,
  index: number,
  room: MmBox,
  measure: MeasureText,
): FaceLayout {
  return layoutFace(setup.design.front, room, frontContent(setup, items[index] as SheetItem), measure);
}

export function layoutBack(
  { setup, items }: Composition,
  index: number,
  room: MmBox,
  measure: MeasureText,
): FaceLayout {
  const { texts } = items[index] as SheetItem;
  return layoutFace(
    setup.design.back,
    room,
    { texts: pick(texts, backFields), code: null, neededMm: 0, pictures: {} },
    measure,
  );
}

function frontContent(
  { fields, design, kind }: SheetSetup,
  { texts, modules, surround, neededMm, pictureAspect }: SheetItem,
): FaceContent {
  return {
    texts: pick(texts, fields),
    code: { modules, surround },
    neededMm,
    pictures: {
      ...(design.header && { header: design.header.aspect }),
      ...(pictureAspect !== null && (kind === 'poster' || kind === 'student-card') && { material: pictureAspect }),
    },
  };
}

function pick<Field extends TextField>(texts: SheetItem['texts'], fields: readonly Field[]): FaceContent['texts'] {
  return Object.fromEntries(fields.map((field) => [field, texts[field]]));
}

/** The halves of a tent, above and below its fold. */
export function panelsOf({ xMm, yMm, widthMm, heightMm }: MmBox): readonly [upper: MmBox, lower: MmBox] {
  return [
    { xMm, yMm, widthMm, heightMm: heightMm / 2 },
    { xMm, yMm: yMm + heightMm / 2, widthMm, heightMm: heightMm / 2 },
  ];
}

export function faceRoom({ kind }: SheetSetup, box: MmBox): MmBox {
  return kind === 'handout' ? { ...box, yMm: box.yMm + rulePadMm, heightMm: box.heightMm - 2 * rulePadMm } : box;
}

/** A poster's back is a label in its corner; a tent's lies inside its lower panel. */
export function backRoom({ kind, printerMarginMm }: SheetSetup, box: MmBox): MmBox {
  if (kind === 'table-card') return panelsOf(box)[1];
  if (kind !== 'poster') return box;
  const [widthMm, heightMm] = [
    Math.min(110, box.widthMm - 4 * printerMarginMm),
    Math.min(60, box.heightMm - 4 * printerMarginMm),
  ];
  return {
    xMm: box.xMm + box.widthMm - widthMm - 2 * printerMarginMm,
    yMm: box.yMm + box.heightMm - heightMm - 2 * printerMarginMm,
    widthMm,
    heightMm,
  };
}

type Filling = {
  -readonly [Key in keyof SheetPage]: SheetPage[Key] extends readonly (infer Each)[] ? Each[] : SheetPage[Key];
};

function emptyPage({ widthMm, heightMm }: PaperSize, side: SheetPage['side']): Filling {
  return { widthMm, heightMm, side, texts: [], codes: [], pictures: [], arrows: [], lines: [] };
}

/** @param turn half a turn, from one place to another of the same size */
function put(
  page: Filling,
  layout: FaceLayout,
  item: number,
  turn: { readonly from: MmBox; readonly to: MmBox } | null = null,
): void {
  const move = <Box extends { readonly xMm: number; readonly yMm: number }>(
    box: Box,
    widthMm: number,
    heightMm: number,
  ): Box & OfItem => {
    if (turn === null) return { ...box, item, turned: false };
    const { from, to } = turn;
    return {
      ...box,
      xMm: to.xMm + (from.xMm + from.widthMm - box.xMm - widthMm),
      yMm: to.yMm + (from.yMm + from.heightMm - box.yMm - heightMm),
      item,
      turned: true,
    };
  };
  const moveBox = <Box extends MmBox>(box: Box): Box & OfItem => move(box, box.widthMm, box.heightMm);
  if (layout.code) page.codes.push(move(layout.code, layout.code.sizeMm, layout.code.sizeMm));
  page.texts.push(...layout.texts.map(moveBox));
  page.pictures.push(...layout.pictures.map(moveBox));
  page.arrows.push(...layout.arrows.map(moveBox));
}

/** Cuts go from edge to edge, so that a paper cutter follows them; labels are cut already. */
function linesOf(composition: Composition, front: number): readonly PageLine[] {
  const { setup, grid } = composition;
  const { page } = grid;
  if (setup.kind === 'handout') return rulesOf(composition, front);
  if (setup.kind !== 'table-card' && setup.kind !== 'small-card' && setup.kind !== 'student-card') return [];
  const { acrossMm, downMm } = cutsOf(grid);
  const [right, bottom] = [
    grid.leftMm + (grid.columns - 1) * grid.pitchXMm + grid.widthMm,
    grid.topMm + (grid.rows - 1) * grid.pitchYMm + grid.heightMm,
  ];
  const cuts: PageLine[] = [
    ...acrossMm.map((xMm): PageLine => ({ from: [xMm, grid.topMm], to: [xMm, bottom], kind: 'cut' })),
    ...downMm.map((yMm): PageLine => ({ from: [grid.leftMm, yMm], to: [right, yMm], kind: 'cut' })),
  ];
  const edge = setup.printerMarginMm;
  const marks: PageLine[] = [
    ...acrossMm.flatMap((xMm): PageLine[] => [
      { from: [xMm, edge], to: [xMm, grid.topMm], kind: 'mark' },
      { from: [xMm, bottom], to: [xMm, page.heightMm - edge], kind: 'mark' },
    ]),
    ...downMm.flatMap((yMm): PageLine[] => [
      { from: [edge, yMm], to: [grid.leftMm, yMm], kind: 'mark' },
      { from: [right, yMm], to: [page.widthMm - edge, yMm], kind: 'mark' },
    ]),
  ];
  const folds =
    setup.kind === 'table-card'
      ? cellsOn(composition, front).map(({ box }): PageLine => ({
          from: [box.xMm, box.yMm + box.heightMm / 2],
          to: [box.xMm + box.widthMm, box.yMm + box.heightMm / 2],
          kind: 'fold',
        }))
      : [];
  return [...cuts, ...marks, ...folds];
}

function rulesOf(composition: Composition, front: number): readonly PageLine[] {
  if (composition.setup.inColumns) return [];
  return cellsOn(composition, front).map(({ box }) => ({
    from: [box.xMm, box.yMm] as const,
    to: [box.xMm + box.widthMm, box.yMm] as const,
    kind: 'rule' as const,
  }));
}

type FurnitureLine = Pick<PageText, 'field' | 'font' | 'sizePt' | 'tone' | 'align' | 'yMm'> & {
  readonly text: string;
  readonly floorPt: number;
};

/** Head and page number of a handout. */
function furniture(composition: Composition, front: number, measure: MeasureText): readonly PageText[] {
  const { setup, grid } = composition;
  if (setup.kind !== 'handout') return [];
  const edge = Math.max(setup.printerMarginMm, 10);
  const widthMm = grid.page.widthMm - 2 * edge;
  const line = ({ field, text, font, sizePt, floorPt, yMm, tone, align }: FurnitureLine): readonly PageText[] => {
    const fitted = fitText(text, { font, sizePt, floorPt, maxLines: 1, widthMm }, measure);
    if (fitted.lines.length === 0) return [];
    const box = { xMm: edge, yMm, widthMm, heightMm: lineHeightMm(fitted.sizePt) };
    const { lines } = fitted;
    return [{ field, item: null, turned: false, font, sizePt: fitted.sizePt, tone, align, lines, ...box }];
  };
  const pages = frontsOf(composition);
  const head = { font: 'heading', sizePt: 19, floorPt: 11, yMm: edge, tone: 'accent', align: 'start' } as const;
  const about = { font: 'text', sizePt: 10.5, floorPt: 7, yMm: edge + 9, tone: 'quiet', align: 'start' } as const;
  const numberMm = grid.page.heightMm - edge - lineHeightMm(9);
  const number = { font: 'text', sizePt: 9, floorPt: 8, yMm: numberMm, tone: 'quiet', align: 'middle' } as const;
  return [
    ...line({ field: 'head', text: setup.head.title, ...head }),
    ...line({ field: 'head-about', text: setup.head.about, ...about }),
    ...(pages > 1 ? line({ field: 'page-number', text: `${front + 1} / ${pages}`, ...number }) : []),
  ];
}
