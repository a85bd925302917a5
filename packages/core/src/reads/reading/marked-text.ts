/**
 * The exact text of a code with what cannot be seen made visible: invisible characters, line ends, blanks that are none,
 * and letters of another script among those that they look like. Nothing is changed or left out: the pieces, joined, are
 * the text.
 */

/** What an eye takes for something else. */
export const textMarks = ['invisible', 'line-end', 'odd-blank', 'edge-blank', 'look-alike'] as const;
/** One of them. */
export type TextMark = (typeof textMarks)[number];

/** A piece of a text, with its mark and its code point. */
export interface MarkedPiece {
  readonly text: string;
  /** Null for what is as it looks. */
  readonly mark: TextMark | null;
  /** "U+200B", of the first character; '' without a mark. */
  readonly code: string;
}

/**
 * The text in pieces; what an eye takes for something else has a piece of its own, with a mark and its code point.
 */
export function markedText(text: string): readonly MarkedPiece[] {
  const marks = markAll([...text]);
  const pieces: { text: string; mark: TextMark | null; code: string }[] = [];
  for (const { character, mark } of marks) {
    const last = pieces.at(-1);
    if (last && mark === null && last.mark === null) last.text += character;
    else pieces.push({ text: character, mark, code: mark === null ? '' : codeOf(character) });
  }
  return pieces;
}

interface Marked {
  readonly character: string;
  readonly mark: TextMark | null;
}

function markAll(characters: readonly string[]): readonly Marked[] {
  const alike = lookAlikes(characters);
  return characters.map((character, index) => ({
    character,
    mark: markOf(character, index, characters) ?? (alike.has(index) ? 'look-alike' : null),
  }));
}

function markOf(character: string, index: number, all: readonly string[]): TextMark | null {
  if (character === '\n' || character === '\r') return 'line-end';
  if (belongsToPicture(character, all[index - 1], all[index + 1])) return null;
  if (/[\p{Cc}\p{Cf}]/u.test(character) || unseen.has(character)) return 'invisible';
  if (character === ' ') return index === 0 || index === all.length - 1 ? 'edge-blank' : null;
  return /[\p{Zs}\p{Zl}\p{Zp}]/u.test(character) ? 'odd-blank' : null;
}

/** A joiner between pictures makes one of them, and a selector says how one is shown: both are meant. */
function belongsToPicture(character: string, before: string | undefined, after: string | undefined): boolean {
  if (character === '\u200d') return isPictograph(before) && isPictograph(after);
  return character === '\ufe0f' || character === '\ufe0e';
}

/** Letters and marks that show nothing: grapheme joiner, Hangul fillers, Khmer inherent vowels. */
const unseen: ReadonlySet<string> = new Set(['\u034f', '\u115f', '\u1160', '\u17b4', '\u17b5', '\u3164', '\uffa0']);

function isPictograph(character: string | undefined): boolean {
  return character !== undefined && /\p{Extended_Pictographic}|\ufe0f|\p{Emoji_Modifier}/u.test(character);
}

const scripts = [
  ['latin', /\p{Script=Latin}/u],
  ['cyrillic', /\p{Script=Cyrillic}/u],
  ['greek', /\p{Script=Greek}/u],
  ['armenian', /\p{Script=Armenian}/u],
] as const;

/**
 * Letters that don't belong: of a script that is the lesser one within its word, and full-width or styled forms of plain
 * letters and signs. A word that is all in one script is as it looks.
 */
function lookAlikes(characters: readonly string[]): ReadonlySet<number> {
  const found = new Set<number>();
  let word: number[] = [];
  const close = (): void => {
    for (const index of strangersIn(word, characters)) found.add(index);
    word = [];
  };
  characters.forEach((character, index) => {
    if (/[\uff01-\uff5e\u{1d400}-\u{1d7ff}]/u.test(character)) found.add(index);
    if (/[\p{L}\p{M}]/u.test(character)) word.push(index);
    else close();
  });
  close();
  return found;
}

function strangersIn(word: readonly number[], characters: readonly string[]): readonly number[] {
  const byScript = scripts
    .map(([, pattern]) => word.filter((index) => pattern.test(characters[index] ?? '')))
    .filter((indices) => indices.length > 0);
  if (byScript.length < 2) return [];
  const most = byScript.reduce((larger, indices) => (indices.length > larger.length ? indices : larger));
  return byScript.filter((indices) => indices !== most).flat();
}

function codeOf(character: string): string {
  return `U+${(character.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}`;
}
