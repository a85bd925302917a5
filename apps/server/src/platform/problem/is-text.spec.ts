import { tidyText } from './is-text.js';

describe('a text of a body', () => {
  it.each([
    ['white space around it goes', ' Tide tables \n', 'Tide tables'],
    ['letters are composed', 'e\u0301tang', '\u00e9tang'],
    ['spaces are nothing', ' \u00a0\t', ''],
    ['marks that nobody sees are nothing', '\u200b\u2060\u3164\u2800\u0007', ''],
    ['joiners within a name stay', 'ن\u200cا', 'ن\u200cا'],
  ])('%s', (_, text, tidied) => {
    expect(tidyText(text)).toBe(tidied);
  });
});
