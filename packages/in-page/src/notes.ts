/** What a walk through a frame has noted so far. */
import type { Box, Region } from './seen-frame.js';

/** Something that is seen, with the element that it is in. */
export interface Seen {
  readonly element: Element;
  text: string;
  readonly region: Region;
  readonly box: Box;
  /** False for what is blurred or lies under something opaque. */
  readonly readable: boolean;
}

/** A piece of text, with how many breaks stand before it: pieces with as many are one line. */
export interface SeenText extends Seen {
  readonly breaks: number;
}

/** A field, with its form; null for one that belongs to none. */
export interface FieldSeen {
  readonly element: Element;
  readonly form: FormSeen | null;
  readonly kind: string;
  readonly filledCharacters: number;
}

/** A form as it is written down in the page. */
export interface FormSeen {
  readonly element: Element;
  readonly action: string;
  readonly method: 'get' | 'post';
}

/** A button, with the form that it sends. */
export interface ButtonSeen {
  readonly seen: Seen;
  readonly form: FormSeen | null;
}

/** All that was noted, in the order of the page. */
export interface Notes {
  readonly texts: SeenText[];
  readonly headings: Element[];
  readonly forms: FormSeen[];
  readonly fields: FieldSeen[];
  readonly buttons: ButtonSeen[];
  readonly links: Seen[];
  readonly frames: Seen[];
  media: number;
  players: number;
  editableCharacters: number;
}

/** Nothing yet. */
export function noNotes(): Notes {
  const lists = { texts: [], headings: [], forms: [], fields: [], buttons: [], links: [], frames: [] };
  return { ...lists, media: 0, players: 0, editableCharacters: 0 };
}
