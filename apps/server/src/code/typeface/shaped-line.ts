/**
 * One line of text as it is drawn: in which faces, in which order from left to right. A character goes to the first face that has all of
 * it; runs from right to left are told by the bidirectional algorithm (UAX 9); joining and marks are the fonts' own work.
 */
import { charactersOf, pointsPerMm, type SheetFont } from '@hapset/core';
import bidiFactory from 'bidi-js';
import { besides, families, fontOf, hasCharacter, type Face, type Family } from './faces.js';

export interface ShapedRun {
  readonly face: Face;
  /** As it is handed to the font. */
  readonly text: string;
  /** From the line's left edge, and as wide, in em. */
  readonly xEm: number;
  readonly widthEm: number;
  /** Its place in the order in which the line is read. */
  readonly place: number;
  /** Its letters are drawn from the last to the first. */
  readonly isReversed: boolean;
  /** What it says where the letters that are drawn would not be found again as they were typed; null where they are. */
  readonly actual: string | null;
}

export interface ShapedLine {
  readonly runs: readonly ShapedRun[];
  readonly widthEm: number;
  /** The line as a whole runs from right to left. */
  readonly fromRight: boolean;
}

/** Which forms Chinese characters have where nothing else tells. */
export const hanForms = ['sc', 'jp'] as const;
export type HanForms = (typeof hanForms)[number];

const bidi = bidiFactory();
const scripts: readonly (readonly [RegExp, Family])[] = [
  [/\p{Script=Arabic}/u, 'arabic'],
  [/\p{Script=Hebrew}/u, 'hebrew'],
  [/\p{Script=Devanagari}/u, 'devanagari'],
  [/\p{Script=Bengali}/u, 'bengali'],
  [/\p{Script=Tamil}/u, 'tamil'],
  [/\p{Script=Thai}/u, 'thai'],
  [/\p{Script=Armenian}/u, 'armenian'],
  [/\p{Script=Georgian}/u, 'georgian'],
  [/\p{Script=Ethiopic}/u, 'ethiopic'],
  [/\p{Script=Hiragana}|\p{Script=Katakana}/u, 'jp'],
  [/\p{Script=Hangul}/u, 'kr'],
  [/\p{Emoji_Presentation}|\ufe0f/u, 'emoji'],
];
const drawnFromRight = /\p{Script=Arabic}|\p{Script=Hebrew}|\p{Script=Syriac}|\p{Script=Thaana}/u;
/** Joiners, variation selectors and marks of direction: told to the font, never drawn. */
const invisible = /\p{Default_Ignorable_Code_Point}/u;
/** Scripts whose drawn letters are not in the order of the typed ones. */
const reordered = /\p{Script=Devanagari}|\p{Script=Bengali}|\p{Script=Tamil}|\p{M}/u;

/** Faces of scripts whose letters are drawn in another order than they are read. */
const turnedFaces: readonly Family[] = ['devanagari', 'bengali', 'tamil', 'arabic', 'hebrew'];

const mostKept = 20_000;
const kept = new Map<string, ShapedLine>();

export function shapeLine(text: string, font: SheetFont, han: HanForms = 'sc'): ShapedLine {
  const key = `${font}${han}${text}`;
  const before = kept.get(key);
  if (before) return before;
  if (kept.size >= mostKept) kept.clear();
  const line = shape(text.normalize('NFC'), font, han);
  kept.set(key, line);
  return line;
}

interface Piece {
  readonly face: Face;
  readonly level: number;
  readonly text: string;
  readonly place: number;
}

function shape(text: string, font: SheetFont, han: HanForms): ShapedLine {
  // Most lines are plain letters that the sheet's own font has.
  if (
    /^[\u0020-\u007e\u00a0-\u024f\u2010-\u2026]*$/.test(text) &&
    [...text].every((character) => hasCharacter(font, character.codePointAt(0) ?? 0))
  ) {
    const widthEm = advanceOf(font, text);
    return {
      runs: text === '' ? [] : [{ face: font, text, xEm: 0, widthEm, place: 0, isReversed: false, actual: null }],
      widthEm,
      fromRight: false,
    };
  }
  const { levels, paragraphs } = bidi.getEmbeddingLevels(text, 'auto');
  const runs: ShapedRun[] = [];
  let xEm = 0;
  for (const piece of inVisualOrder(piecesOf(text, levels, font, formsOf(text, han)))) {
    const drawn = drawnText(piece);
    const widthEm = advanceOf(piece.face, drawn);
    runs.push({
      face: piece.face,
      text: drawn,
      xEm,
      widthEm,
      place: piece.place,
      isReversed: piece.level % 2 === 1,
      actual: piece.level % 2 === 0 && reordered.test(drawn) ? piece.text : null,
    });
    xEm += widthEm;
  }
  return { runs, widthEm: xEm, fromRight: (paragraphs[0]?.level ?? 0) % 2 === 1 };
}

/** Kana and Hangul tell which forms the Chinese characters beside them have. */
export function formsOf(text: string, han: HanForms): Family {
  if (/\p{Script=Hiragana}|\p{Script=Katakana}/u.test(text)) return 'jp';
  return /\p{Script=Hangul}/u.test(text) ? 'kr' : han;
}

function piecesOf(text: string, levels: Uint8Array, font: SheetFont, forms: Family): readonly Piece[] {
  const pieces: { face: Face; level: number; text: string; place: number }[] = [];
  let at = 0;
  for (const { character, face } of facesOf(text, font, forms)) {
    const level = levels[at] ?? 0;
    const last = pieces.at(-1);
    if (last && last.face === face && last.level === level) last.text += character;
    else pieces.push({ face, level, text: character, place: pieces.length });
    at += character.length;
  }
  return pieces;
}

interface FacedCharacter {
  readonly character: string;
  readonly face: Face;
}

/**
 * Where the sheet's own font lacks letters that the plain family has, that one writes the whole word, and the whole line where they are
 * Latin letters: no face changes inside a word or a name.
 */
function facesOf(text: string, font: SheetFont, forms: Family): readonly FacedCharacter[] {
  const sans = besides(font, 'sans');
  const words = (text.match(/\s+|\S+/gu) ?? []).map((word) =>
    charactersOf(word).map((character): FacedCharacter => ({
      character,
      face: faceFor(character, font, forms) ?? font,
    })),
  );
  joinWords(words, font);
  const latin = words.flat().some(({ character, face }) => face === sans && /\p{Script=Latin}/u.test(character));
  const faced = words.flatMap((word) =>
    latin || word.some(({ face }) => face === sans)
      ? word.map((one) => (one.face === font && hasAll(sans, one.character) ? { ...one, face: sans } : one))
      : word,
  );
  return joinTurned(faced);
}

/** Letters that join are of one face in a word. */
function joinWords(words: FacedCharacter[][], font: SheetFont): void {
  const more = besides(font, 'arabic-more');
  words.forEach((word, index) => {
    if (word.some(({ face }) => face === more)) words[index] = word.map((one) => inFace(one, more));
  });
}

/** Blanks and marks behind such a script belong to its run: programs that read the file then meet whole stretches of text. */
function joinTurned(characters: readonly FacedCharacter[]): readonly FacedCharacter[] {
  let last: Face | null = null;
  return characters.map((one) => {
    if (turnedFaces.some((family) => one.face.startsWith(family))) last = one.face;
    // Brackets and quotes are mirrored where a line runs from right to left, which fonts don't do.
    else if (/[\p{L}\p{N}\p{Ps}\p{Pe}\p{Pi}\p{Pf}\p{S}]/u.test(one.character)) last = null;
    return last === null ? one : inFace(one, last);
  });
}

function inFace(one: FacedCharacter, face: Face): FacedCharacter {
  return hasAll(face, one.character) ? { ...one, face } : one;
}

function hasAll(face: Face, character: string): boolean {
  return [...character]
    .filter((part) => !invisible.test(part))
    .every((part) => hasCharacter(face, part.codePointAt(0) ?? 0));
}

/** The first face that has all of a character; null where none has. */
export function faceFor(character: string, font: SheetFont, forms: Family): Face | null {
  const has = (face: Face): boolean => hasAll(face, character);
  const emoji = /\p{Emoji_Presentation}|\ufe0f/u.test(character);
  if (!emoji && has(font)) return font;
  const told =
    scripts.find(([script]) => script.test(character))?.[1] ?? (/\p{Script=Han}/u.test(character) ? forms : null);
  const order = told === null ? [...families] : [told, ...families.filter((family) => family !== told)];
  const found = order.map((family) => besides(font, family)).find(has);
  return found ?? (has(font) ? font : null);
}

/** From the highest level down to the lowest odd one, what is at that level or above is turned round (UAX 9, L2). */
function inVisualOrder(pieces: readonly Piece[]): readonly Piece[] {
  const order = [...pieces];
  for (let level = Math.max(0, ...order.map((piece) => piece.level)); level > 0; level -= 1) {
    for (let from = 0; from < order.length; from += 1) {
      if ((order[from]?.level ?? 0) < level) continue;
      let to = from;
      while ((order[to]?.level ?? 0) >= level) to += 1;
      order.splice(from, to - from, ...order.slice(from, to).reverse());
      from = to;
    }
  }
  return order;
}

/** Fonts turn the letters of their scripts themselves; blanks and brackets between those are turned and mirrored here (L4). */
function drawnText({ text, level }: Piece): string {
  if (level % 2 === 0 || drawnFromRight.test(text)) return text;
  return charactersOf(text)
    .reverse()
    .map((character) => bidi.getMirroredCharacter(character) ?? character)
    .join('');
}

/** Measured as it is drawn: a run as a whole, with no features switched off. */
function advanceOf(face: Face, text: string): number {
  const font = fontOf(face);
  return font.layout(text, []).advanceWidth / font.unitsPerEm;
}

/** Width in millimetres. */
export function measureText(text: string, font: SheetFont, sizePt: number): number {
  return (shapeLine(text, font).widthEm * sizePt) / pointsPerMm;
}

/** With Chinese characters in those forms. */
export function measureIn(han: HanForms): typeof measureText {
  return (text, font, sizePt) => (shapeLine(text, font, han).widthEm * sizePt) / pointsPerMm;
}

/** Characters that no face has: they would print as empty boxes. */
export function missingCharacters(text: string, font: SheetFont): readonly string[] {
  const characters = new Set(charactersOf(text.normalize('NFC')).filter((character) => character.trim() !== ''));
  return [...characters].filter((character) => faceFor(character, font, 'sc') === null);
}
