import { bareAddress, carriedBy, type Carriable } from './carry.js';
import { firstDifference } from './compare.js';

const nothing: Carriable = {
  link: null,
  words: null,
  content: null,
  pageAddress: null,
  carry: 'link',
  trimmedLink: null,
  shortAddress: null,
};

describe('what a code carries', () => {
  it('is the link or the words, exactly', () => {
    expect(carriedBy({ ...nothing, link: 'https://a.example/ä?b=%20' }, 'UTC')).toEqual({
      carry: 'link',
      payload: 'https://a.example/ä?b=%20',
    });
    expect(carriedBy({ ...nothing, words: ' two\nlines ' }, 'UTC')).toEqual({
      carry: 'words',
      payload: ' two\nlines ',
    });
    expect(carriedBy({ ...nothing, pageAddress: 'https://k.example/p/abc' }, 'UTC')).toEqual({
      carry: 'link',
      payload: 'https://k.example/p/abc',
    });
  });

  it('is something shorter where that was chosen', () => {
    const link = { ...nothing, link: 'https://a.example/leaf?utm_id=7' };
    const trimmedLink = 'https://a.example/leaf';
    expect(carriedBy({ ...link, carry: 'trimmed', trimmedLink }, 'UTC')).toEqual({
      carry: 'trimmed',
      payload: trimmedLink,
    });
    expect(carriedBy({ ...link, carry: 'bare', trimmedLink }, 'UTC')).toEqual({
      carry: 'bare',
      payload: 'a.example/leaf',
    });
    expect(carriedBy({ ...link, carry: 'bare' }, 'UTC')).toEqual({ carry: 'bare', payload: 'a.example/leaf?utm_id=7' });
    expect(carriedBy({ ...link, carry: 'link', trimmedLink }, 'UTC')).toEqual({ carry: 'link', payload: link.link });
    expect(
      carriedBy({ ...link, carry: 'short-link', trimmedLink, shortAddress: 'HTTPS://K.EXAMPLE/CD3F7' }, 'UTC'),
    ).toEqual({ carry: 'short-link', payload: 'HTTPS://K.EXAMPLE/CD3F7' });
    expect(carriedBy({ ...link, carry: 'short-link' }, 'UTC')).toEqual({ carry: 'link', payload: link.link });
    expect(carriedBy({ ...nothing, words: 'a', carry: 'bare' }, 'UTC')).toEqual({ carry: 'words', payload: 'a' });
  });

  it('stays whole where it would lead to another page without its scheme', () => {
    expect(carriedBy({ ...nothing, link: 'http://a.example/leaf', carry: 'bare' }, 'UTC')).toEqual({
      carry: 'link',
      payload: 'http://a.example/leaf',
    });
  });
});

describe('a bare address', () => {
  it.each([
    ['https://a.example/leaf', 'a.example/leaf'],
    ['https://a.example/', 'a.example'],
    ['https://a.example?x=1', 'a.example?x=1'],
    ['http://a.example/leaf', null],
    ['https://localhost/x', null],
    ['https://me@a.example/x', null],
    ['mailto:a@b.example', null],
  ])('%s: %s', (link, bare) => expect(bareAddress(link)).toBe(bare));
});

describe('comparing what was read', () => {
  it('finds nothing where both agree', () => expect(firstDifference('Rätsel', 'Rätsel')).toBeNull());
  it('names the first place, in code points', () => {
    expect(firstDifference('a🐚bcd', 'a🐚Bcd')).toEqual({ at: 2, meant: 'bcd', read: 'Bcd' });
    expect(firstDifference('short', 'shorter')).toEqual({ at: 5, meant: '', read: 'er' });
  });
  it('sees normal forms as different', () =>
    expect(firstDifference('\u00e4', 'a\u0308')).toEqual({ at: 0, meant: '\u00e4', read: 'a\u0308' }));
});
