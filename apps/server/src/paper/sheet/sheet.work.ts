/** What a sheet worker is asked and answers; the same on the thread and in tests. */
import { layoutPage, notesOf, pagesOf, type GridProblem, type SheetNote } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import sharp from 'sharp';
import { measureIn } from '../../code/typeface/shaped-line.js';
import { drawableOf, type Drawable, type SheetOrder } from './sheet-order.js';
import { drawSheetsPdf } from './sheet-pdf.js';
import { drawSheetSvg } from './sheet-svg.js';

export type SheetTask =
  /** How many pages, what is not right, and one page. */
  | { readonly kind: 'preview'; readonly order: SheetOrder; readonly page: number }
  | { readonly kind: 'notes'; readonly order: SheetOrder }
  | { readonly kind: 'pdf'; readonly order: SheetOrder }
  | { readonly kind: 'svg'; readonly order: SheetOrder; readonly page: number }
  | { readonly kind: 'png'; readonly order: SheetOrder; readonly page: number; readonly dpi: number };

export interface SheetNotes {
  readonly pages: number;
  readonly sizesMm: readonly number[];
  readonly notes: readonly SheetNote[];
  readonly problem: GridProblem['reason'] | null;
}

export interface SheetPreviewAnswer extends SheetNotes {
  readonly page: number;
  readonly side: 'front' | 'back';
  readonly widthMm: number;
  readonly heightMm: number;
  readonly svg: string;
}

export type SheetAnswer = SheetNotes | SheetPreviewAnswer | string | Uint8Array;

const noPages: SheetPreviewAnswer = {
  pages: 0,
  sizesMm: [],
  notes: [],
  problem: 'no-room',
  page: 0,
  side: 'front',
  widthMm: 0,
  heightMm: 0,
  svg: '',
};

type LaidOut = ReturnType<typeof drawableOf>;
/** Pages of one print are asked for one after the other. */
let last: { readonly key: string; readonly laidOut: LaidOut } | null = null;

/** The layout of an order; the same one again for the same key. */
export function layOut(order: SheetOrder): LaidOut {
  if (order.key !== undefined && last?.key === order.key) return last.laidOut;
  const laidOut = drawableOf(order, { iconOf, measure: measureIn(order.han) });
  if (order.key !== undefined) last = { key: order.key, laidOut };
  return laidOut;
}

export async function answerTask(
  task: SheetTask,
  onPage: (drawn: number) => Promise<void> | void = () => undefined,
): Promise<SheetAnswer> {
  const { order } = task;
  const measure = measureIn(order.han);
  const drawable = layOut(order);
  if (!drawable.ok) return { ...noPages, problem: drawable.problem.reason };
  const { composition } = drawable.value;
  const pages = pagesOf(composition);
  const pictures = new Map(Object.entries(order.pictures).map(([id, bytes]) => [id, Buffer.from(bytes)]));
  const svgOf = (index: number): string =>
    drawSheetSvg(layoutPage(composition, index, measure), drawable.value, order, pictures);
  switch (task.kind) {
    case 'notes':
      return { pages, problem: null, ...notesOf(composition, measure) };
    case 'preview': {
      const index = Math.min(task.page, pages - 1);
      const page = layoutPage(composition, index, measure);
      return {
        pages,
        problem: null,
        ...notesOf(composition, measure),
        page: index,
        side: page.side,
        widthMm: page.widthMm,
        heightMm: page.heightMm,
        svg: svgOf(index),
      };
    }
    case 'pdf':
      return drawSheetsPdf(drawable.value, order, pictures, onPage);
    case 'svg':
      return svgOf(task.page);
    case 'png':
      return pngOf(svgOf(task.page), drawable.value, task.dpi);
  }
}

async function pngOf(svg: string, { composition: { grid } }: Drawable, dpi: number): Promise<Uint8Array> {
  const width = Math.round((grid.page.widthMm / 25.4) * dpi);
  return sharp(Buffer.from(svg), { density: dpi, limitInputPixels: 200_000_000 })
    .resize({ width })
    .flatten({ background: '#ffffff' })
    .png({ compressionLevel: 9 })
    .withMetadata({ density: dpi })
    .toBuffer();
}
