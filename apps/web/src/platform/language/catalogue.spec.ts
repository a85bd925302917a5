import { catalogue, written } from './catalogue.js';

describe('what is put into a text', () => {
  it('is written as the school writes numbers; a count stays a number', () => {
    expect(written({ count: 12_000, mm: 0.85, px: 1280, students: 12_000, year: 2027, name: '1200' })).toEqual({
      count: 12_000,
      mm: '0.85',
      px: '1280',
      students: '12,000',
      year: '2027',
      name: '1200',
    });
    expect(written()).toEqual({});
  });

  it('chooses the plural by the count', () => {
    const { t } = catalogue('spec', { a: { cards_one: '{{count}} card', cards_other: '{{count}} cards of {{of}}' } });
    expect([t('a.cards', { count: 1 }), t('a.cards', { count: 2, of: 10_000 })]).toEqual([
      '1 card',
      '2 cards of 10,000',
    ]);
  });
});
