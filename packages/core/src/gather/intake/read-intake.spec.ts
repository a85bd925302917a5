import fc from 'fast-check';
import { markDuplicates } from './duplicates.js';
import { looksLikeLink, readIntake, type IntakeItem } from './read-intake.js';
import type { RepairKind } from './repair.js';
import { isWebAddress } from '../../platform/web-address.js';

const links = (text: string): readonly string[] =>
  readIntake(text).flatMap((item) => (item.kind === 'link' ? [item.link] : []));
const only = (text: string): IntakeItem => {
  const items = readIntake(text);
  expect(items).toHaveLength(1);
  return items[0] as IntakeItem;
};

describe('reading what was pasted', () => {
  it('takes one thing a line and leaves empty lines out', () => {
    expect(links('https://a.example/1\n\n  \r\nhttps://a.example/2\r\nhttps://a.example/3')).toEqual([
      'https://a.example/1',
      'https://a.example/2',
      'https://a.example/3',
    ]);
  });

  it('tells links from words', () => {
    expect(only('What lives under the seaweed?').kind).toBe('words');
    expect(only('Meet at 9.30 by the gate').kind).toBe('words');
    expect(only('mail maren@fernhollow.example').kind).toBe('words');
    expect(only('notes.txt').kind).toBe('words');
    expect(only('St.').kind).toBe('words');
    expect(only('cofferlane.example/leaf/tides').kind).toBe('link');
    expect(only('www.fernhollow.example').kind).toBe('link');
  });

  it('joins an address that a mail program broke', () => {
    expect(links('https://a.example/leaf/\nfield-guide')).toEqual(['https://a.example/leaf/field-guide']);
    expect(links('https://a.example/leaf\n/field-guide?x=1')).toEqual(['https://a.example/leaf/field-guide?x=1']);
    expect(links('<https://a.example/very\nlong>')).toEqual(['https://a.example/verylong']);
    expect(links('<https://a.example/leaf/\nfield-guide> The guide')).toEqual(['https://a.example/leaf/field-guide']);
  });

  it('does not join two things', () => {
    expect(readIntake('https://a.example/leaf\nWhat do you see?').map((item) => item.kind)).toEqual(['link', 'words']);
    expect(links('https://a.example/1/\nhttps://a.example/2/')).toEqual([
      'https://a.example/1/',
      'https://a.example/2/',
    ]);
  });

  it('takes words behind an address as its title', () => {
    expect(only('https://a.example/leaf - Field guide to limpets')).toMatchObject({
      link: 'https://a.example/leaf',
      title: 'Field guide to limpets',
    });
    expect(only('https://a.example/leaf\tPhoto bank')).toMatchObject({
      link: 'https://a.example/leaf',
      title: 'Photo bank',
    });
    expect(only('“https://https://a.example/leaf”. Tide tables')).toMatchObject({
      link: 'https://a.example/leaf',
      title: 'Tide tables',
    });
    expect(only('https://a. example/leaf')).toMatchObject({ link: 'https://a.example/leaf', title: null });
    expect(only('https://a.example/ leaf')).toMatchObject({ link: 'https://a.example/leaf', title: null });
  });

  it('says what phones would not open', () => {
    for (const text of ['ftp://a.example/x', 'javascript:alert(1)', 'file:///etc/hosts', 'data:text/html,hello'])
      expect(only(text)).toMatchObject({ kind: 'unusable', problem: 'scheme-not-web' });
    expect(only('https://')).toMatchObject({ kind: 'unusable', problem: 'not-an-address' });
  });

  it('applies what the teacher took back to that thing alone', () => {
    const takenBack = new Map([['https://a.example/x.', new Set<RepairKind>(['trailing-punctuation'])]]);
    const items = readIntake('https://a.example/x.\nhttps://a.example/y.', takenBack);
    expect(items.map((item) => (item.kind === 'link' ? item.link : ''))).toEqual([
      'https://a.example/x.',
      'https://a.example/y',
    ]);
  });

  it('keeps every pasted letter somewhere', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => {
        const kept = readIntake(text)
          .map((item) => item.pasted)
          .join('');
        expect(kept.replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      }),
    );
  });

  it('gives only links that are addresses', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        for (const item of readIntake(text)) if (item.kind === 'link') expect(isWebAddress(item.link)).toBe(true);
      }),
    );
  });

  it('reads 2,000 lines', () => {
    const lines = Array.from({ length: 2000 }, (_, index) => `https://a.example/leaf/${index}`).join('\n');
    expect(readIntake(lines)).toHaveLength(2000);
  });
});

describe('looking like a link', () => {
  it.each([
    'https://a.example',
    '“http://a.example',
    'a.example/x',
    'cofferlane.localhost:4310/leaf/x',
    'käse.example/brot',
  ])('%j does', (text) => expect(looksLikeLink(text)).toBe(true));
  it.each(['hello', 'e.g.', 'a@b.example', '3.5', 'tide.pdf', ''])('%j does not', (text) =>
    expect(looksLikeLink(text)).toBe(false),
  );
});

describe('duplicates', () => {
  it('points out the second of two, and what is there already', () => {
    const items = readIntake('https://A.example/x#part\nhttps://a.example/x\nhttps://a.example:443/y\nhello\nhello');
    expect(markDuplicates(items, ['https://a.example/y'])).toEqual([null, 'in-this-list', 'already-here', null, null]);
  });
});
