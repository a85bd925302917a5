import fc from 'fast-check';
import { repairKinds, repairLink, type RepairKind } from './repair.js';
import { isWebAddress } from '../../platform/web-address.js';

/** What was pasted, what it must become, and the repairs that must be told. */
const cases: readonly (readonly [string, string, readonly RepairKind[]])[] = [
  ['https://cofferlane.example/leaf/tides', 'https://cofferlane.example/leaf/tides', []],
  ['https://e.example/wiki/Limpet_(shell)', 'https://e.example/wiki/Limpet_(shell)', []],
  ['https://e.example/?q=a&b=(c)', 'https://e.example/?q=a&b=(c)', []],
  ['http://e.example:8080/a#part', 'http://e.example:8080/a#part', []],
  ['https://https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['http://https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['https:https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['https//https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['HTTPS://https://HTTP://e.example/a', 'HTTP://e.example/a', ['scheme-doubled']],
  ['https:/e.example/a', 'https://e.example/a', ['scheme-mended']],
  ['https//e.example/a', 'https://e.example/a', ['scheme-mended']],
  ['https:///e.example/a', 'https://e.example/a', ['scheme-mended']],
  ['http;//e.example/a', 'http://e.example/a', ['scheme-mended']],
  ['e.example/a', 'https://e.example/a', ['scheme-missing']],
  ['//e.example/a', 'https://e.example/a', ['scheme-missing']],
  ['e.example:8443/a', 'https://e.example:8443/a', ['scheme-missing']],
  ['cofferlane.localhost:4310/leaf/a', 'http://cofferlane.localhost:4310/leaf/a', ['scheme-missing']],
  ['“https://e.example/a”', 'https://e.example/a', ['quote-removed']],
  ['„https://e.example/a“', 'https://e.example/a', ['quote-removed']],
  ["'https://e.example/a'", 'https://e.example/a', ['quote-removed']],
  ['«https://e.example/a»', 'https://e.example/a', ['quote-removed']],
  ['<https://e.example/a>', 'https://e.example/a', ['bracket-removed']],
  ['(https://e.example/a)', 'https://e.example/a', ['bracket-removed']],
  ['https://e.example/a)', 'https://e.example/a', ['bracket-removed']],
  ['("https://e.example/a").', 'https://e.example/a', ['trailing-punctuation', 'bracket-removed', 'quote-removed']],
  ['https://e.example/a.', 'https://e.example/a', ['trailing-punctuation']],
  ['https://e.example/a,', 'https://e.example/a', ['trailing-punctuation']],
  ['https://e.example/a…', 'https://e.example/a', ['trailing-punctuation']],
  ['https:// e.example / a', 'https://e.example/a', ['blank-removed']],
  ['https://e.example/\n  leaf/a', 'https://e.example/leaf/a', ['line-break-joined']],
  ['https://e.exa\u200bmple/a\ufeff', 'https://e.example/a', ['invisible-removed']],
  ['\u202ahttps://e.example/a\u202c', 'https://e.example/a', ['invisible-removed']],
  ['https://e.exam\u00adple/a', 'https://e.example/a', ['invisible-removed']],
];

describe('repairing a link', () => {
  it.each(cases)('%j becomes %j', (pasted, link, kinds) => {
    const repaired = repairLink(pasted);
    expect(repaired.link).toBe(link);
    expect(repaired.repairs.map((repair) => repair.kind).sort()).toEqual([...kinds].sort());
  });

  it('says what it took away and what it put in', () => {
    expect(repairLink('“https://e.example/a”').repairs).toEqual([{ kind: 'quote-removed', removed: '“”', added: '' }]);
    expect(repairLink('e.example/a').repairs).toEqual([{ kind: 'scheme-missing', removed: '', added: 'https://' }]);
    expect(repairLink('https://https://e.example').repairs[0]?.removed).toBe('https://');
  });

  it('leaves out a repair that was taken back, and makes the others', () => {
    const { link, repairs } = repairLink('“https://e.example/a.”', new Set<RepairKind>(['trailing-punctuation']));
    expect(link).toBe('https://e.example/a.');
    expect(repairs.map((repair) => repair.kind)).toEqual(['quote-removed']);
  });

  it('refuses what is no text', () => {
    expect(() => repairLink(7 as unknown as string)).toThrow(TypeError);
  });

  const noise = fc.constantFrom(
    '',
    ' ',
    '"',
    '“',
    '”',
    '<',
    '>',
    '(',
    ')',
    '.',
    ',',
    '\u200b',
    'https://',
    'http:',
    '\n',
    '[',
    ']',
    '…',
    '//',
  );
  const messy = fc
    .tuple(
      fc.array(noise, { maxLength: 4 }),
      fc.webUrl({ withQueryParameters: true }),
      fc.array(noise, { maxLength: 4 }),
    )
    .map(([before, url, after]) => before.join('') + url + after.join(''));

  it('is a fixed point: a repaired link needs no repair', () => {
    fc.assert(
      fc.property(fc.oneof(messy, fc.string()), (pasted) => {
        const once = repairLink(pasted);
        expect(repairLink(once.link)).toEqual({ link: once.link, repairs: [] });
      }),
      { numRuns: 400 },
    );
  });

  it('never changes a link that is in order', () => {
    const inOrder = fc
      .webUrl({ withQueryParameters: true, validSchemes: ['http', 'https'] })
      .filter((url) => isWebAddress(url) && !/[.,;:!'")\]}>]$/.test(url) && !/:\/\/[^/]*https?:/.test(url));
    fc.assert(
      fc.property(inOrder, (url) => expect(repairLink(url)).toEqual({ link: url, repairs: [] })),
      { numRuns: 400 },
    );
  });

  it('tells every repair that changed something', () => {
    fc.assert(
      fc.property(messy, (pasted) => {
        const { link, repairs } = repairLink(pasted);
        if (link !== pasted.trim()) expect(repairs.length).toBeGreaterThan(0);
        for (const repair of repairs) expect(repairKinds).toContain(repair.kind);
      }),
    );
  });
});
