import { isPlain, noDecisions, reviewIntake, toNewMaterials } from './new-materials.js';

describe('reviewing the intake', () => {
  it('leaves duplicates out until they are wanted', () => {
    const text = 'https://a.example/1\nhttps://a.example/1\nhttps://a.example/2';
    const here = ['https://a.example/2'];
    expect(reviewIntake(text, here, noDecisions).map((row) => row.taken)).toEqual([true, false, false]);
    expect(reviewIntake(text, here, { ...noDecisions, kept: new Set([2]) }).map((row) => row.taken)).toEqual([true, false, true]);
  });

  it('never takes what can’t be used', () => {
    const rows = reviewIntake('ftp://a.example/x', [], { ...noDecisions, kept: new Set([0]) });
    expect(toNewMaterials(rows)).toEqual([]);
  });

  it('sends links with what was pasted and repaired, and words as they are', () => {
    const rows = reviewIntake('“https://a.example/1” Guide\nWho am I?', [], noDecisions);
    expect(toNewMaterials(rows)).toEqual([
      { link: 'https://a.example/1', pasted: '“https://a.example/1” Guide', repairs: [{ kind: 'quote-removed', removed: '“”', added: '' }], title: 'Guide' },
      { words: 'Who am I?', pasted: 'Who am I?', repairs: [] },
    ]);
  });

  it('needs no look at one thing that is in order', () => {
    expect(isPlain(reviewIntake('https://a.example/1', [], noDecisions))).toBe(true);
    expect(isPlain(reviewIntake('https://a.example/1.', [], noDecisions))).toBe(false);
    expect(isPlain(reviewIntake('https://a.example/1', ['https://a.example/1'], noDecisions))).toBe(false);
    expect(isPlain(reviewIntake('one\ntwo', [], noDecisions))).toBe(false);
  });
});
