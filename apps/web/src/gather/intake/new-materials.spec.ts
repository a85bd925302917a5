import { readIntake, readLink } from '@hapset/core';
import {
  noDecisions,
  openQuestions,
  reviewItems,
  toNewMaterials,
  type Decisions,
  type IntakeRowState,
  type ItemChange,
} from './new-materials.js';

const reviewIntake = (text: string, here: readonly string[], decisions: Decisions): readonly IntakeRowState[] =>
  reviewItems(readIntake(text), here, decisions, { matches: [], readLink });

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

  it('takes nothing of a question until it is answered, and then what was answered', () => {
    const text = 'Please open https://a.example/1 and read it';
    const rows = reviewIntake(text, [], noDecisions);
    expect([openQuestions(rows), toNewMaterials(rows)]).toEqual([1, []]);
    const link = reviewIntake(text, [], { ...noDecisions, answers: new Map([[text, 0]]) });
    expect(link).toMatchObject([{ asked: text, taken: true }]);
    expect([openQuestions(link), toNewMaterials(link)]).toMatchObject([0, [{ link: 'https://a.example/1' }]]);
    const words = reviewIntake(text, [], { ...noDecisions, answers: new Map([[text, 1]]) });
    expect(toNewMaterials(words)).toMatchObject([{ words: text, pasted: text }]);
    const none = reviewIntake(text, [], { ...noDecisions, leftOut: new Set([text]) });
    expect([openQuestions(none), toNewMaterials(none)]).toEqual([0, []]);
  });

  it('gives a row to each link of an answer that has two', () => {
    const text = 'https://a.example/1 and https://a.example/2';
    const rows = reviewIntake(text, [], { ...noDecisions, answers: new Map([[text, 0]]) });
    expect(toNewMaterials(rows).map(({ link }) => link)).toEqual(['https://a.example/1', 'https://a.example/2']);
  });

  it('takes what was changed in the place of what was read', () => {
    const text = 'Tides: https://a.example/1';
    const changed = (change: ItemChange) =>
      toNewMaterials(reviewIntake(text, [], { ...noDecisions, changes: new Map([[text, change]]) }));
    expect(changed({ kind: 'words', text: ' Who am I? ', title: '' })).toEqual([
      { words: 'Who am I?', pasted: text, repairs: [] },
    ]);
    expect(changed({ kind: 'link', text: 'a.example/2', title: 'Two' })).toMatchObject([
      { link: 'https://a.example/2', title: 'Two', pasted: text },
    ]);
    expect(changed({ kind: 'link', text: 'no link', title: '' })).toEqual([]);
  });

  it('sends e-mail addresses and phone numbers as what they are', () => {
    expect(toNewMaterials(reviewIntake('Office: maren@fernhollow.example', [], noDecisions))).toEqual([
      {
        content: { kind: 'e-mail', address: 'maren@fernhollow.example', subject: '', text: '' },
        title: 'Office',
        pasted: 'Office: maren@fernhollow.example',
        repairs: [],
      },
    ]);
  });

  it('sends the student’s link where that was chosen', () => {
    const text = 'https://a.example/tally/build';
    const rows = reviewIntake(text, [], { ...noDecisions, studentLinks: new Map([[text, 'https://a.example/tally']]) });
    expect(rows[0]?.insteadOf).toBe(text);
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
});
