import fc from 'fast-check';
import { markDuplicates } from '../intake/duplicates.js';
import { splitPieces } from './pieces.js';
import { holdsAddress, readIntake } from './read-intake.js';

const links = (text: string): readonly string[] =>
  readIntake(text).flatMap((item) => (item.kind === 'link' ? [item.link] : []));

describe('reading what was pasted', () => {
  it('takes one item a line and leaves empty lines out', () => {
    expect(links('https://a.example/1\n\n  \r\nhttps://a.example/2\r\nhttps://a.example/3')).toEqual([
      'https://a.example/1',
      'https://a.example/2',
      'https://a.example/3',
    ]);
  });

  it('joins an address that a mail program broke', () => {
    expect(links('https://a.example/leaf/\nfield-guide')).toEqual(['https://a.example/leaf/field-guide']);
    expect(links('https://a.example/leaf\n/field-guide?x=1')).toEqual(['https://a.example/leaf/field-guide?x=1']);
    expect(links('https://a.example/leaf/\nlong-\nname')).toEqual(['https://a.example/leaf/long-name']);
    expect(links('<https://a.example/very\nlong>')).toEqual(['https://a.example/verylong']);
    expect(links('<https://a.example/leaf/\nfield-guide> The guide')).toEqual(['https://a.example/leaf/field-guide']);
  });

  it('does not join two items', () => {
    expect(readIntake('https://a.example/leaf\nWhat do you see?').map((item) => item.kind)).toEqual(['link', 'words']);
    expect(links('https://a.example/1/\nhttps://a.example/2/')).toEqual([
      'https://a.example/1/',
      'https://a.example/2/',
    ]);
    expect(splitPieces('https://a.example/1/\n\nlist')).toHaveLength(2);
  });

  it.each([
    ['behind a colon', 'Worksheet:\nhttps://a.example/1\nWho am I?', ['Worksheet:\nhttps://a.example/1', 'Who am I?']],
    ['over a broken link', 'Guide:\na.example/leaf/\nfield', ['Guide:\na.example/leaf/\nfield']],
    [
      'in a block of the two',
      'Station 1\na.example/1\n\nOne more\nand another',
      ['Station 1\na.example/1', 'One more', 'and another'],
    ],
    [
      'throughout a list',
      'A\nhttps://a.example/1\nB\nhttps://a.example/2',
      ['A\nhttps://a.example/1', 'B\nhttps://a.example/2'],
    ],
  ])('puts a label to its link: %s', (_, text, pieces) => expect(splitPieces(text)).toEqual(pieces));

  it.each([
    ['a question', 'What do you see?\nhttps://a.example/1'],
    ['a sentence', 'We sort the shells by size, then by colour, then we count\nhttps://a.example/1'],
    ['a line of several', 'One\nTwo\nhttps://a.example/1'],
    ['another link', 'https://a.example/0\nhttps://a.example/1'],
    ['a link with words', 'Shells\nhttps://a.example/1 and more of them'],
  ])('takes no label from %s', (_, text) => expect(splitPieces(text)).toEqual(text.split('\n')));

  it('keeps every pasted letter somewhere', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 200 }), (text) => {
        const kept = splitPieces(text).join('');
        expect(kept.replace(/\s/g, '')).toBe(text.replace(/\s/g, ''));
      }),
    );
  });

  it('reads links in HTML with whatever else is in their tags, and entities by number and name', () => {
    const html =
      '<a class="x" href="https://a.example/l&#233;af?x=1&amp;y=2" target="_blank">T&#x69;des &#38; time</a>';
    expect(readIntake(html)).toMatchObject([
      { kind: 'link', link: 'https://a.example/léaf?x=1&y=2', title: 'Tides & time' },
    ]);
  });

  it('takes the rest of a file name with blanks in it, by all the endings that files have', () => {
    for (const ending of ['pdf', 'docx', 'doc', 'jpg', 'jpeg', 'png', 'mp3', 'html', 'htm'])
      expect(readIntake(`https://a.example/files/Tide tables 2027.${ending}`)).toMatchObject([
        { kind: 'link', link: `https://a.example/files/Tide%20tables%202027.${ending}` },
      ]);
  });

  it('refuses what is no text', () => expect(() => readIntake(7 as unknown as string)).toThrow(TypeError));

  it('reads 2,000 lines', () => {
    const lines = Array.from({ length: 2000 }, (_, index) => `https://a.example/leaf/${index}`).join('\n');
    expect(readIntake(lines)).toHaveLength(2000);
  });
});

describe('holding an address', () => {
  it.each([
    'https://a.example',
    '“http://a.example',
    'a.example/x',
    'See cofferlane.localhost:4310/leaf/x',
    'käse.example/brot',
  ])('%j does', (text) => expect(holdsAddress(text)).toBe(true));
  it.each(['hello', 'e.g.', 'a@b.example', '3.5', 'tide.pdf', 'Node.js', 'main.py', ''])('%j does not', (text) =>
    expect(holdsAddress(text)).toBe(false),
  );
});

describe('duplicates', () => {
  it('points out the second of two, and what is there already', () => {
    const items = readIntake('https://A.example/x#part\nhttps://a.example/x\nhttps://a.example:443/y\nhello\nhello');
    expect(markDuplicates(items, ['https://a.example/y'])).toEqual([null, 'in-this-list', 'already-here', null, null]);
  });
});
