import type { LookDesign } from '@hapset/core';
import { moduleShapeWords } from '../../platform/wording/looks.js';
import { t } from '../words.js';

/** "Pebbles in green", "Pebbles in green 2": something to find it by, where nobody typed a name. */
export function suggestedName(design: LookDesign, taken: readonly string[]): string {
  const name = t('suggestedName.in', {
    shape: moduleShapeWords[design.modules],
    colour: colourName(design.ink),
  });
  if (!taken.includes(name)) return name;
  let count = 2;
  while (taken.includes(`${name} ${count}`)) count += 1;
  return `${name} ${count}`;
}

const hues: readonly (readonly [name: string, upTo: number])[] = [
  [t('colours.red'), 18],
  [t('colours.orange'), 45],
  [t('colours.yellow'), 68],
  [t('colours.green'), 170],
  [t('colours.teal'), 195],
  [t('colours.blue'), 255],
  [t('colours.violet'), 290],
  [t('colours.pink'), 340],
  [t('colours.red'), 361],
];

/** The hue as people say it; dull colours are black, grey or white. */
export function colourName(hex: string): string {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
  const [most, least] = [Math.max(red, green, blue), Math.min(red, green, blue)];
  const range = most - least;
  if (range < 0.12) return greyName(most);
  const hue = (hueTurn([red, green, blue], most, range) * 60 + 360) % 360;
  const name = hues.find(([, upTo]) => hue < upTo)?.[0] ?? t('colours.red');
  return name === t('colours.orange') && most < 0.65 ? t('colours.brown') : name;
}

/** Where on the colour circle, in sixths of a turn from red. */
function hueTurn([red, green, blue]: readonly [number, number, number], most: number, range: number): number {
  if (most === red) return (green - blue) / range;
  return most === green ? 2 + (blue - red) / range : 4 + (red - green) / range;
}

function greyName(lightness: number): string {
  if (lightness < 0.25) return t('colours.black');
  return lightness > 0.85 ? t('colours.white') : t('colours.grey');
}
