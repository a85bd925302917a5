import type { LookDesign } from '@hapset/core';
import { moduleShapeWords } from '../../platform/wording/looks.js';

/** "Pebbles in green", "Pebbles in green 2": something to find it by, where nobody typed a name. */
export function suggestedName(design: LookDesign, taken: readonly string[]): string {
  const name = `${moduleShapeWords[design.modules]} in ${colourName(design.ink)}`;
  if (!taken.includes(name)) return name;
  let count = 2;
  while (taken.includes(`${name} ${count}`)) count += 1;
  return `${name} ${count}`;
}

const hues: readonly (readonly [name: string, upTo: number])[] = [
  ['red', 18],
  ['orange', 45],
  ['yellow', 68],
  ['green', 170],
  ['teal', 195],
  ['blue', 255],
  ['violet', 290],
  ['pink', 340],
  ['red', 361],
];

/** The hue as people say it; dull colours are black, grey or white. */
export function colourName(hex: string): string {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16) / 255);
  const [most, least] = [Math.max(red, green, blue), Math.min(red, green, blue)];
  const range = most - least;
  if (range < 0.12) return greyName(most);
  const hue = (hueTurn([red, green, blue], most, range) * 60 + 360) % 360;
  const name = hues.find(([, upTo]) => hue < upTo)?.[0] ?? 'red';
  return name === 'orange' && most < 0.65 ? 'brown' : name;
}

/** Where on the colour circle, in sixths of a turn from red. */
function hueTurn([red, green, blue]: readonly [number, number, number], most: number, range: number): number {
  if (most === red) return (green - blue) / range;
  return most === green ? 2 + (blue - red) / range : 4 + (red - green) / range;
}

function greyName(lightness: number): string {
  if (lightness < 0.25) return 'black';
  return lightness > 0.85 ? 'white' : 'grey';
}
