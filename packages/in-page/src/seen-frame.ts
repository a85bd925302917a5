/** What see-page.ts notes of one frame. Boxes are CSS pixels from the upper left corner of the frame's viewport. */

/** A rectangle. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Where on the page something is: its material, a menu, or beside or over the material. */
export type Region = 'content' | 'menu' | 'apart';

/** A line of text that a person would see. */
export interface SeenLine {
  /** Cut where it is very long. */
  readonly text: string;
  /** Of the whole line. */
  readonly characters: number;
  readonly region: Region;
  /** In the layer that covers the page. */
  readonly inLayer: boolean;
}

/** A form, or the fields that belong to none. */
export interface SeenForm {
  readonly action: string;
  readonly method: 'get' | 'post';
  /** Types of its visible fields: text, email, password, radio … */
  readonly fields: readonly string[];
  readonly buttons: readonly string[];
  readonly filledCharacters: number;
  readonly inLayer: boolean;
}

/** A visible link. */
export interface SeenLink {
  readonly address: string;
  readonly text: string;
  readonly inMenu: boolean;
  readonly inLayer: boolean;
}

/** A visible frame inside, whose document is seen by itself. */
export interface SeenInnerFrame {
  readonly box: Box;
  readonly inLayer: boolean;
}

/** What a person would see of one frame. */
export interface SeenFrame {
  readonly title: string;
  /** Address of the picture that the page offers for previews; null without one. */
  readonly picture: string | null;
  readonly headings: readonly string[];
  readonly lines: readonly SeenLine[];
  readonly forms: readonly SeenForm[];
  readonly buttons: readonly { readonly text: string; readonly inLayer: boolean }[];
  readonly links: readonly SeenLink[];
  readonly frames: readonly SeenInnerFrame[];
  /** Visible pictures, drawings, sounds and films. */
  readonly media: number;
  /** Sounds and films that can play. */
  readonly players: number;
  readonly editableCharacters: number;
  /** Share of the viewport that a layer over other content covers, 0 to 1; 0 without one. */
  readonly layerShare: number;
}
