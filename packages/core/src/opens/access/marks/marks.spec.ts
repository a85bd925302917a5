import { english } from './english.js';
import { french } from './french.js';
import { german } from './german.js';
import { japanese } from './japanese.js';
import { spanish } from './spanish.js';

const languages = { english, french, german, japanese, spanish };
const lists = Object.entries(languages).flatMap(([language, marks]) =>
  Object.entries(marks).map(([name, words]) => [`${language}, ${name}`, words as readonly string[]] as const),
);

describe('words by which walls are told', () => {
  // An empty mark would be found on every page, and call it a wall.
  it.each(lists)('say something, as they are looked for: %s', (_, words) => {
    for (const word of words) {
      expect(word.length).toBeGreaterThan(1);
      expect(word).toBe(word.trim().toLowerCase().replaceAll('’', "'").normalize('NFC'));
    }
    expect(new Set(words).size).toBe(words.length);
  });
});
