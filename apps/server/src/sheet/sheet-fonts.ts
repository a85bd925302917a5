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

export interface OutlineAt {
  /** Height of the letters' line, in whatever unit `x` and `baseline` have. */
  readonly size: number;
  /** Middle of the text. */
  readonly x: number;
  readonly baseline: number;
}

/** A text as SVG path data, centred. */
export function outlineText(text: string, name: SheetFont, { size, x, baseline }: OutlineAt): string {
  const { font } = load(name);
  const scale = size / font.unitsPerEm;
  const { glyphs, positions, advanceWidth } = font.layout(text);
  let left = x - (advanceWidth * scale) / 2;
  return glyphs
    .map((glyph, index) => {
      const { xOffset = 0, yOffset = 0, xAdvance = 0 } = positions[index] ?? {};
      // Letters stand upright on their baseline, paths hang down from theirs.
      const path = glyph.path.transform(scale, 0, 0, -scale, left + xOffset * scale, baseline - yOffset * scale).toSVG();
      left += xAdvance * scale;
      return path;
    })
    .join('');
}

/** Characters that would print as empty boxes. */
export function missingCharacters(text: string, name: SheetFont): readonly string[] {
  const { font } = load(name);
  const characters = new Set([...text].filter((character) => character.trim() !== ''));
  return [...characters].filter((character) => !font.hasGlyphForCodePoint(character.codePointAt(0) ?? 0));
}
