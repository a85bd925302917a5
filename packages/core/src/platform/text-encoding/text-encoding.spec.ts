import { decodeText, findEncoding } from './text-encoding.js';

const windows1252 = (text: string): Uint8Array =>
  Uint8Array.from([...text].map((character) => character.charCodeAt(0)));

const utf16 = (text: string, order: 'little' | 'big'): Uint8Array =>
  Uint8Array.from(
    [...text].flatMap((character) =>
      order === 'little' ? [character.charCodeAt(0), 0] : [0, character.charCodeAt(0)],
    ),
  );

describe('text of an encoding', () => {
  it.each<[string, Uint8Array, string]>([
    ['UTF-8', new TextEncoder().encode('Möwe;Žofie'), 'utf-8'],
    ['UTF-16 with a mark', Uint8Array.from([0xff, 0xfe, 0x41, 0]), 'utf-16le'],
    ['UTF-16 without one', utf16('Anna;Berg\r\nBo;Lindqvist', 'little'), 'utf-16le'],
    ['UTF-16, the other way round', utf16('Anna;Berg\r\nBo;Lindqvist', 'big'), 'utf-16be'],
    ['Windows-1252', windows1252('Möwe;Zoë\r\nÅse;Bjørk\r\nFrançois;Nuñez'), 'windows-1252'],
    ['Windows-1252', windows1252('Lefèvre;Søren;Ñúñez'), 'windows-1252'],
    ['Windows-1251', windows1252('\xcf\xe5\xf2\xf0\xee\xe2\xe0;\xce\xeb\xfc\xe3\xe0'), 'windows-1251'],
    // Žofie Dvořáková, Łukasz Wiśniewski, Ştěpán
    [
      'Windows-1250',
      windows1252(
        '\x8eofie;Dvo\xf8\xe1kov\xe1\r\n\xa3ukasz;Wi\x9cniewski\r\n\x8at\xecp\xe1n;Je\x9eek\r\nOnd\xf8ej;\x8akoda',
      ),
      'windows-1250',
    ],
  ])('%s is found out', (_, bytes, encoding) => expect(findEncoding(bytes)).toBe(encoding));

  it('refuses what is no text', () => {
    expect(() => findEncoding(Uint8Array.from([1, 0, 2, 0, 255]))).toThrow('not text');
    expect(() => decodeText(Uint8Array.from([0xff]), 'utf-8')).toThrow('not valid');
  });
});
