/** Every text of the pages is in `languages/en`, one file an area. An area's words.ts is where its pages get them from. */
import { createInstance, type i18n, type TFunction } from 'i18next';
import { locale } from './locale.js';
import { otherTexts } from './other-language.js';

export type Texts = Readonly<Record<string, Readonly<Record<string, string>>>>;
type Stem<Name> = Name extends `${infer Base}_one` | `${infer Base}_other` ? Base : Name;
/** "group.name" of every text; the forms of a plural are one. */
export type KeyOf<T extends Texts> = {
  [Group in keyof T & string]: `${Group}.${Stem<keyof T[Group] & string>}`;
}[keyof T & string];
/** What is put into a text. `count` chooses its plural. */
export type Values = Readonly<Record<string, string | number>>;

export interface Catalogue<T extends Texts> {
  /** A text of this area. */
  readonly t: (key: KeyOf<T>, values?: Values) => string;
}

/** All areas that were asked for so far. */
export const language: i18n = createInstance();
void language.init({
  lng: locale,
  fallbackLng: 'en',
  ns: [],
  defaultNS: false,
  resources: {},
  initAsync: false,
  interpolation: { escapeValue: false },
});

// Thousands are parted from five digits on: "1280 × 720" and years stay as they are known.
const numbers = new Intl.NumberFormat(locale, { maximumFractionDigits: 3, useGrouping: 'min2' });

/** Numbers as the school's language writes them. A count stays one: it chooses the plural. */
export function written(values: Values = {}): Record<string, string | number> {
  return Object.fromEntries(
    Object.entries(values).map(([name, value]) => [
      name,
      typeof value === 'number' && name !== 'count' ? numbers.format(value) : value,
    ]),
  );
}

/** @param english the area's file in `languages/en` */
export function catalogue<const T extends Texts>(area: string, english: T): Catalogue<T> {
  language.addResourceBundle('en', area, english);
  const other = otherTexts[area];
  if (other) language.addResourceBundle(locale, area, other);
  const t = language.getFixedT(locale, area) as TFunction;
  return { t: (key, values) => t(key, written(values)) };
}
