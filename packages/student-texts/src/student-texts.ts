/** What students read: the frame of pages that are kept here, pages that say why something is not there, and the reader. */
import { createInstance, type TFunction } from 'i18next';
import type { LanguageTag } from './language.js';
import { ar } from './languages/ar.js';
import { de } from './languages/de.js';
import { en, type StudentTextKey, type StudentTexts } from './languages/en.js';
import { es } from './languages/es.js';
import { fr } from './languages/fr.js';
import { pl } from './languages/pl.js';
import { tr } from './languages/tr.js';
import { uk } from './languages/uk.js';

const texts: Readonly<Record<LanguageTag, StudentTexts>> = { en, es, fr, de, pl, uk, tr, ar };

const catalogue = createInstance();
void catalogue.init({
  lng: 'en',
  resources: Object.fromEntries(Object.entries(texts).map(([tag, translation]) => [tag, { translation }])),
  initAsync: false,
  // Whoever writes HTML escapes it there.
  interpolation: { escapeValue: false },
});

/** @returns texts of a language. Values take the places in braces: "Page {{page}} of {{pages}}" */
export function studentTexts(
  tag: LanguageTag,
): (key: StudentTextKey, values?: Readonly<Record<string, string | number>>) => string {
  const t: TFunction = catalogue.getFixedT(tag);
  return (key, values) => t(key, { ...values });
}

/** All texts of a language in one: what fonts must have letters for. */
export function allStudentTexts(tag: LanguageTag): string {
  return Object.values(texts[tag]).join(' ');
}
