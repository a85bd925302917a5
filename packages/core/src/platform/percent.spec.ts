import fc from 'fast-check';
import { percentDecode, percentEncode } from './percent.js';

describe('percent-encoding', () => {
  it('leaves unreserved characters, and those that are to be kept', () => {
    expect(percentEncode('aZ0-._~')).toBe('aZ0-._~');
    expect(percentEncode('a@b c!')).toBe('a%40b%20c%21');
    expect(percentEncode('a@b', '@')).toBe('a@b');
    expect(percentEncode('é😀')).toBe('%C3%A9%F0%9F%98%80');
  });

  it('writes line ends as CRLF, and reads them as one', () => {
    expect(percentEncode('a\nb\r\nc\rd')).toBe('a%0D%0Ab%0D%0Ac%0D%0Ad');
    expect(percentDecode('a%0D%0Ab')).toBe('a\nb');
  });

  it('makes a lone half of a pair the replacement character', () => expect(percentEncode('\ud83d')).toBe('%EF%BF%BD'));

  it('leaves what is no valid escape', () => expect(percentDecode('100% %E0%A4 %41')).toBe('100% %E0%A4 A'));

  it('is read back as it was', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        fc.pre(!/\r|[\ud800-\udfff]/u.test(text));
        expect(percentDecode(percentEncode(text))).toBe(text);
      }),
    ));
});
