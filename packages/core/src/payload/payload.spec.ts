import { carriedBy } from './carry.js';
import { firstDifference } from './compare.js';

describe('what a code carries', () => {
  it('is the link or the words, exactly', () => {
    expect(carriedBy({ link: 'https://a.example/ä?b=%20', words: null, content: null, pageAddress: null }, 'UTC')).toEqual({ carry: 'link', payload: 'https://a.example/ä?b=%20' });
    expect(carriedBy({ link: null, words: ' two\nlines ', content: null, pageAddress: null }, 'UTC')).toEqual({ carry: 'words', payload: ' two\nlines ' });
    expect(carriedBy({ link: null, words: null, content: null, pageAddress: 'https://k.example/p/abc' }, 'UTC')).toEqual({ carry: 'link', payload: 'https://k.example/p/abc' });
  });
});

describe('comparing what was read', () => {
  it('finds nothing where both agree', () => expect(firstDifference('Rätsel', 'Rätsel')).toBeNull());
  it('names the first place, in code points', () => {
    expect(firstDifference('a🐚bcd', 'a🐚Bcd')).toEqual({ at: 2, meant: 'bcd', read: 'Bcd' });
    expect(firstDifference('short', 'shorter')).toEqual({ at: 5, meant: '', read: 'er' });
  });
  it('sees normal forms as different', () => expect(firstDifference('\u00e4', 'a\u0308')).toEqual({ at: 0, meant: '\u00e4', read: 'a\u0308' }));
});
