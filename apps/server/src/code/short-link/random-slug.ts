import { randomInt } from 'node:crypto';
import { slugAlphabet, slugOf } from '@hapset/core';

/** Nobody guesses from one slug what the next one is. Slugs that say something unwanted are thrown away. */
export function randomSlug(length: number): string {
  for (;;) {
    const slug = slugOf(Array.from({ length: length - 1 }, () => randomInt(slugAlphabet.length)));
    if (slug !== null) return slug;
  }
}
