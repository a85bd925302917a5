/** Languages of students' pages, and which of them a phone asks for. */

export type LanguageTag = 'en' | 'es' | 'fr' | 'de' | 'pl' | 'uk' | 'tr' | 'ar';

export interface Language {
  /** BCP 47 */
  readonly tag: LanguageTag;
  /** As its speakers call it. */
  readonly name: string;
  readonly direction: 'ltr' | 'rtl';
}

const english: Language = { tag: 'en', name: 'English', direction: 'ltr' };
export const languages: readonly Language[] = [
  english,
  { tag: 'es', name: 'Español', direction: 'ltr' },
  { tag: 'fr', name: 'Français', direction: 'ltr' },
  { tag: 'de', name: 'Deutsch', direction: 'ltr' },
  { tag: 'pl', name: 'Polski', direction: 'ltr' },
  { tag: 'uk', name: 'Українська', direction: 'ltr' },
  { tag: 'tr', name: 'Türkçe', direction: 'ltr' },
  { tag: 'ar', name: 'العربية', direction: 'rtl' },
];

/** @param tag of BCP 47, "uk-UA". @returns the language of its first part; null for what there is no text in */
export function languageOf(tag: string): Language | null {
  const first = tag.toLowerCase().split(/[-_]/, 1)[0];
  return languages.find((language) => language.tag === first) ?? null;
}

/**
 * The first of the wanted languages that there are texts in: lookup of RFC 4647, 3.4, by first parts.
 *
 * @param wanted tags of BCP 47, the best first, as `Accept-Language` or `navigator.languages` names them
 * @param otherwise tag that is taken where none of them fits; English where there is no text in it either
 */
export function preferredLanguage(wanted: readonly string[], otherwise = 'en'): Language {
  for (const tag of [...wanted, otherwise]) {
    const language = languageOf(tag);
    if (language) return language;
  }
  return english;
}
