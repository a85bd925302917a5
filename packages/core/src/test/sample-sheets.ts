import { plainSheetDesign, usualFields, type SheetKind } from '../paper/sheet/design.js';
import { compose } from '../paper/sheet/compose.js';
import { type Composition, type SheetItem, type SheetPage, type SheetSetup } from '../paper/sheet/sheet-page.js';
import { type MmBox } from '../paper/face/box.js';
import { usualLabels, usualPerPage } from '../paper/sheet/kinds.js';
import type { MeasureText } from '../code/typeface/text.js';
/** Every character half an em wide, those of scripts without blanks a whole one. */
export const measure: MeasureText = (text, _font, sizePt) =>
  ([...text].reduce((sum, character) => sum + ((character.codePointAt(0) ?? 0) > 0x2e80 ? 1 : 0.5), 0) *
    sizePt *
    25.4) /
  72;

export const bare = { left: 4, top: 4, right: 4, bottom: 4 };
export const framed = { left: 8, top: 8, right: 8, bottom: 22 };
export const limpets: SheetItem = {
  texts: {
    title: 'Field guide to limpets',
    number: '3',
    instruction: 'Point your camera here.',
    password: '',
    address: 'https://a.example/leaf/field-guide',
    tap: 'Then tap the address that appears.',
    class: 'Life between the tides · 6 Kestrel',
    place: 'Biology room',
    what: 'Field guide to limpets',
    meaning: '',
    'for-whom': '6 Kestrel',
    where: 'Tide pools',
  },
  modules: 33,
  surround: bare,
  neededMm: 90,
  pictureAspect: null,
};

export const setupOf = (kind: SheetKind, change: Partial<SheetSetup> = {}): SheetSetup => ({
  kind,
  paper: 'A4',
  lying: false,
  perPage: usualPerPage[kind],
  inColumns: false,
  labels: usualLabels,
  startAt: 0,
  copies: 1,
  fields: usualFields[kind],
  backs: null,
  design: plainSheetDesign(kind),
  printerMarginMm: 5,
  head: { title: 'Life between the tides', about: '6 Kestrel' },
  ...change,
});
export const composed = (setup: SheetSetup, items: readonly SheetItem[]): Composition => {
  const result = compose(setup, items);
  if (!result.ok) throw new Error(result.problem.reason);
  return result.value;
};
export const manyOf = (count: number, item: SheetItem = limpets): readonly SheetItem[] =>
  Array.from({ length: count }, () => item);

/** Boxes of all that is printed; codes with what is around them. */
export function boxesOf(page: SheetPage, items: readonly SheetItem[]): readonly MmBox[] {
  return [
    ...page.codes.map(({ xMm, yMm, sizeMm, item, turned }) => {
      const {
        modules,
        surround: { left, top, right, bottom },
      } = items[item] as SheetItem;
      const moduleMm = sizeMm / modules;
      const [first, above] = turned ? [right, bottom] : [left, top];
      return {
        xMm: xMm - first * moduleMm,
        yMm: yMm - above * moduleMm,
        widthMm: sizeMm + (left + right) * moduleMm,
        heightMm: sizeMm + (top + bottom) * moduleMm,
      };
    }),
    ...page.texts,
    ...page.pictures,
    ...page.tapSigns,
  ];
}

export const apart = (one: MmBox, other: MmBox): boolean =>
  one.xMm + one.widthMm <= other.xMm + 1e-6 ||
  other.xMm + other.widthMm <= one.xMm + 1e-6 ||
  one.yMm + one.heightMm <= other.yMm + 1e-6 ||
  other.yMm + other.heightMm <= one.yMm + 1e-6;
export const onPage = (page: SheetPage, box: MmBox): boolean =>
  box.xMm >= -1e-6 &&
  box.yMm >= -1e-6 &&
  box.xMm + box.widthMm <= page.widthMm + 1e-6 &&
  box.yMm + box.heightMm <= page.heightMm + 1e-6;
