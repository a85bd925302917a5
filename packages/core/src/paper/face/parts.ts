/** The parts of which the designs are put together. */
import type { FaceNode, RowNode, StackNode, TextType } from './face-node.js';
import type { LaidField } from './fields.js';

/** One under the other. */
export function stack(gapMm: number, parts: readonly FaceNode[], spare: StackNode['spare'] = 'behind'): StackNode {
  return { kind: 'stack', gapMm, parts, spare };
}

/** Side by side. */
export function row(gapMm: number, parts: readonly FaceNode[], across: RowNode['across'] = 'middle'): RowNode {
  return { kind: 'row', gapMm, parts, across };
}

/** The symbol with what is around it. */
export const code: FaceNode = { kind: 'code' };

type Sizes = readonly [sizePt: number, floorPt: number, lines: number];

const tones: Readonly<Partial<Record<LaidField, Pick<TextType, 'font' | 'tone'>>>> = {
  title: { font: 'heading', tone: 'accent' },
  password: { font: 'mono', tone: 'ink' },
  address: { font: 'mono', tone: 'ink' },
  instruction: { font: 'text', tone: 'ink' },
  point: { font: 'text', tone: 'ink' },
  'point-2': { font: 'text', tone: 'ink' },
  what: { font: 'heading', tone: 'accent' },
  meaning: { font: 'text', tone: 'ink' },
  where: { font: 'text-bold', tone: 'quiet' },
};

/** A text in the type of its field. */
export function text(
  field: LaidField,
  [sizePt, floorPt, lines]: Sizes,
  more: { readonly grows?: boolean } = {},
): FaceNode {
  const { font, tone } = tones[field] ?? { font: 'text', tone: 'quiet' };
  return {
    kind: 'text',
    field,
    font,
    tone,
    sizePt,
    floorPt,
    lines,
    ...more,
    ...(field === 'address' && { isAddress: true }),
  };
}

/** The number of the station. */
export function number(form: 'solid' | 'outline' | 'plain', sizePt: number, floorPt: number): FaceNode {
  return { kind: 'number', form, sizePt, floorPt };
}

/** A picture of what opens. */
export function picture(heightMm: number, share: number): FaceNode {
  return { kind: 'picture', which: 'material', heightMm, share, isOptional: true };
}

/** The school's logo. */
export function logo(heightMm: number): FaceNode {
  return { kind: 'picture', which: 'header', heightMm, share: 0.12 };
}

/** What to tap, with its sign. */
export function tapWith(signMm: number, words: FaceNode): FaceNode {
  return row(signMm * 0.4, [{ kind: 'tap-sign', heightMm: signMm }, words], 'middle');
}
