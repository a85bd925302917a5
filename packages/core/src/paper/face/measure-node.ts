/** Texts, pictures and arrows of a face as blocks of one width. */
import type { FaceDesign, FacePart } from './design.js';
import type { MmBox } from './grid.js';
import { fitText, lineHeightMm, type FittedText, type MeasureText } from '../../code/typeface/text.js';
import { type FaceContent } from './face-content.js';

/** A part of a face as high as its content is at one width, mm. */
export interface Block {
  readonly part: FacePart;
  readonly heightMm: number;
  readonly text: FittedText | null;
}

/** What is to be laid out, and where. */
export interface Problem {
  readonly design: FaceDesign;
  readonly space: MmBox;
  readonly content: FaceContent;
  readonly parts: readonly FacePart[];
  readonly measure: MeasureText;
  /** Nothing else can be left out. */
  readonly last: boolean;
}

/** @param widthMm of all blocks @param share of their usual size that texts have, from 0 to 1 */
export function blocksOf({ parts, content, measure }: Problem, widthMm: number, share: number): readonly Block[] {
  return parts.map((part) => {
    if (part.kind === 'picture')
      return { part, text: null, heightMm: Math.min(part.heightMm, widthMm / (content.pictures[part.which] ?? 1)) };
    if (part.kind === 'arrow') return { part, text: null, heightMm: part.heightMm };
    const sizePt = Math.max(part.floorPt, Math.round(part.sizePt * share * 2) / 2);
    const text = fitText(
      content.texts[part.field] ?? '',
      { font: part.font, sizePt, floorPt: part.floorPt, maxLines: part.maxLines, widthMm },
      measure,
    );
    return { part, text, heightMm: text.lines.length * lineHeightMm(text.sizePt) };
  });
}

/** Height of blocks with the gaps before them; the first one's gap counts only behind something. */
export function stackMm(blocks: readonly Block[], first: 'with-gap' | 'without-gap'): number {
  return blocks.reduce(
    (sum, { heightMm, part }, index) => sum + heightMm + (index > 0 || first === 'with-gap' ? part.gapMm : 0),
    0,
  );
}

/** Does a text end with an ellipsis? */
export const isCut = (blocks: readonly Block[]): boolean => blocks.some(({ text }) => text?.cut === true);
/** Those that lie there: above, below or beside the code. */
export const at = (blocks: readonly Block[], place: FacePart['at']): readonly Block[] =>
  blocks.filter(({ part }) => part.at === place);
