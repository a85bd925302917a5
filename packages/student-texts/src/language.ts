/** Languages of students' pages, and which of them a phone asks for. */

export interface Language {
  /** BCP 47 */
  readonly tag: string;
  /** As its speakers call it. */
  readonly name: string;
  readonly direction: 'ltr' | 'rtl';
}

export const languages = [
  { tag: 'en', name: 'English', direction: 'ltr' },
  { tag: 'es', name: 'Español', direction: 'ltr' },
  { tag: 'fr', name: 'Français', direction: 'ltr' },
  { tag: 'de', name: 'Deutsch', direction: 'ltr' },
  { tag: 'pl', name: 'Polski', direction: 'ltr' },
  { tag: 'uk', name: 'Українська', direction: 'ltr' },
  { tag: 'tr', name: 'Türkçe', direction: 'ltr' },
  { tag: 'ar', name: 'العربية', direction: 'rtl' },
] as const satisfies readonly Language[];

export type LanguageTag = (typeof languages)[number]['tag'];

const english: (typeof languages)[number] = languages[0];

/** @param tag of BCP 47, "uk-UA". @returns the language of its first part; null for what there is no text in */
export function languageOf(tag: string): (typeof languages)[number] | null {
  const first = tag.toLowerCase().split(/[-_]/, 1)[0];
  return languages.find((language) => language.tag === first) ?? null;
}

/**
 * The first of the wanted languages that there are texts in: lookup of RFC 4647, 3.4, by first parts.
 *
 * @param wanted tags of BCP 47, the best first, as `Accept-Language` or `navigator.languages` names them
 * @param otherwise tag that is taken where none of them fits; English where there is no text in it either
 */
export function preferredLanguage(wanted: readonly string[], otherwise = 'en'): (typeof languages)[number] {
  for (const tag of [...wanted, otherwise]) {
    const language = languageOf(tag);
    if (language) return language;
  }
  return english;
}
