import { readIntake } from './read-intake.js';
import type { RepairKind } from './repairs.js';

/** Addresses of the shapes that teachers paste: short and long, with queries, ports, fragments, brackets, other scripts. */
const addresses = [
  'https://cofferlane.example/leaf/field-guide-to-limpets',
  'https://askleaf.example/ask/tide-line-tally?from=mail&seen=1',
  'http://cofferlane.localhost:4310/crate/photo-bank',
  'https://www.fernhollow.example/',
  'https://a.example/wiki/Limpet_(shell)',
  'https://a.example/d/1AbC9283746xYz/view#heading=h.2',
  'https://a.example/search?q=%C3%A4pfel+birnen',
  'https://käse.example/brot',
  'https://a.example/files/guide-v2.1.pdf',
  'https://sub.domain.a.example:8443/x/y/z?list=[1]',
  'https://a.example/watch?v=dQ-w4_9w&t=42s',
];

/** What mail programs, documents, chats and people do to them, and the repairs that must be told. */
const messes: readonly (readonly [string, (address: string) => string, readonly RepairKind[]])[] = [
  ['blanks around', (address) => `   ${address}\t `, []],
  ['typographic quotes', (address) => `“${address}”`, ['quote-removed']],
  ['straight quotes and a full stop', (address) => `"${address}".`, ['quote-removed']],
  ['angle brackets', (address) => `<${address}>`, ['bracket-removed']],
  ['round brackets', (address) => `(${address})`, ['bracket-removed']],
  ['a comma at the end', (address) => `${address},`, ['trailing-punctuation']],
  ['two dots at the end', (address) => `${address}..`, ['trailing-punctuation']],
  ['the scheme twice', (address) => `https://${address}`, ['scheme-doubled']],
  ['a slash lost', (address) => address.replace('://', ':/'), ['scheme-repaired']],
  ['a colon lost', (address) => address.replace('://', '//'), ['scheme-repaired']],
  [
    'a zero-width space inside',
    (address) => `${address.slice(0, 14)}\u200b${address.slice(14)}`,
    ['invisible-removed'],
  ],
  ['a byte order mark inside', (address) => address.replace('://', '://\ufeff'), ['invisible-removed']],
  ['marks of direction', (address) => `\u202a${address}\u202c`, ['invisible-removed']],
  ['a blank after the scheme', (address) => address.replace('://', ':// '), ['blank-removed']],
  [
    'brackets, quotes and the scheme twice',
    (address) => `(“https://${address}”)`,
    ['bracket-removed', 'quote-removed', 'scheme-doubled'],
  ],
];

describe(`a corpus of ${addresses.length * messes.length} messy inputs`, () => {
  describe.each(messes)('%s', (_, mess, kinds) => {
    it.each(addresses)('%s', (address) => {
      const [item, ...more] = readIntake(mess(address));
      expect(more).toEqual([]);
      expect(item).toMatchObject({ kind: 'link', link: address, title: null });
      expect(item?.kind === 'link' && item.repairs.map((repair) => repair.kind).sort()).toEqual([...kinds].sort());
    });
  });

  it('comes all at once as well, one a line', () => {
    const all = messes.flatMap(([, mess]) => addresses.map((address) => mess(address)));
    expect(readIntake(all.join('\n')).map((item) => (item.kind === 'link' ? item.link : item))).toEqual(
      messes.flatMap(() => addresses),
    );
  });
});
