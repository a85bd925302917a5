/** Names of files that leave Hapset: readable, safe on every file system, never empty. */

// Not allowed on at least one common file system, and characters that can't be seen.
const unsafe = /[\p{Cc}<>:"/\\|?*\u200b-\u200f\u202a-\u202e\u2066-\u2069]+/gu;

/**
 * "03 Photo bank, north cove.png".
 * @param position place in the lesson from 1; null for a material on its own
 * @param ending without the dot
 */
export function fileName(name: string, position: number | null, ending: string): string {
  const safe = name
    .normalize('NFC')
    .replace(unsafe, ' ')
    .replace(/\s+/gu, ' ')
    .replace(/ ,/gu, ',')
    .trim()
    .replace(/[. ]+$/u, '');
  const short = [...safe].slice(0, 80).join('').trim();
  const numbered = position === null ? '' : `${String(position).padStart(2, '0')} `;
  return `${numbered}${short === '' ? 'Code' : short}.${ending}`;
}
