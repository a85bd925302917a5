import { compileServices, emptyCatalogue } from '@hapset/core';
import { isPlain, noDecisions, reviewIntake, toNewMaterials } from './new-materials.js';

describe('reviewing the intake', () => {
  it('leaves duplicates out until they are wanted', () => {
    const text = 'https://a.example/1\nhttps://a.example/1\nhttps://a.example/2';
    const here = ['https://a.example/2'];
    expect(reviewIntake(text, here, noDecisions).map((row) => row.taken)).toEqual([true, false, false]);
    expect(reviewIntake(text, here, { ...noDecisions, kept: new Set([2]) }).map((row) => row.taken)).toEqual([
      true,
      false,
      true,
    ]);
  });

  it('never takes what can’t be used', () => {
    const rows = reviewIntake('ftp://a.example/x', [], { ...noDecisions, kept: new Set([0]) });
    expect(toNewMaterials(rows)).toEqual([]);
  });

  it('sends links with what was pasted and repaired, and words as they are', () => {
    const rows = reviewIntake('“https://a.example/1” Guide\nWho am I?', [], noDecisions);
    expect(toNewMaterials(rows)).toEqual([
      {
        link: 'https://a.example/1',
        pasted: '“https://a.example/1” Guide',
        repairs: [{ kind: 'quote-removed', removed: '“”', added: '' }],
        title: 'Guide',
      },
      { words: 'Who am I?', pasted: 'Who am I?', repairs: [] },
    ]);
  });

  it('needs no look at one thing that is in order', () => {
    expect(isPlain(reviewIntake('https://a.example/1', [], noDecisions), emptyCatalogue)).toBe(true);
    expect(isPlain(reviewIntake('https://a.example/1.', [], noDecisions), emptyCatalogue)).toBe(false);
    expect(isPlain(reviewIntake('https://a.example/1', ['https://a.example/1'], noDecisions), emptyCatalogue)).toBe(
      false,
    );
    expect(isPlain(reviewIntake('one\ntwo', [], noDecisions), emptyCatalogue)).toBe(false);
  });

  const catalogue = compileServices(
    [
      {
        id: 'a',
        name: 'A',
        hosts: ['a.example'],
        addresses: [{ role: 'editor', kind: 'form', path: '/{form}/build', studentLink: '/{form}' }],
        walls: [],
        mending: [],
      },
    ],
    () => ({ names: [], find: () => null }),
  );

  it('looks at an editor’s link, and sends the student’s where that was chosen', () => {
    const text = 'https://a.example/tally/build';
    expect(isPlain(reviewIntake(text, [], noDecisions), catalogue)).toBe(false);
    const rows = reviewIntake(text, [], { ...noDecisions, studentLinks: new Map([[text, 'https://a.example/tally']]) });
    expect(rows[0]?.insteadOf).toBe(text);
    expect(isPlain(rows, catalogue)).toBe(false);
    expect(toNewMaterials(rows)).toEqual([{ link: 'https://a.example/tally', pasted: text, repairs: [] }]);
  });

  it('counts the student’s link when it looks for duplicates', () => {
    const [row] = reviewIntake('https://a.example/tally/build', ['https://a.example/tally'], {
      ...noDecisions,
      studentLinks: new Map([['https://a.example/tally/build', 'https://a.example/tally']]),
    });
    expect(row?.duplicate).toBe('already-here');
  });

  it('sends a kind only where one was chosen', () => {
    const text = 'https://a.example/1\nhttps://a.example/2';
    const rows = reviewIntake(text, [], { ...noDecisions, kinds: new Map([['https://a.example/2', 'video']]) });
    expect(toNewMaterials(rows).map(({ kind }) => kind)).toEqual([undefined, 'video']);
  });
});

describe('words that are too long for a code', () => {
  const long = 'The sea takes the sand. '.repeat(120).trim();
  it('stay out until they are put on a page, which is named after its first words', () => {
    const [row] = reviewIntake(long, [], noDecisions);
    expect(row).toMatchObject({ taken: false, onPage: false });
    const rows = reviewIntake(long, [], { ...noDecisions, onPage: new Set([long]) });
    const [page] = toNewMaterials(rows);
    expect(page?.title).toMatch(/^The sea takes the sand\. .*…$/);
    expect(page).toMatchObject({
      kept: { kind: 'written-page', document: { content: [{ content: [{ text: long }] }] } },
    });
    expect(page?.words).toBeUndefined();
  });
  it('are looked at before they are added, where a camera might not read them', () => {
    expect(isPlain(reviewIntake('Low tide at nine', [], noDecisions), emptyCatalogue)).toBe(true);
    expect(isPlain(reviewIntake('Low tide at nine. '.repeat(9), [], noDecisions), emptyCatalogue)).toBe(false);
  });
});
