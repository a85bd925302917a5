/**
 * A lesson or a collection on pages: what lies in each cell, and backs as the printer turns them. The same pages are drawn as preview, PDF and picture.
 */
import { succeed, type Result } from '../../platform/result.js';
import type { MmBox, PaperSize } from '../face/box.js';
import { backFields, directionOf, type LaidField, type TextField } from '../face/fields.js';
import { type FaceContent, type FaceLayout } from '../face/face-content.js';
import { backDesignOf, frontOf, type FaceLayoutName } from '../face/face-design-of.js';
import { layoutFace, paperScaleOf } from '../face/lay-out-face.js';
import { layoutCard } from './card-face.js';
import { commonNamePt } from './card-names.js';
import { backOf, type GridProblem } from './grid.js';
import { perPageOf } from './kinds.js';
import { printedAddress } from './printed-address.js';
import { type MeasureText } from '../../code/typeface/text.js';
import {
  type SheetSetup,
  type SheetItem,
  type OfItem,
  type SheetPage,
  type Composition,
  pagesOf,
  cellsOn,
} from './sheet-page.js';
import { gridOf } from './setup-grid.js';
import { linesOf, furniture } from './page-furniture.js';

const rulePadMm = 1;

/**
 * Gives every item its place in the grid of its kind. Nothing is measured before a page is laid out. Fails where
 * the cells have no room.
 */
export function compose(asked: SheetSetup, items: readonly SheetItem[]): Result<Composition, GridProblem> {
  const setup = { ...asked, perPage: perPageOf(asked.kind, asked.perPage, items.length) };
  const grid = gridOf(setup);
  return grid.ok ? succeed({ setup, grid: grid.value, items }) : grid;
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

function frontPage(composition: Composition, front: number, measure: MeasureText): SheetPage {
  const { setup, grid } = composition;
  const page = emptyPage(grid.page, 'front');
  for (const { item, box } of cellsOn(composition, front)) {
    if (setup.kind === 'table-card') {
      const [upper, lower] = panelsOf(box);
      const layout = layoutFront(composition, item, lower, measure);
      put(page, layout, item);
      put(page, layout, item, { from: lower, to: upper });
    } else put(page, layoutFront(composition, item, faceSpace(setup, box), measure), item);
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
    const { box: behind, onItsHead } = backOf(grid.page, backSpace(setup, box), edge, adjustment);
    const layout = layoutBack(composition, item, behind, measure);
    if (onItsHead) put(page, layout, item, { from: behind, to: behind });
    else put(page, layout, item);
  }
  return page;
}

/** Where everything on a front lies, mm. @param index of the item, from 0 @param space of its cell, mm */
export function layoutFront(composition: Composition, index: number, space: MmBox, measure: MeasureText): FaceLayout {
  const { setup, items } = composition;
  const item = items[index] as SheetItem;
  const content = frontContent(setup, item);
  const { card = 'band', header, layout } = setup.design;
  if (setup.kind !== 'student-card')
    return layoutFace(
      frontOf(setup.kind, layoutFor(layout, content)),
      space,
      content,
      measure,
      scaleOf(setup.kind, space),
    );
  return layoutCard({ design: card, header, band: item.band ?? null }, space, content, {
    measure,
    namePt: commonNamePt(composition, space, measure),
  });
}

/** One language alone has no two columns. */
function layoutFor(layout: FaceLayoutName | undefined, { texts }: FaceContent): FaceLayoutName | undefined {
  const isAlone = (texts['point-2'] ?? '') === '' && (texts['tap-2'] ?? '') === '';
  return layout === 'two-languages' && isAlone ? 'big-number' : layout;
}

/** Where everything on a back lies, mm. @param index of the item, from 0 @param space of its cell, mm */
export function layoutBack(
  { setup, items }: Composition,
  index: number,
  space: MmBox,
  measure: MeasureText,
): FaceLayout {
  const { texts, phrases } = items[index] as SheetItem;
  const { number, title } = texts;
  // On the back, nobody points a camera.
  const instruction = phrases === undefined || phrases.point === null ? texts.instruction : '';
  // Where the number is printed large, it is not said again.
  const what = setup.kind === 'small-card' && number !== '' ? title : texts.what;
  return layoutFace(
    backDesignOf(setup.kind),
    space,
    {
      texts: { ...pick(texts, backFields), what, number, instruction },
      code: null,
      neededMm: 0,
      pictures: {},
      direction: directionOf(texts.what),
    },
    measure,
  );
}

/** Cards of other sizes have other letters; those of handouts and labels are the same on every paper. */
function scaleOf(kind: SheetSetup['kind'], space: MmBox): number {
  const shortMm = Math.min(space.widthMm, space.heightMm);
  switch (kind) {
    case 'poster':
      return paperScaleOf(space);
    case 'table-card':
      return Math.min(1.4, Math.max(0.7, shortMm / 68));
    case 'small-card':
      return Math.min(1.15, Math.max(0.7, shortMm / 55));
    case 'handout':
    case 'label':
    case 'student-card':
      return 1;
  }
}

function frontContent({ fields, design, kind, footer = '' }: SheetSetup, item: SheetItem): FaceContent {
  const { texts, modules, surround, neededMm, pictureAspect, photoAspect, distanceM, isSizeChosen = false } = item;
  const chosen = pick(texts, fields);
  return {
    texts: kind === 'student-card' ? chosen : laidTexts(chosen, item, withFooter(kind) ? footer : ''),
    code: { modules, surround },
    neededMm,
    pictures: {
      ...(design.header && { header: design.header.aspect }),
      ...(photoAspect !== undefined && { photo: photoAspect }),
      ...(pictureAspect !== null && (kind === 'poster' || kind === 'student-card') && { material: pictureAspect }),
    },
    direction: directionOf(texts.title),
    isSizeChosen,
    ...(kind === 'poster' && distanceM !== undefined && { distanceM }),
  };
}

function withFooter(kind: SheetSetup['kind']): boolean {
  return kind === 'poster' || kind === 'table-card';
}

/** As they are laid out: the address as it is typed, what is at the foot in one line, and printed phrases where there is no task. */
function laidTexts(
  chosen: Readonly<Partial<Record<TextField, string>>>,
  { phrases }: SheetItem,
  footer: string,
): FaceContent['texts'] {
  const { class: className = '', place = '', address = '', ...others } = chosen;
  const foot = [footer, className, place].filter((part) => part !== '').join(' · ');
  const laid = { ...others, address: printedAddress(address), foot };
  if (!phrases) return laid;
  const { point, tap, secondPoint, secondTap } = phrases;
  return {
    ...laid,
    ...(chosen.instruction !== undefined && point !== null && { instruction: '', point, 'point-2': secondPoint }),
    ...(chosen.tap !== undefined && { tap, 'tap-2': secondTap }),
  };
}

function pick<Field extends TextField>(
  texts: SheetItem['texts'],
  fields: readonly Field[],
): Partial<Record<LaidField, string>> {
  return Object.fromEntries(fields.map((field) => [field, texts[field]]));
}

/** The halves of a tent, above and below its fold. */
export function panelsOf({ xMm, yMm, widthMm, heightMm }: MmBox): readonly [upper: MmBox, lower: MmBox] {
  return [
    { xMm, yMm, widthMm, heightMm: heightMm / 2 },
    { xMm, yMm: yMm + heightMm / 2, widthMm, heightMm: heightMm / 2 },
  ];
}

/** What a cell leaves for the front; a handout keeps a little from its rules. Millimetres. */
export function faceSpace({ kind }: SheetSetup, box: MmBox): MmBox {
  return kind === 'handout' ? { ...box, yMm: box.yMm + rulePadMm, heightMm: box.heightMm - 2 * rulePadMm } : box;
}

/** A poster's back is a label in its corner; a tent's lies inside its lower panel. */
export function backSpace({ kind, printerMarginMm }: SheetSetup, box: MmBox): MmBox {
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
  return { widthMm, heightMm, side, texts: [], codes: [], pictures: [], tapSigns: [], bands: [], lines: [] };
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
  page.tapSigns.push(...layout.tapSigns.map(moveBox));
  page.bands.push(...layout.bands.map(moveBox));
}
