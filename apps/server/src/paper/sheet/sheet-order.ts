/** What a worker needs to draw sheets: plain data, so that it can be sent to a thread and kept in the database. */
import {
  chooseSize,
  compose,
  drawCode,
  modulesOf,
  plainLook,
  planSymbol,
  type BackField,
  type Composition,
  type DrawingOptions,
  type ErrorCorrectionLevel,
  type FaceField,
  type GridProblem,
  type LookDesign,
  type PagePicture,
  type Result,
  type SheetSetup,
  type SheetItem,
  type SheetPhrases,
  type CodeDrawing,
} from '@hapset/core';
import type { HanForms } from '../../code/typeface/shaped-line.js';

/** What stood on a sheet when it was made, so that it can be printed again and compared with now. */
export interface SheetContent {
  readonly payload: string;
  /** Absent on sheets that are older than levels chosen by hand. */
  readonly level?: ErrorCorrectionLevel;
  /** Absent for black squares on white. */
  readonly look?: LookDesign;
  readonly title: string;
  readonly instruction: string;
  /** What to tap; absent or '' where the instruction says it, or nothing is to be tapped. */
  readonly tap?: string;
  readonly address: string | null;
  /** Class and place in one line, on sheets that are older than the composer. */
  readonly foot?: string;
  readonly more?: MoreContent;
}

/** What came with the composer. */
export interface MoreContent {
  readonly texts: Readonly<Record<Exclude<FaceField | BackField, 'title' | 'instruction' | 'tap' | 'address'>, string>>;
  /** Side of the symbol that its distance asks for, mm. */
  readonly neededMm: number;
  /** Size for which the material was rehearsed then: another one now is a change. */
  readonly rehearsedMm: number;
  /** Of what opens, by its check; or a symbol, by its icon. */
  readonly picture: { readonly id: string; readonly aspect: number } | null;
  /** What the sheet says by itself; absent on sheets of before it had languages. */
  readonly phrases?: SheetPhrases;
  /** `#rrggbb` of titles and blocks, where its look has one. */
  readonly accent?: string;
  /** Somebody chose `neededMm` by hand. */
  readonly isSizeChosen?: boolean;
  /** From where it is read, metres. */
  readonly distanceM?: number;
  /** BCP 47, of what the sheet says by itself. */
  readonly languages?: readonly string[];
  /** Of the student; absent without. */
  readonly photo?: { readonly id: string; readonly aspect: number };
  /** `#rrggbb` of the band of a student's card; absent without. */
  readonly band?: string;
  /** What it belongs to, where a new page begins with each group. */
  readonly group?: string;
}

export interface SheetOrder {
  /** Of a print that was made, with what is on it: orders of the same key are laid out alike, so a worker does it once. */
  readonly key?: string;
  readonly setup: SheetSetup;
  readonly contents: readonly SheetContent[];
  readonly han: HanForms;
  /** PNG, by id: of looks, of headers, of what opens. */
  readonly pictures: Readonly<Record<string, Uint8Array>>;
  readonly title: string;
  /** Milliseconds since 1970. */
  readonly madeAt: number;
}

export interface Drawable {
  readonly composition: Composition;
  /** By the code's place in the order. */
  readonly drawingOf: (index: number) => CodeDrawing;
}

export const noTexts: MoreContent['texts'] = {
  number: '',
  password: '',
  class: '',
  place: '',
  what: '',
  meaning: '',
  'for-whom': '',
  where: '',
};

export function textsOf({ title, instruction, tap = '', address, foot = '', more }: SheetContent): SheetItem['texts'] {
  return { ...noTexts, class: foot, ...more?.texts, title, instruction, tap, address: address ?? '' };
}

/**
 * Codes are drawn when a page asks for them: a page of seven thousand cards needs ten.
 * @throws RangeError for a payload that no code holds: such a place is never put into an order
 */
export function drawableOf(
  { setup, contents }: Pick<SheetOrder, 'setup' | 'contents'>,
  { iconOf, measure }: Pick<DrawingOptions, 'iconOf' | 'measure'>,
): Result<Drawable, GridProblem> {
  const drawn = new Map<number, CodeDrawing>();
  const draw = ({ payload, level, look = plainLook, title }: SheetContent): CodeDrawing => {
    const planned = planSymbol(payload, level);
    if (!planned.ok) throw new RangeError('no code holds that payload');
    return drawCode(planned.value, { look, name: title, iconOf, measure });
  };
  const drawingOf = (index: number): CodeDrawing => {
    const known = drawn.get(index) ?? draw(contents[index] as SheetContent);
    drawn.set(index, known);
    return known;
  };
  const boxOf = boxes(contents, drawingOf);
  const items = contents.map((content, index): SheetItem => ({
    texts: textsOf(content),
    ...boxOf(index),
    neededMm: content.more?.neededMm ?? Infinity,
    pictureAspect: content.more?.picture?.aspect ?? null,
    ...(content.more && ownParts(content.more)),
  }));
  const composed = compose(setup, items);
  return composed.ok ? { ok: true, value: { composition: composed.value, drawingOf } } : composed;
}

/** What some codes have beside what all have. */
function ownParts({
  phrases,
  accent,
  isSizeChosen,
  distanceM,
  photo,
  band,
  group,
}: MoreContent): Pick<
  SheetItem,
  'phrases' | 'accent' | 'isSizeChosen' | 'distanceM' | 'photoAspect' | 'band' | 'group'
> {
  return {
    ...(phrases && { phrases }),
    ...(accent !== undefined && { accent }),
    ...(isSizeChosen === true && { isSizeChosen }),
    ...(distanceM !== undefined && { distanceM }),
    ...(photo && { photoAspect: photo.aspect }),
    ...(band !== undefined && { band }),
    ...(group !== undefined && { group }),
  };
}

/** How large each code is and what is around it. Plain ones differ in their modules alone, so one of them is drawn for all. */
function boxes(
  contents: readonly SheetContent[],
  drawingOf: (index: number) => CodeDrawing,
): (index: number) => Pick<CodeDrawing, 'modules' | 'surround'> {
  const firstPlain = contents.findIndex(({ look }) => look === undefined);
  const sizes = new Map<string, number>();
  return (index) => {
    const { payload, level, look } = contents[index] as SheetContent;
    if (look !== undefined) return drawingOf(index);
    const key = `${level ?? ''} ${payload}`;
    const modules = sizes.get(key) ?? modulesFor(payload, level);
    sizes.set(key, modules);
    return { modules, surround: drawingOf(firstPlain).surround };
  };
}

function modulesFor(payload: string, level: ErrorCorrectionLevel | undefined): number {
  const size = chooseSize(payload, level);
  if (!size.ok) throw new RangeError('no code holds that payload');
  return modulesOf(size.value.version);
}

/** Under which id the bytes of a picture on a page are. */
export function pictureId(
  { which, item }: PagePicture,
  contents: readonly SheetContent[],
  header: { readonly pictureId: string } | null,
): string | undefined {
  if (which === 'header') return header?.pictureId;
  const more = contents[item]?.more;
  return which === 'photo' ? more?.photo?.id : more?.picture?.id;
}
