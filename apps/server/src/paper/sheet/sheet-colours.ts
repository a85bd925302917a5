/** Inks of sheets: black on white, so that every printer and copier keeps them. */
import { plainAccent, type Composition, type MmBox, type PageBand, type PageLine, type PageText } from '@hapset/core';

const inks = { ink: '#000000', quiet: '#4d4d4d', paper: '#ffffff' } as const;

/** @param accent `#rrggbb` of the code's look, or of the design */
export function toneColour(tone: PageText['tone'], accent: string): string {
  return tone === 'accent' ? accent : inks[tone];
}

/** The colour of titles and blocks of a code: its look's where the design has none of its own. */
export function accentOf({ setup, items }: Composition, item: number | null): string {
  const own = item === null ? undefined : items[item]?.accent;
  return setup.design.accent === plainAccent ? (own ?? plainAccent) : setup.design.accent;
}

/** How a band is drawn. */
export interface BandShape {
  /** Of the fill, or of the middle of the line. */
  readonly box: MmBox;
  readonly cornerMm: number;
  readonly fill: string | null;
  readonly line: string | null;
}

/** Of a block's corners, as a share of its height. */
const blockCorner = 0.1;
/** Width of the line of an outlined block, mm. */
export const outlineMm = 0.7;

/** A filled area, a block with round corners, or the outline of one. @param accent `#rrggbb` of blocks */
export function bandShape({ xMm, yMm, widthMm, heightMm, colour }: PageBand, accent: string): BandShape {
  const insetMm = colour === 'outline' ? outlineMm / 2 : 0;
  return {
    box: {
      xMm: xMm + insetMm,
      yMm: yMm + insetMm,
      widthMm: widthMm - 2 * insetMm,
      heightMm: heightMm - 2 * insetMm,
    },
    cornerMm: colour === 'solid' || colour === 'outline' ? heightMm * blockCorner : 0,
    fill: colour === 'outline' ? null : colour === 'solid' ? accent : colour,
    line: colour === 'outline' ? accent : null,
  };
}

export const lineColours: Readonly<Record<PageLine['kind'], string>> = {
  cut: '#b3b3b3',
  mark: '#000000',
  fold: '#808080',
  rule: '#cccccc',
};
export const lineWidthsMm: Readonly<Record<PageLine['kind'], number>> = { cut: 0.1, mark: 0.2, fold: 0.2, rule: 0.15 };
