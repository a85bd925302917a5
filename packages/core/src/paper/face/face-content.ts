/** What one face shows, and the boxes in which it lies. All lengths in mm. */
import { type Surround } from '../../code/look/frame.js';
import type { TextField } from './design.js';
import type { MmBox } from './grid.js';
import { type SheetFont } from '../../code/typeface/text.js';

/** What one face shows. */
export interface FaceContent {
  readonly texts: Readonly<Partial<Record<TextField, string>>>;
  /** Null on backs. */
  readonly code: { readonly modules: number; readonly surround: Surround } | null;
  /** Side of the symbol that the distance asks for, mm. */
  readonly neededMm: number;
  /** Width by height of what may be shown, where there is one. */
  readonly pictures: Readonly<Partial<Record<PictureBox['which'], number>>>;
}

/** A text with its lines, in its box. */
export interface TextBox extends MmBox {
  readonly field: TextField;
  readonly font: SheetFont;
  readonly sizePt: number;
  readonly tone: 'ink' | 'quiet' | 'accent';
  /** Where lines begin: in the middle, or at the side where their script begins. */
  readonly align: 'middle' | 'start';
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

/** An arrow in its box. */
export interface ArrowBox extends MmBox {
  readonly to: 'up' | 'left';
}

/** An area of one colour behind what is written on it. */
export interface BandBox extends MmBox {
  /** `#rrggbb`, pale enough for black letters. */
  readonly colour: string;
}

/** Everything on one face, in mm from its cell's corner. */
export interface FaceLayout {
  readonly code: CodeBox | null;
  readonly texts: readonly TextBox[];
  readonly pictures: readonly PictureBox[];
  readonly arrows: readonly ArrowBox[];
  readonly bands: readonly BandBox[];
  /** Texts that end with an ellipsis. */
  readonly cut: readonly TextField[];
  /** Texts for which there is no room. */
  readonly leftOut: readonly TextField[];
}
