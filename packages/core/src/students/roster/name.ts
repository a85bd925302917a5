/**
 * Names as people have them: one name or many, family first or last, with particles that belong to the family name, in scripts that
 * write them without a blank between. What was typed is kept; only its order and blanks are put right.
 */
export interface NameParts {
  /** Of a title or a particle that is in a column of its own. */
  readonly prefix: string;
  readonly given: string;
  readonly middle: string;
  /** '' for somebody with one name. */
  readonly family: string;
}

const particles = new Set([
  'van',
  'von',
  'der',
  'den',
  'de',
  'del',
  'della',
  'di',
  'da',
  'do',
  'dos',
  'das',
  'du',
  'la',
  'le',
  'el',
  'al',
  'bin',
  'bint',
  'ibn',
  'ben',
  'abu',
  'ter',
  'ten',
  'te',
  'zu',
  'zur',
  'zum',
  'ó',
  'ní',
  'nic',
  'mac',
  'af',
  'av',
  'san',
  'st',
  'st.',
  "'t",
  'y',
  'e',
]);
/** @param word of a name: "van", "de" */
export function isParticle(word: string): boolean {
  return particles.has(word.toLowerCase());
}

/** Family names come first, and no blank is between. */
const withoutBlank = /^[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}\u3005・]+$/u;

/** One form, single blanks, nothing that can't be seen. */
export function tidyName(text: string): string {
  return text
    .normalize('NFC')
    .replace(/[\p{Cc}\u200b\u200e\u200f\u202a-\u202e\u2066-\u2069\ufeff]/gu, ' ')
    .replace(/\s+/gu, ' ')
    .trim();
}

/** A whole name in one cell: "Surname, First Middle", "First Middle Surname", "Surname" alone. */
export function splitName(whole: string): NameParts {
  const name = tidyName(whole);
  const comma = /^([^,]+),\s*(.+)$/u.exec(name);
  if (comma) {
    const [given = '', ...middle] = (comma[2] ?? '').split(' ');
    return { prefix: '', given, middle: middle.join(' '), family: (comma[1] ?? '').trim() };
  }
  const words = name.split(' ').filter((word) => word !== '');
  if (words.length < 2) return { prefix: '', given: name, middle: '', family: '' };
  let from = words.length - 1;
  while (from > 1 && isParticle(words[from - 1] ?? '')) from -= 1;
  return {
    prefix: '',
    given: words[0] ?? '',
    middle: words.slice(1, from).join(' '),
    family: words.slice(from).join(' '),
  };
}

/** A whole name that begins with the family name, as many lists have it: "LEFÈVRE Léa", "Nagy Anna", "van den Berg Noor". */
export function splitFamilyFirst(whole: string): NameParts {
  const name = tidyName(whole);
  const words = name.split(' ').filter((word) => word !== '');
  if (name.includes(',') || words.length < 2) return splitName(name);
  const to = endOfFamily(words);
  const [given = '', ...middle] = words.slice(to);
  return { prefix: '', given, middle: middle.join(' '), family: words.slice(0, to).join(' ') };
}

/** How many words the family name has: particles belong to it, and further words in capitals where given names are not. */
function endOfFamily(words: readonly string[]): number {
  const last = words.length - 1;
  const goesOn = (isMore: (before: string, word: string) => boolean, from: number): number => {
    let to = from;
    while (to < last && isMore(words[to - 1] ?? '', words[to] ?? '')) to += 1;
    return to;
  };
  const to = goesOn(isParticle, 1);
  return isCapital(words[last] ?? '') ? to : goesOn((before, word) => isCapital(before) && isCapital(word), to);
}

function isCapital(word: string): boolean {
  return word.length > 1 && word === word.toUpperCase() && word !== word.toLowerCase();
}

/** As it is printed and said: "Ana María de la Cruz", "山田太郎". */
export function wholeName({ prefix, given, middle, family }: NameParts): string {
  const parts = [given, middle, prefix, family].map(tidyName).filter((part) => part !== '');
  if (family !== '' && [given, middle, family].filter((part) => part !== '').every((part) => withoutBlank.test(part)))
    return tidyName(`${family}${given}${middle}`);
  return parts.join(' ');
}

/** By which it is sorted: family name first. */
export function sortName({ given, middle, family }: NameParts): string {
  return [family, given, middle]
    .map(tidyName)
    .filter((part) => part !== '')
    .join(', ');
}

/** The same for "Núñez" and "nunez ": what people take for the same name. */
export function nameKey(name: string): string {
  return tidyName(name)
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[\s\-'’.]+/gu, '');
}
