/** Which characters of a page the students' own font lacks, and which family has them. */
import { faceFor, formsOf } from '../../code/typeface/shaped-line.js';
import { families, type Family } from '../../code/typeface/faces.js';

/** Devices have pictures for these. */
const leftToTheDevice: readonly Family[] = ['emoji'];

/** @param shown a page, or any text. @returns characters in the order of their code points, by family */
export function charactersByFamily(shown: string): ReadonlyMap<Family, readonly string[]> {
  const found = new Map<Family, string[]>();
  const characters = [...new Set(shown)].filter((character) => character > '\u024f').sort(byCodePoint);
  const han = formsOf(shown, 'sc');
  for (const character of characters) {
    const family = faceFor(character, 'text', han)?.split('-')[0] as Family | undefined;
    if (family === undefined || !families.includes(family) || leftToTheDevice.includes(family)) continue;
    found.set(family, [...(found.get(family) ?? []), character]);
  }
  return found;
}

function byCodePoint(a: string, b: string): number {
  return (a.codePointAt(0) ?? 0) - (b.codePointAt(0) ?? 0);
}
