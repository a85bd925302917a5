/**
 * The font files of sheets: static TrueType files of the families that the screen uses, and of one family for all scripts that those
 * lack (WOFF2 prints blank glyphs). Each is read once a process, when it is first needed.
 */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { SheetFont } from '@hapset/core';
import { create, type Font } from 'fontkit';

const require = createRequire(import.meta.url);

/** Families that step in, in the order in which they are asked where the script does not decide. */
export const families = [
  'sans',
  'arabic',
  'arabic-more',
  'hebrew',
  'devanagari',
  'bengali',
  'tamil',
  'thai',
  'armenian',
  'georgian',
  'ethiopic',
  'sc',
  'jp',
  'kr',
  'emoji',
] as const;
export type Family = (typeof families)[number];
/** A sheet's own font, or a family in one of two weights. */
export type Face = SheetFont | `${Family}-${'regular' | 'bold'}`;

const own: Readonly<Record<SheetFont, string>> = {
  heading: 'bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf',
  text: 'atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  'text-bold': 'atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
  mono: 'atkinson-hyperlegible-mono/400Regular/AtkinsonHyperlegibleMono_400Regular.ttf',
};
const names: Readonly<Record<Family, readonly [folder: string, file: string]>> = {
  sans: ['noto-sans', 'NotoSans'],
  // Each letter has its own glyph, so text can be searched and copied. The fallback builds letters from parts, which breaks copying.
  arabic: ['vazirmatn', 'Vazirmatn'],
  'arabic-more': ['noto-sans-arabic', 'NotoSansArabic'],
  hebrew: ['noto-sans-hebrew', 'NotoSansHebrew'],
  devanagari: ['noto-sans-devanagari', 'NotoSansDevanagari'],
  bengali: ['noto-sans-bengali', 'NotoSansBengali'],
  tamil: ['noto-sans-tamil', 'NotoSansTamil'],
  thai: ['noto-sans-thai', 'NotoSansThai'],
  armenian: ['noto-sans-armenian', 'NotoSansArmenian'],
  georgian: ['noto-sans-georgian', 'NotoSansGeorgian'],
  ethiopic: ['noto-sans-ethiopic', 'NotoSansEthiopic'],
  sc: ['noto-sans-sc', 'NotoSansSC'],
  jp: ['noto-sans-jp', 'NotoSansJP'],
  kr: ['noto-sans-kr', 'NotoSansKR'],
  emoji: ['noto-emoji', 'NotoEmoji'],
};

function pathOf(face: Face): string {
  if (face in own) return own[face as SheetFont];
  const cut = face.lastIndexOf('-');
  const [folder, file] = names[face.slice(0, cut) as Family];
  const style = face.slice(cut + 1) === 'bold' ? '700Bold' : '400Regular';
  return `${folder}/${style}/${file}_${style}.ttf`;
}

const loaded = new Map<Face, { readonly bytes: Buffer; readonly font: Font }>();

function load(face: Face): { readonly bytes: Buffer; readonly font: Font } {
  const known = loaded.get(face);
  if (known) return known;
  const bytes = readFileSync(require.resolve(`@expo-google-fonts/${pathOf(face)}`));
  const entry = { bytes, font: create(bytes) as Font };
  loaded.set(face, entry);
  return entry;
}

export function fontBytes(face: Face): Buffer {
  return load(face).bytes;
}

export function fontOf(face: Face): Font {
  return load(face).font;
}

const known = new Map<Face, Map<number, boolean>>();

/** Drawing a character that a face has not gives an empty box, without an error. */
export function hasCharacter(face: Face, codePoint: number): boolean {
  let ofFace = known.get(face);
  if (!ofFace) known.set(face, (ofFace = new Map()));
  let has = ofFace.get(codePoint);
  if (has === undefined) ofFace.set(codePoint, (has = fontOf(face).hasGlyphForCodePoint(codePoint)));
  return has;
}

/** The face of a family beside a sheet's font: as heavy as that. */
export function besides(font: SheetFont, family: Family): Face {
  return `${family}-${font === 'heading' || font === 'text-bold' ? 'bold' : 'regular'}`;
}
