/** Which text encoding bytes are in, and what they say. */
import { likeliestReading } from './likeliest-reading.js';

/** What tables of schools come in; the first is what they should come in. */
export const textEncodings = [
  'utf-8',
  'utf-16le',
  'utf-16be',
  'windows-1252',
  'windows-1250',
  'windows-1251',
  'iso-8859-15',
] as const;
/** One of them, by its name in the Encoding standard. */
export type TextEncoding = (typeof textEncodings)[number];

/** Byte order mark, then strict UTF-8, then the noughts of UTF-16, then the reading whose letters are likeliest. @throws Error for what is no text */
export function findEncoding(bytes: Uint8Array): TextEncoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  if (bytes.includes(0)) return withoutMark(bytes);
  try {
    decodeText(bytes, 'utf-8');
    return 'utf-8';
  } catch {
    const reading = (encoding: TextEncoding): { readonly encoding: TextEncoding; readonly text: string } => ({
      encoding,
      text: decodeText(bytes, encoding),
    });
    return likeliestReading(reading('windows-1252'), rarer.map(reading)).encoding;
  }
}

/** Encodings with one byte a letter, beside the usual one. */
const rarer = ['windows-1250', 'windows-1251', 'iso-8859-15'] as const satisfies readonly TextEncoding[];

/** UTF-16 without a mark: every second byte of plain letters is a nought. */
function withoutMark(bytes: Uint8Array): TextEncoding {
  const noughts = [0, 0];
  bytes.slice(0, 2000).forEach((byte, index) => {
    if (byte === 0) noughts[index % 2] = (noughts[index % 2] ?? 0) + 1;
  });
  const half = Math.min(bytes.length, 2000) / 2;
  const [even = 0, odd = 0] = noughts;
  const found =
    odd > half * 0.4 && even < half * 0.1 ? 'utf-16le' : even > half * 0.4 && odd < half * 0.1 ? 'utf-16be' : null;
  // Other signs than tabs and ends of lines are in no table.
  if (found === null || /[^\P{Cc}\t\r\n]/u.test(decodeText(bytes, found))) throw new Error('not text');
  return found;
}

/** @throws TypeError for bytes that are not in UTF-8 where that is asked for */
export function decodeText(bytes: Uint8Array, encoding: TextEncoding): string {
  return new TextDecoder(encoding, { fatal: encoding === 'utf-8' }).decode(bytes);
}
