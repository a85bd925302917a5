/** What a face is made of, as data: texts, number, code and pictures, one under the other and side by side. */
import type { SheetFont } from '../../code/typeface/text.js';
import type { PictureBox, TextTone } from './face-content.js';
import type { LaidField } from './fields.js';

/** How a text is set, in points on A4. */
export interface TextType {
  readonly font: SheetFont;
  /** Where there is room. */
  readonly sizePt: number;
  /** No smaller than this. */
  readonly floorPt: number;
  /** Smaller letters come before more lines than these. */
  readonly lines: number;
  readonly tone: TextTone;
}

/** A text. */
export interface TextNode extends TextType {
  readonly kind: 'text';
  readonly field: LaidField;
  /** Gets larger where its distance asks for it and there is room. */
  readonly grows?: boolean;
  /** Breaks as addresses do, and is left out rather than cut. */
  readonly isAddress?: boolean;
}

/** The station's number: white in a solid block, in an outlined one, or plain. */
export interface NumberNode {
  readonly kind: 'number';
  readonly form: 'solid' | 'outline' | 'plain';
  readonly sizePt: number;
  readonly floorPt: number;
}

/** One part of a face. */
export type FaceNode =
  | TextNode
  | NumberNode
  | { readonly kind: 'code' }
  /** At most so high; `share` of the height of its face, where that is less. */
  | {
      readonly kind: 'picture';
      readonly which: PictureBox['which'];
      readonly heightMm: number;
      readonly share?: number;
      /** Goes first where there is no room. */
      readonly isOptional?: boolean;
    }
  /** The small drawing beside what to tap. */
  | { readonly kind: 'tap-sign'; readonly heightMm: number }
  | StackNode
  | RowNode;

/** One under the other. */
export interface StackNode {
  readonly kind: 'stack';
  readonly parts: readonly FaceNode[];
  readonly gapMm: number;
  /** Where height is left: behind all parts, around them, or between them. */
  readonly spare?: 'behind' | 'around' | 'between';
}

/** Side by side, from the side where reading begins. */
export interface RowNode {
  readonly kind: 'row';
  readonly parts: readonly FaceNode[];
  readonly gapMm: number;
  /** Parts are as high as the row, with the row's spare height inside; otherwise at its top or in its middle. */
  readonly across: 'top' | 'middle' | 'full';
}

/** How a face is laid out. */
export interface FaceDesign {
  /** Tried one after the other, until one holds the code as large as it must be. */
  readonly wide: readonly FaceNode[];
  readonly high: readonly FaceNode[];
  /** The line at the foot, over the whole width. */
  readonly foot: FaceNode | null;
  readonly footGapMm: number;
  /** From the edge of the face to its texts. */
  readonly padMm: number;
  /** And to the quiet zone of the code, which is blank itself. */
  readonly codePadMm: number;
  /**
   * The largest symbol where there is room: as a share of the shorter side of the face. 0 keeps it as large as it must be.
   */
  readonly codeShare: number;
}
