/** What is laid out and what comes of it: a setup with its cells, the items on each front, and the boxes of a page. */
import type { MmBox, PaperSize } from '../face/box.js';
import { type BackField, type FaceField, type LaidField } from '../face/fields.js';
import { type BandBox, type CodeBox, type PictureBox, type TapSign, type TextBox } from '../face/face-content.js';
import { type SheetDesign, type SheetKind } from './design.js';
import { cellBox, type DuplexAdjustment, type DuplexEdge, type Grid } from './grid.js';
import { type PaperFormat } from './paper.js';
import type { LabelGrid } from './kinds.js';
import type { Surround } from '../../code/look/frame.js';

/** How sheets are to be: kind, paper, what is on them, how they are cut and turned. */
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
  /** A new page begins with each group of items; absent where they follow each other. */
  readonly newPagePerGroup?: boolean;
  /** What the printer can't reach at the edges. */
  readonly printerMarginMm: number;
  /** The school, in the line at the foot of posters and table cards; absent on sheets of before there was one. */
  readonly footer?: string;
  /** Over each page of a handout. */
  readonly head: { readonly title: string; readonly about: string };
}

/** What a sheet says by itself, in one language or two; '' for nothing. */
export interface SheetPhrases {
  /** Null where the teacher wrote a task. */
  readonly point: string | null;
  readonly tap: string;
  readonly secondPoint: string;
  readonly secondTap: string;
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
  /** Printed where the teacher wrote no task, and in a second language; absent or '' for none. */
  readonly phrases?: SheetPhrases;
  /** `#rrggbb` of titles and blocks, where its look has one; absent for the design's. */
  readonly accent?: string;
  /** Somebody chose `neededMm` by hand: the code is no larger, however much room there is. Absent where it was computed. */
  readonly isSizeChosen?: boolean;
  /** From where it is read, metres; absent where nobody said. */
  readonly distanceM?: number;
  /** Width by height of the student's photo; absent without. */
  readonly photoAspect?: number;
  /** `#rrggbb` of the band of a student's card; absent without. */
  readonly band?: string;
  /** What it belongs to, as a class; '' or absent for none. */
  readonly group?: string;
}

/** A part of a page that belongs to one code. */
export interface OfItem {
  /** Place in the list of items. */
  readonly item: number;
  /** Stands on its head: the upper panel of a tent, a back turned about the short edge. */
  readonly turned: boolean;
}

/** A text on a page, with the lines that it was broken into. */
export type PageText = Omit<TextBox, 'field'> & {
  readonly field: LaidField | 'head' | 'head-about' | 'page-number';
  readonly item: number | null;
  readonly turned: boolean;
};
/** A code on a page. */
export type PageCode = CodeBox & OfItem;
/** A picture on a page. */
export type PagePicture = PictureBox & OfItem;
/** A sign beside what to tap, on a page. */
export type PageTapSign = TapSign & OfItem;

/** A band on a page. */
export type PageBand = BandBox & OfItem;

/** A line to cut or fold along, or that parts things; from and to in mm. */
export interface PageLine {
  readonly from: readonly [xMm: number, yMm: number];
  readonly to: readonly [xMm: number, yMm: number];
  /** Where to cut, its mark at the edge, where to fold, between entries. */
  readonly kind: 'cut' | 'mark' | 'fold' | 'rule';
}

/** Everything on one page, in mm from its upper left corner. */
export interface SheetPage extends PaperSize {
  readonly side: 'front' | 'back';
  readonly texts: readonly PageText[];
  readonly codes: readonly PageCode[];
  readonly pictures: readonly PagePicture[];
  readonly tapSigns: readonly PageTapSign[];
  readonly bands: readonly PageBand[];
  readonly lines: readonly PageLine[];
}

/** Everything that is laid out: the setup with its cells. */
export interface Composition {
  readonly setup: SheetSetup;
  readonly grid: Grid;
  readonly items: readonly SheetItem[];
}

/** Fronts, without backs. */
export function frontsOf(composition: Composition): number {
  const { setup, grid } = composition;
  const cells = grid.columns * grid.rows;
  return Math.max(1, Math.ceil((slotsOf(composition).length + startOf(setup)) / cells));
}

function startOf({ kind, startAt }: SheetSetup): number {
  return kind === 'label' ? startAt : 0;
}

const knownSlots = new WeakMap<Composition, readonly (number | null)[]>();

/** The item of each cell, page after page; null for cells that stay empty before the next group. */
function slotsOf(composition: Composition): readonly (number | null)[] {
  const known = knownSlots.get(composition);
  if (known) return known;
  const { setup, grid, items } = composition;
  const each = grid.columns * grid.rows;
  const slots: (number | null)[] = [];
  items.forEach(({ group = '' }, item) => {
    const isNew = item > 0 && group !== (items[item - 1]?.group ?? '');
    while (setup.newPagePerGroup === true && isNew && slots.length % each !== 0) slots.push(null);
    for (let copy = 0; copy < setup.copies; copy += 1) slots.push(item);
  });
  knownSlots.set(composition, slots);
  return slots;
}

/** Pages of the file: each front with its back behind it, as a duplex printer wants them. */
export function pagesOf(composition: Composition): number {
  return frontsOf(composition) * (composition.setup.backs === null ? 1 : 2);
}

/** The items of a front with their cells. */
export function cellsOn(
  composition: Composition,
  front: number,
): readonly { readonly item: number; readonly box: MmBox }[] {
  const { setup, grid } = composition;
  const each = grid.columns * grid.rows;
  const first = front * each - startOf(setup);
  return slotsOf(composition)
    .slice(Math.max(0, first), first + each)
    .flatMap((item, index) =>
      item === null ? [] : [{ item, box: cellBox(grid, Math.max(0, first) + index - first) }],
    );
}
