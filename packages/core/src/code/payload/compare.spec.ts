import fc from 'fast-check';
import { differenceKind, firstDifference, guessedEncoding } from './compare.js';

describe('what was read against what was meant', () => {
  it('parts at a code point, not in the middle of one', () => {
    expect(firstDifference('a🐚b', 'a🦀b')).toEqual({ at: 1, meant: '🐚b', read: '🦀b' });
    expect(firstDifference('same', 'same')).toBeNull();
  });

  it.each([
    ['Fuß', 'FuÃ\u009f', 'encoding'],
    ['潮', 'æ½®', 'encoding'],
    ['caf\u00e9 x', 'cafe\u0301 x', 'normal-form'],
    ['one\r\ntwo', 'one\ntwo', 'line-end'],
    ['one\ntwo', 'one two', 'line-end'],
    ['tide', 'ti\u200bde', 'invisible'],
    ['tide', 'tid\u0435', 'look-alike'],
    ['tides', 'tide', 'cut'],
    ['tide', 'tides', 'cut'],
    ['tide', 'tidy', 'other'],
  ] as const)('%j read as %j is a difference of kind %s', (meant, read, kind) => {
    const difference = firstDifference(meant, read);
    expect(difference && differenceKind(difference)).toBe(kind);
  });

  it('knows what a reader shows that guesses the encoding, and that ASCII survives it', () => {
    expect(guessedEncoding('Rätsel')).toBe('RÃ¤tsel');
    fc.assert(fc.property(fc.string({ unit: 'binary-ascii' }), (text) => guessedEncoding(text) === null));
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1 }), (text) => {
        const guessed = guessedEncoding(text);
        return (
          guessed === null ||
          new TextDecoder().decode(Uint8Array.from(guessed, (character) => character.charCodeAt(0))) === text
        );
      }),
    );
  });
});
