/** What one face shows, and the boxes in which it lies. All lengths in mm. */
import { type Surround } from '../../code/look/frame.js';
import { type SheetFont } from '../../code/typeface/text.js';
import type { MmBox } from './box.js';
import type { LaidField } from './fields.js';

/** What one face shows. */
export interface FaceContent {
  readonly texts: Readonly<Partial<Record<LaidField, string>>>;
  /** Null on backs. */
  readonly code: { readonly modules: number; readonly surround: Surround } | null;
  /** Side of the symbol that the distance asks for, mm. */
  readonly neededMm: number;
  /** Width by height of what may be shown, where there is one. */
  readonly pictures: Readonly<Partial<Record<PictureBox['which'], number>>>;
  /** The side where texts, number and margins begin. */
  readonly direction?: 'ltr' | 'rtl';
  /** The code stays at `neededMm`, however much room there is. Absent where it may grow. */
  readonly isSizeChosen?: boolean;
  /** From where it is read, metres; texts that may grow do so up to what that asks for. Absent for what is in the hand. */
  readonly distanceM?: number;
}

/** Inks of a text: black, grey, the title's colour, or the paper's in a solid block. */
export type TextTone = 'ink' | 'quiet' | 'accent' | 'paper';

/** A text with its lines, in its box. */
export interface TextBox extends MmBox {
  readonly field: LaidField;
  readonly font: SheetFont;
  readonly sizePt: number;
  readonly tone: TextTone;
  /** Where lines begin: in the middle, at one side, or at the side where their own script begins. */
  readonly align: 'middle' | 'start' | 'left' | 'right';
  readonly lines: readonly string[];
}

/** A code's symbol without its quiet zone; side in mm. */
export interface CodeBox {
  /** Corner of the symbol itself; quiet zone and frame lie around. */
  readonly xMm: number;
  readonly yMm: number;
  readonly sizeMm: number;
}

/** A picture in its box. */
export interface PictureBox extends MmBox {
  readonly which: 'header' | 'material' | 'photo';
}

/** A small drawing beside what to tap: a phone with the ring of a tap. */
export type TapSign = MmBox;

/** An area behind what is written on it: of one colour, solid in the title's colour, or with a line around it. */
export interface BandBox extends MmBox {
  /** `#rrggbb`, pale enough for black letters; or the title's own colour, filled or as a line. */
  readonly colour: string | 'solid' | 'outline';
}

/** Everything on one face, in mm from its cell's corner. */
export interface FaceLayout {
  readonly code: CodeBox | null;
  readonly texts: readonly TextBox[];
  readonly pictures: readonly PictureBox[];
  readonly tapSigns: readonly TapSign[];
  readonly bands: readonly BandBox[];
  /** Texts that end with an ellipsis. */
  readonly cut: readonly LaidField[];
  /** Texts for which there is no room. */
  readonly leftOut: readonly LaidField[];
}
