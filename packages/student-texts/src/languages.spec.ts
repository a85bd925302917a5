import { languages, languageOf, preferredLanguage, type LanguageTag } from './language.js';
import { en, type StudentTextKey } from './languages/en.js';
import { studentTexts } from './student-texts.js';

const keys = Object.keys(en) as StudentTextKey[];
/** A text with its places left open. */
const open = (tag: LanguageTag, key: StudentTextKey): string =>
  studentTexts(tag)(key, new Proxy({}, { get: (_, name) => `{{${String(name)}}}`, has: () => true }));
const places = (text: string): readonly string[] => [...text.matchAll(/\{\{(\w+)\}\}/g)].map(([, name]) => name ?? '');

describe('texts of students’ pages', () => {
  it.each(languages.map(({ tag }) => tag))('are whole in %s, with the same places as in English', (tag) => {
    for (const key of keys) {
      const text = open(tag, key);
      expect(text.trim()).toBe(text);
      expect(text).not.toBe('');
      expect([key, [...places(text)].sort()]).toEqual([key, [...places(en[key])].sort()]);
    }
  });

  it('are in the script of their language', () => {
    const scripts = { uk: /^[^A-Za-z]*\p{Script=Cyrillic}/u, ar: /^[^A-Za-z]*\p{Script=Arabic}/u };
    for (const key of keys.filter((each) => !en[each].startsWith('{{')))
      for (const tag of ['uk', 'ar'] as const) expect(studentTexts(tag)(key)).toMatch(scripts[tag]);
  });

  it('are filled in', () => {
    expect(studentTexts('de')('page', { page: 2, pages: 9 })).toBe('Seite 2 von 9');
    expect(studentTexts('en')('openFile', { name: 'a<b>.pdf' })).toBe('Open a<b>.pdf');
  });
});

describe('the language of a phone', () => {
  it('is the first one that there are texts in', () => {
    expect(preferredLanguage(['cs-CZ', 'uk-UA', 'en']).tag).toBe('uk');
    expect(preferredLanguage(['AR']).direction).toBe('rtl');
    expect(preferredLanguage(['zh-Hant-TW'], 'pl-PL').tag).toBe('pl');
    expect(preferredLanguage([], 'cs').tag).toBe('en');
  });

  it('is known by the first part of its tag alone', () => {
    expect(languageOf('tr_TR')?.name).toBe('Türkçe');
    expect(languageOf('trunk')).toBeNull();
    expect(languageOf('')).toBeNull();
  });
});
