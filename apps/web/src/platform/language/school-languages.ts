/** Languages that a school can choose. */
import { locale } from './locale.js';
import { folders } from './other-language.js';

/** Regions differ in how dates, times and numbers are written. */
const english = ['en-GB', 'en-IE', 'en-US', 'en-CA', 'en-AU', 'en-NZ', 'en-ZA', 'en-IN'] as const;

/** BCP 47. The tags that it leaves to everybody (qaa to qtz) are no languages of schools. */
export const schoolLanguages: readonly string[] = [...english, ...folders.filter((tag) => !/^q[a-t][a-z]$/.test(tag))];

const names = new Intl.DisplayNames(locale, { type: 'language' });

/** "British English" */
export function languageName(tag: string): string {
  return names.of(tag) ?? tag;
}
