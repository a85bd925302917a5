import { tellingNames } from './telling-names.js';

describe('names that tell whether a file was read right', () => {
  it('show each letter beyond ASCII once, the richest first', () => {
    expect(tellingNames(['Ann Lee', 'Zoë Berg', 'Léa Né', 'Søren Ærø', 'Joël Dé', 'Chloë'], 8)).toEqual([
      'Søren Ærø',
      'Joël Dé',
    ]);
  });

  it('are no more than asked for, and none where all letters are plain', () => {
    expect(tellingNames(['Zoë', 'Åse', 'Ñúñez'], 2)).toEqual(['Ñúñez', 'Zoë']);
    expect(tellingNames(['Ann', 'Mary O’Connor–Smith'], 8)).toEqual([]);
  });

  it('show signs that no name has', () => expect(tellingNames(['Lef½vre', 'Ann'], 8)).toEqual(['Lef½vre']));
});
