/** In which language a text is read aloud, as far as its script tells (BCP 47). */

/** Script by script: the language that it nearly always is, and those that it is as well. */
const byScript: readonly (readonly [script: RegExp, tag: string, also: readonly string[]])[] = [
  [/\p{Script=Hiragana}|\p{Script=Katakana}/u, 'ja', []],
  [/\p{Script=Hangul}/u, 'ko', []],
  [/\p{Script=Arabic}/u, 'ar', ['fa', 'ur']],
  [/\p{Script=Hebrew}/u, 'he', ['yi']],
  [/\p{Script=Devanagari}/u, 'hi', ['mr', 'ne']],
  [/\p{Script=Bengali}/u, 'bn', ['as']],
  [/\p{Script=Tamil}/u, 'ta', []],
  [/\p{Script=Thai}/u, 'th', []],
  [/\p{Script=Armenian}/u, 'hy', []],
  [/\p{Script=Georgian}/u, 'ka', []],
  [/\p{Script=Ethiopic}/u, 'am', ['ti']],
  [/\p{Script=Greek}/u, 'el', []],
  [/\p{Script=Cyrillic}/u, 'und-Cyrl', ['uk', 'ru', 'bg', 'sr', 'be', 'mk']],
];
const notLatin: readonly string[] = byScript.flatMap(([, tag, also]) => [tag, ...also]);

/** @param expected language of the sheet; taken where the script does not speak against it @param han what Chinese characters are */
export function languageOfText(text: string, expected: string, han: 'sc' | 'jp'): string {
  const found = byScript.find(([script]) => script.test(text));
  if (found) return found[2].includes(expected) ? expected : found[1];
  if (/\p{Script=Han}/u.test(text)) return han === 'jp' ? 'ja' : 'zh';
  return notLatin.includes(expected) && /\p{Script=Latin}/u.test(text) ? 'und-Latn' : expected;
}
