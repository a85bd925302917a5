import fc from 'fast-check';
import { readItem, readLink } from './readings.js';
import type { IntakeAnswer, IntakeItem } from './intake-item.js';
import { repairKinds, type RepairKind } from './repairs.js';

const noneListed = (): boolean => false;
const only = (text: string): IntakeItem => {
  const items = readItem(text, noneListed);
  expect(items).toHaveLength(1);
  return items[0] as IntakeItem;
};
const readings = (text: string): readonly (readonly IntakeAnswer[])[] => {
  const item = only(text);
  if (item.kind !== 'question') throw new Error(`${text} was no question but ${item.kind}`);
  return item.readings;
};

/** What was pasted, what it must become, and the corrections that must be shown. */
const cases: readonly (readonly [string, string, readonly RepairKind[]])[] = [
  ['https://e.example/wiki/Limpet_(shell)', 'https://e.example/wiki/Limpet_(shell)', []],
  ['https://e.example/?q=a&b=(c)', 'https://e.example/?q=a&b=(c)', []],
  ['http://e.example:8080/a#part', 'http://e.example:8080/a#part', []],
  ['http://https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['https:https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['https//https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['HTTPS://https://HTTP://e.example/a', 'HTTP://e.example/a', ['scheme-doubled']],
  ['http;//e.example/a', 'http://e.example/a', ['scheme-repaired']],
  ['//e.example/a', 'https://e.example/a', ['scheme-repaired']],
  ['e.example/a', 'https://e.example/a', ['scheme-missing']],
  ['e.example:8443/a', 'https://e.example:8443/a', ['scheme-missing']],
  ['cofferlane.localhost:4310/leaf/a', 'http://cofferlane.localhost:4310/leaf/a', ['scheme-missing']],
  ['„https://e.example/a“', 'https://e.example/a', ['quote-removed']],
  ["'https://e.example/a'", 'https://e.example/a', ['quote-removed']],
  ['«https://e.example/a»', 'https://e.example/a', ['quote-removed']],
  ['https://e.example/a)', 'https://e.example/a', ['bracket-removed']],
  ['("https://e.example/a").', 'https://e.example/a', ['bracket-removed', 'quote-removed']],
  ['https://e.example/a,', 'https://e.example/a', ['trailing-punctuation']],
  ['https:// e.example/a', 'https://e.example/a', ['blank-removed']],
  ['https://e.example\\a\\b', 'https://e.example/a/b', ['slash-turned']],
  ['https://e.exa\u200bmple/a\ufeff', 'https://e.example/a', ['invisible-removed']],
  ['https://e.exam\u00adple/a', 'https://e.example/a', ['invisible-removed']],
  ['https://e.example/a?x=1&amp;y=2', 'https://e.example/a?x=1&y=2', ['entity-decoded']],
  ['www.https://e.example/a', 'https://e.example/a', ['scheme-doubled']],
  ['h ttps://e.example/a', 'https://e.example/a', ['blank-removed']],
  ['http//:e.example/a', 'http://e.example/a', ['scheme-repaired']],
  ['https%3A%2F%2Fe.example%2Fa%3Fx%3D1', 'https://e.example/a?x=1', ['percent-decoded']],
  ['https://e.example/a/Tide tables.pdf', 'https://e.example/a/Tide%20tables.pdf', ['blank-encoded']],
  ['https://e.example/a</p>', 'https://e.example/a', []],
  ['**https://e.example/a**', 'https://e.example/a', ['markup-removed']],
];

describe('a link', () => {
  it.each(cases)('%j becomes %j', (pasted, link, kinds) => {
    const item = only(pasted);
    expect(item).toMatchObject({ kind: 'link', link, title: null });
    expect(item.kind === 'link' && item.repairs.map(({ kind }) => kind).sort()).toEqual([...kinds].sort());
  });

  it('says what was taken away and what was put in', () => {
    expect(only('“https://e.example/a”')).toMatchObject({
      repairs: [{ kind: 'quote-removed', removed: '“”', added: '' }],
    });
    expect(only('e.example/a')).toMatchObject({
      repairs: [{ kind: 'scheme-missing', removed: '', added: 'https://' }],
    });
    expect(only('htps://e.example/a')).toMatchObject({
      repairs: [{ kind: 'scheme-repaired', removed: 'htps://', added: 'https://' }],
    });
  });

  it('takes the words beside it as its title where they are no sentence', () => {
    expect(only('Worksheet: https://e.example/a')).toMatchObject({ kind: 'link', title: 'Worksheet' });
    expect(only('https://e.example/a - Field guide to limpets')).toMatchObject({ title: 'Field guide to limpets' });
    expect(only('[Tide tables](https://e.example/a)')).toMatchObject({ kind: 'link', title: 'Tide tables' });
    expect(only(`${'one two three '.repeat(9)}\thttps://e.example/a`)).toMatchObject({ kind: 'link' });
  });

  it('takes a remark in brackets for no second label, and a password for no label', () => {
    expect(only('Tide tables https://e.example/a (PDF)')).toMatchObject({ kind: 'link', title: 'Tide tables' });
    expect(only('[1] https://e.example/a')).toMatchObject({ kind: 'link', title: null });
    expect(only('Meeting: https://e.example/a Passcode: 1234')).toMatchObject({ kind: 'question' });
    expect(only('https://e.example/a Passcode: 1234')).toMatchObject({ kind: 'question' });
  });

  it('is asked about where a sentence is beside it', () => {
    const [link, words] = readings('Please open https://e.example/a and read it');
    expect(link).toMatchObject([{ kind: 'link', link: 'https://e.example/a' }]);
    expect(words).toMatchObject([{ kind: 'words', words: 'Please open https://e.example/a and read it' }]);
  });

  it.each([
    ['https://e.example/leaf/field-gui…', 'cut-off'],
    ['https://e.example/…/tides', 'cut-off'],
    ['https://www,example,org/a', 'comma-in-host'],
    ['https://portal.fernhollow.scool/', 'unknown-host'],
    ['https://intranet/forms', 'unknown-host'],
    ['https://e.example@other.example/a', 'name-before-host'],
    ['https://e.example/ahttps://e.example/b', 'run-together'],
  ])('%s is asked about: %s', (text, doubt) => {
    expect(only(text)).toMatchObject({ kind: 'question', doubt });
    expect(readings(text)[0]?.every(({ kind }) => kind === 'link')).toBe(true);
  });

  it('is certain where the school listed its host', () => {
    const isListed = (host: string): boolean => host === 'portal.fernhollow.scool';
    expect(readItem('https://portal.fernhollow.scool/', isListed)).toMatchObject([{ kind: 'link', repairs: [] }]);
    expect(readItem('portal.fernhollow.scool', isListed)).toMatchObject([
      { kind: 'link', link: 'https://portal.fernhollow.scool' },
    ]);
  });

  it('goes on behind a line break, and is asked about behind a blank', () => {
    expect(only('https://e.example/leaf/\nfield-guide')).toMatchObject({ link: 'https://e.example/leaf/field-guide' });
    expect(only('https://e.example/leaf\n?x=1')).toMatchObject({ link: 'https://e.example/leaf?x=1' });
    expect(readings('https://e.example/ leaf').map(([answer]) => answer)).toMatchObject([
      { link: 'https://e.example/leaf' },
      { link: 'https://e.example/' },
    ]);
    expect(readings('https://e.example/leaf/\nTides').flat()).toMatchObject([
      { link: 'https://e.example/leaf/', title: 'Tides' },
      { link: 'https://e.example/leaf/Tides' },
    ]);
  });
});

describe('several in one item', () => {
  it('are each one of their own, with the label beside them, and nothing pasted is lost', () => {
    const text = 'Tables: https://e.example/1, tally: https://e.example/2.';
    const items = readItem(text, noneListed);
    expect(items).toMatchObject([
      { kind: 'link', link: 'https://e.example/1', title: 'Tables' },
      { kind: 'link', link: 'https://e.example/2', title: 'tally' },
    ]);
    expect(items.map(({ pasted }) => pasted).join('')).toBe(text);
  });

  it('are asked about where words join them', () => {
    expect(readings('https://e.example/1 and https://e.example/2')[0]).toHaveLength(2);
  });
});

describe('what is no link', () => {
  it.each([
    ['maren@fernhollow.example', { kind: 'e-mail', address: 'maren@fernhollow.example' }],
    ['mailto:a@e.example?subject=Exit%20slip', { kind: 'e-mail', address: 'a@e.example', subject: 'Exit slip' }],
    ['+353 1 555 0123', { kind: 'phone', number: '+353 1 555 0123' }],
    ['sms:+35315550123?body=Hello', { kind: 'text-message', number: '+35315550123', text: 'Hello' }],
  ])('%s is somebody to write to or to call', (text, content) =>
    expect(only(text)).toMatchObject({ kind: 'contact', content }),
  );

  it('keeps whose number it is', () =>
    expect(only('Office: +353 1 555 0123')).toMatchObject({ title: 'Office', content: { name: 'Office' } }));

  it('asks whether figures are a number to call', () => {
    expect(readings('01 555 0123').map(([answer]) => answer?.kind)).toEqual(['contact', 'words']);
    expect(only('05.12.2026')).toMatchObject({ kind: 'words' });
    expect(only('Tables 01 555 0123: https://e.example/a')).toMatchObject({ kind: 'link' });
  });

  it.each([
    ['C:\\Users\\maren\\Tides.docx', 'file-path'],
    ['file:///C:/Tides.pdf', 'file-path'],
    ['javascript:alert(1)', 'scheme-not-web'],
    ['data:text/html,hello', 'scheme-not-web'],
    ['ftp://e.example/x', 'scheme-not-web'],
    ['https://•', 'not-an-address'],
    ['http://a,b/', 'not-an-address'],
    ['http://9.30/', 'not-an-address'],
  ])('%s is refused: %s', (text, problem) => expect(only(text)).toMatchObject({ kind: 'unusable', problem }));

  it('leaves words as they are but for a bullet', () => {
    expect(only('• Node.js, e.g. https://')).toMatchObject({ kind: 'words', words: 'Node.js, e.g. https://' });
    expect(only('whatever://send?text=x')).toMatchObject({ kind: 'words' });
    expect(only('Never open C:\\Users by yourself')).toMatchObject({ kind: 'words' });
  });

  it('is null where only a link can be', () => {
    expect(readLink('hello')).toBeNull();
    expect(readLink('01 555 0123')).toBeNull();
    expect(readLink(' “e.example/a”')).toMatchObject({ link: 'https://e.example/a' });
    expect(readLink('https://intranet/forms')).toMatchObject({ link: 'https://intranet/forms' });
  });
});

const around = [
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
  '…',
  '//',
  '• ',
  '1. ',
  'Tides: ',
  '**',
  '&amp;',
];
const path = fc
  .webUrl({ withQueryParameters: true, withFragments: true })
  .map((url) => url.replace(/^https?:\/\/[^/]*/, ''));
const address = fc
  .tuple(fc.constantFrom('https://e.example', 'http://käse.example', 'https://www.example.org:8443'), path)
  .map((parts) => parts.join(''));
const beside = fc.array(fc.constantFrom(...around), { maxLength: 4 }).map((parts) => parts.join(''));
const messy = fc.tuple(beside, address, beside).map((parts) => parts.join(''));
const linksOf = (items: readonly IntakeItem[]): readonly string[] =>
  items.flatMap((item) => (item.kind === 'link' ? [item.link] : []));

type Parts = Pick<URL, 'host' | 'pathname' | 'search' | 'hash'>;
const partsOf = ({ host, pathname, search, hash }: Parts): Parts => ({ host, pathname, search, hash });
const partsByStandard = (link: string): Parts => partsOf(new URL(link));
/** Host and rest as a reader of the page parts them, each read alone. */
const partsAsShown = (link: string): Parts => {
  const [, scheme = '', host = '', rest = ''] = /^(https?:\/\/)([^/?#]*)(.*)$/i.exec(link) ?? [];
  return { ...partsOf(new URL(`https://any.example${rest}`)), host: new URL(scheme + host).host };
};

describe('the law of links', () => {
  it('holds: the URL standard reads what was shown, and reading it again changes nothing', () => {
    fc.assert(
      fc.property(fc.oneof(messy, fc.string({ unit: 'grapheme' })), (pasted) => {
        for (const link of linksOf(readItem(pasted, noneListed))) {
          expect(partsByStandard(link)).toEqual(partsAsShown(link));
          expect(readItem(link, noneListed)).toMatchObject([{ kind: 'link', link, repairs: [], title: null }]);
        }
      }),
      { numRuns: 1000 },
    );
  });

  it('holds: a valid link is never changed', () => {
    const valid = address.filter((link) => !/[.,;:!…'’`)\]}*_~]$/.test(link) && !/&amp;|\\|.https?:/.test(link));
    fc.assert(
      fc.property(valid, (link) =>
        expect(readItem(link, noneListed)).toMatchObject([{ kind: 'link', link, repairs: [] }]),
      ),
      { numRuns: 500 },
    );
  });

  it('shows every correction that changed something', () => {
    fc.assert(
      fc.property(messy, (pasted) => {
        for (const item of readItem(pasted, noneListed))
          if (item.kind === 'link') {
            if (!pasted.includes(item.link)) expect(item.repairs.length).toBeGreaterThan(0);
            for (const { kind } of item.repairs) expect(repairKinds).toContain(kind);
          }
      }),
    );
  });
});
