/** The fonts of sheets: static TrueType files of the families that the screen uses (WOFF2 prints blank glyphs). */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { pointsPerMm, type SheetFont } from '@hapset/core';
import { create, type Font } from 'fontkit';

const require = createRequire(import.meta.url);
const files: Readonly<Record<SheetFont, string>> = {
  heading: '@expo-google-fonts/bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
  text: '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  'text-bold': '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  mono: '@expo-google-fonts/atkinson-hyperlegible-mono/400Regular/AtkinsonHyperlegibleMono_400Regular.ttf',
};
const loaded = new Map<SheetFont, { readonly bytes: Buffer; readonly font: Font }>();

/** Read once a process: loading fonts takes longer than drawing a page. */
function load(name: SheetFont): { readonly bytes: Buffer; readonly font: Font } {
  const known = loaded.get(name);
  if (known) return known;
  const bytes = readFileSync(require.resolve(files[name]));
  const entry = { bytes, font: create(bytes) as Font };
  loaded.set(name, entry);
  return entry;
}

export function fontBytes(name: SheetFont): Buffer {
  return load(name).bytes;
}

/** Width in millimetres. */
export function measureText(text: string, name: SheetFont, sizePt: number): number {
  const { font } = load(name);
  return ((font.layout(text).advanceWidth / font.unitsPerEm) * sizePt) / pointsPerMm;
}

/** Characters that would print as empty boxes. */
export function missingCharacters(text: string, name: SheetFont): readonly string[] {
  const { font } = load(name);
  const characters = new Set([...text].filter((character) => character.trim() !== ''));
  return [...characters].filter((character) => !font.hasGlyphForCodePoint(character.codePointAt(0) ?? 0));
}
