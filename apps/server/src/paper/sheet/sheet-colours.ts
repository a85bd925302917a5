/** Inks of sheets: black on white, so that every printer and copier keeps them. */
import { plainAccent, type Composition, type PageBand, type PageLine, type PageText } from '@hapset/core';

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

/** How a band is drawn: filled, or as a line inside its box. */
export function bandPaint(
  { colour }: PageBand,
  accent: string,
): { readonly fill: string | null; readonly line: string | null } {
  if (colour === 'solid') return { fill: accent, line: null };
  return colour === 'outline' ? { fill: null, line: accent } : { fill: colour, line: null };
}

/** Of a block's corners, as a share of its height, and of its line, mm. */
export const blockCorner = 0.1;
export const outlineMm = 0.7;

export const lineColours: Readonly<Record<PageLine['kind'], string>> = {
  cut: '#b3b3b3',
  mark: '#000000',
  fold: '#808080',
  rule: '#cccccc',
};
export const lineWidthsMm: Readonly<Record<PageLine['kind'], number>> = { cut: 0.1, mark: 0.2, fold: 0.2, rule: 0.15 };
