/** Inks of sheets: black on white, so that every printer and copier keeps them. */
import type { PageLine, PageText } from '@hapset/core';

const inks = { ink: '#000000', quiet: '#4d4d4d' } as const;

export function toneColour(tone: PageText['tone'], accent: string): string {
  return tone === 'accent' ? accent : inks[tone];
}

export const lineColours: Readonly<Record<PageLine['kind'], string>> = {
  cut: '#b3b3b3',
  mark: '#000000',
  fold: '#808080',
  rule: '#cccccc',
};
export const lineWidthsMm: Readonly<Record<PageLine['kind'], number>> = { cut: 0.1, mark: 0.2, fold: 0.2, rule: 0.15 };
