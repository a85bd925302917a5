/**
 * A written page as data: the JSON of the editor (ProseMirror's node and mark shapes), narrowed to what a page may hold.
 * Sizes, fonts and colours come from a palette, so that pages stay readable on every screen.
 */
export const palette = {
  colours: { ink: '#1d232e', red: '#a8323e', orange: '#9a5200', green: '#1d6f5b', blue: '#1f5a96', violet: '#6b3f94' },
  fonts: { text: 'text', heading: 'heading', typewriter: 'mono' },
  sizes: { small: '0.875em', large: '1.25em', huge: '1.6em' },
  alignments: ['left', 'center', 'right'],
} as const;

/** A colour of the palette. */
export type PageColour = keyof typeof palette.colours;
/** A font of the palette. */
export type PageFont = keyof typeof palette.fonts;
/** A size of the palette. */
export type PageSize = keyof typeof palette.sizes;
/** How a paragraph is aligned. */
export type PageAlignment = (typeof palette.alignments)[number];

/** A page as a tree of blocks. */
export interface PageDocument {
  readonly type: 'doc';
  readonly content: readonly PageNode[];
}

/** Blocks that a page may have. */
export const blockTypes = [
  'paragraph',
  'heading',
  'bulletList',
  'orderedList',
  'listItem',
  'blockquote',
  'horizontalRule',
  'table',
  'tableRow',
  'tableHeader',
  'tableCell',
  'keptPicture',
  'keptMedia',
] as const;
/** What may stand in a block. */
export const inlineTypes = ['text', 'hardBreak'] as const;
/** One of blocks and what is in them. */
export type PageNodeType = (typeof blockTypes)[number] | (typeof inlineTypes)[number];

/** A part of a page. */
export interface PageNode {
  readonly type: PageNodeType;
  readonly attrs?: PageAttributes;
  readonly content?: readonly PageNode[];
  /** Of text nodes. */
  readonly text?: string;
  readonly marks?: readonly PageMark[];
}

/** What a part of a page may say of itself. */
export interface PageAttributes {
  /** Of headings: 1 to 3. */
  readonly level?: number;
  /** Of paragraphs and headings. */
  readonly textAlign?: PageAlignment;
  /** Of ordered lists: their first number. */
  readonly start?: number;
  /** Of table cells. */
  readonly colspan?: number;
  readonly rowspan?: number;
  /** Of pictures, sounds and films that are kept here. */
  readonly fileId?: string;
  readonly alt?: string;
  readonly media?: 'sound' | 'film';
}

/** How letters may be marked. */
export const markTypes = ['bold', 'italic', 'underline', 'strike', 'code', 'link', 'look'] as const;
/** One of them. */
export type PageMarkType = (typeof markTypes)[number];

/** How letters are marked. */
export interface PageMark {
  readonly type: PageMarkType;
  readonly attrs?: {
    /** Of links: http, https, mailto or tel. */
    readonly href?: string;
    readonly colour?: PageColour;
    readonly font?: PageFont;
    readonly size?: PageSize;
  };
}

/** The largest page that is kept. */
export const documentLimits = { nodes: 4000, depth: 12, characters: 100_000 } as const;
/** A page without a word. */
export const emptyDocument: PageDocument = { type: 'doc', content: [] };
