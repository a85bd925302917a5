/** What is not right with sheets before they are printed: texts that end early, codes that are too small, and what would help. */
import { choiceOf, type LaidField, type TextField } from '../face/fields.js';
import { plainSheetDesign, type SheetKind } from './design.js';
import { backSpace, compose, faceSpace, layoutBack, layoutFront, panelsOf } from './compose.js';
import { type Composition, type SheetItem, type SheetSetup } from './sheet-page.js';
import { cellBox } from './grid.js';
import { perPageChoices } from './kinds.js';
import { largestPosterCodeMm } from './poster.js';
import type { MmBox } from '../face/box.js';
import type { FaceLayout } from '../face/face-content.js';
import { smallTexts } from './legibility.js';
import { printedAddress, typedAddress } from './printed-address.js';
import type { MeasureText } from '../../code/typeface/text.js';

/** What the layout could not do as it was asked. */
export type SheetNote =
  | { readonly item: number; readonly reason: 'text-cut' | 'text-left-out'; readonly field: TextField }
  /** Nobody types so long an address, so it is not printed. */
  | { readonly item: number; readonly reason: 'address-long'; readonly characters: number }
  /** From where a text of a poster is read, and from where it should be, metres. */
  | {
      readonly item: number;
      readonly reason: 'text-small';
      readonly field: TextField;
      readonly readsFromM: number;
      readonly distanceM: number;
    }
  | {
      readonly item: number;
      readonly reason: 'too-small';
      readonly sizeMm: number;
      readonly neededMm: number;
      /** Of the first one: what would make it larger. */
      readonly larger: readonly LargerCode[];
    };

/** What makes a code larger on the same kind of sheet, and how large, mm. */
export interface LargerCode {
  readonly way: LargerWay;
  readonly sizeMm: number;
}
/** On larger paper, or with number and title alone. */
export type LargerWay = 'on-a3' | 'with-fewer-words';

/** The symbol's side of each item, mm, and what is not right with it. */
export function notesOf(
  composition: Composition,
  measure: MeasureText,
): { readonly sizesMm: readonly number[]; readonly notes: readonly SheetNote[] } {
  const { setup, grid, items } = composition;
  const first = cellBox(grid, 0);
  const space = frontSpace(composition);
  const notes: SheetNote[] = [];
  const sizesMm = items.map(({ neededMm }, item) => {
    const faces = [
      layoutFront(composition, item, space, measure),
      ...(setup.backs === null ? [] : [layoutBack(composition, item, backSpace(setup, first), measure)]),
    ];
    for (const { cut, leftOut } of faces)
      notes.push(...textNotes(item, 'text-cut', cut), ...textNotes(item, 'text-left-out', leftOut));
    notes.push(...addressNotes(composition, item), ...sizeNotes(composition, item, faces[0]));
    const sizeMm = faces[0]?.code?.sizeMm ?? 0;
    if (sizeMm < neededMm - 0.05) {
      const isFirst = !notes.some(({ reason }) => reason === 'too-small');
      const larger = isFirst ? largerWith(composition, item, sizeMm, measure) : [];
      notes.push({ item, reason: 'too-small', sizeMm, neededMm, larger });
    }
    return sizeMm;
  });
  return { sizesMm, notes };
}

/** One for each choice that the texts belong to. */
function textNotes(
  item: number,
  reason: 'text-cut' | 'text-left-out',
  fields: readonly LaidField[],
): readonly SheetNote[] {
  return [...new Set(fields.map(choiceOf))].map((field) => ({ item, reason, field }));
}

function addressNotes({ setup, items }: Composition, item: number): readonly SheetNote[] {
  const address = items[item]?.texts.address ?? '';
  if (setup.kind === 'student-card' || !setup.fields.includes('address') || address === '') return [];
  const characters = [...typedAddress(address)].length;
  return printedAddress(address) === '' ? [{ item, reason: 'address-long', characters }] : [];
}

function sizeNotes({ setup, items }: Composition, item: number, front: FaceLayout | undefined): readonly SheetNote[] {
  const distanceM = items[item]?.distanceM;
  if (setup.kind !== 'poster' || distanceM === undefined || !front) return [];
  const notes = smallTexts(front.texts, distanceM).map(({ field, readsFromM, distanceM: wantedM }) => ({
    item,
    reason: 'text-small' as const,
    field: choiceOf(field),
    readsFromM,
    distanceM: wantedM,
  }));
  return notes.filter(({ field }, index) => notes.findIndex((other) => other.field === field) === index);
}

/** Kinds of sheets, at their fewest a page, on which a code would be as large as it must be. */
export function kindsThatHold(
  setup: SheetSetup,
  { modules, surround, neededMm }: Pick<SheetItem, 'modules' | 'surround' | 'neededMm'>,
): readonly SheetKind[] {
  const item: SheetItem = { texts: noTexts, modules, surround, neededMm, pictureAspect: null };
  return (['poster', 'table-card', 'small-card'] as const).filter((kind) => {
    if (kind === setup.kind) return false;
    // A poster keeps room for its texts; beside the others' codes there is always a column for some.
    if (kind === 'poster') return largestPosterCodeMm(setup.paper, modules, surround) >= neededMm;
    const composed = compose(
      { ...setup, kind, perPage: perPageChoices[kind][0] ?? 1, copies: 1, backs: null, design: plainSheetDesign(kind) },
      [item],
    );
    return composed.ok && notesOf(composed.value, () => 0).notes.length === 0;
  });
}

/** How large a code would be on A3, and with number and title alone; only ways that make it larger. */
function largerWith(
  { setup, items }: Composition,
  index: number,
  nowMm: number,
  measure: MeasureText,
): readonly LargerCode[] {
  const sizeWith = (change: Partial<SheetSetup>): number => {
    const composed = compose({ ...setup, ...change, copies: 1, backs: null }, items.slice(index, index + 1));
    return composed.ok ? (layoutFront(composed.value, 0, frontSpace(composed.value), measure).code?.sizeMm ?? 0) : 0;
  };
  const few = setup.fields.filter((field) => field === 'title' || field === 'number');
  // Labels are as they are bought, and cards of students have their own sizes.
  const isOfPaper = setup.paper !== 'A3' && setup.kind !== 'label' && setup.kind !== 'student-card';
  const ways: readonly LargerCode[] = [
    { way: 'with-fewer-words', sizeMm: sizeWith({ fields: few }) },
    { way: 'on-a3', sizeMm: isOfPaper ? sizeWith({ paper: 'A3' }) : 0 },
  ];
  return ways.filter(({ sizeMm }) => sizeMm > nowMm + 1);
}

/** Where the front of the first cell lies. */
function frontSpace({ setup, grid }: Composition): MmBox {
  const first = cellBox(grid, 0);
  return setup.kind === 'table-card' ? panelsOf(first)[1] : faceSpace(setup, first);
}

const noTexts: SheetItem['texts'] = {
  title: 'x',
  number: '',
  instruction: '',
  password: '',
  address: '',
  tap: '',
  class: '',
  place: '',
  what: '',
  meaning: '',
  'for-whom': '',
  where: '',
};
