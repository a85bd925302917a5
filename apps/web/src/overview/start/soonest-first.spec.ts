import { soonestFirst } from './soonest-first.js';

describe('lessons on the start page', () => {
  it('begin with the next one, and today is still to come', () => {
    const listed = [null, '2027-06-17', '2027-06-10', '2027-06-09', '2027-01-02', '2026-12-01'].map((date) => ({
      date,
    }));
    expect(soonestFirst(listed, '2027-06-10').map((row) => row.date)).toEqual([
      '2027-06-10',
      '2027-06-17',
      null,
      '2027-06-09',
      '2027-01-02',
      '2026-12-01',
    ]);
  });

  it('keep all of them', () => {
    expect(soonestFirst([], '2027-06-10')).toEqual([]);
    expect(soonestFirst([{ date: null }, { date: null }], '2027-06-10')).toHaveLength(2);
  });
});
