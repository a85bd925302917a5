import { nextYearName, proposeYearEnd } from './next-year.js';

describe('a school year later', () => {
  it.each([
    ['6 Kestrel', '7 Kestrel'],
    ['Year 6 Kestrel', 'Year 7 Kestrel'],
    ['9a', '10a'],
    ['07', '08'],
    ['7.º A', '8.º A'],
    ['VIII-A', 'IX-A'],
    ['IV b', 'V b'],
    ['X', 'XI'],
    ['XII', 'XIII'],
    ['6e A', '5e A'],
    ['4ème 2', '3ème 2'],
    ['六年级1班', '六年级2班'],
    ['Kestrel', 'Kestrel'],
    ['Ivy', 'Ivy'],
    ['Room 204', 'Room 204'],
    ['2026', '2026'],
    ['14b', '14b'],
    ['', ''],
  ])('%s is %s', (name, next) => expect(nextYearName(name)).toBe(next));

  it('the last classes leave, the others move up', () => {
    expect(proposeYearEnd(['5 Wren', '6 Heron', '6 Kestrel', 'Choir'])).toEqual([
      { className: '5 Wren', to: '6 Wren' },
      { className: '6 Heron', to: null },
      { className: '6 Kestrel', to: null },
      { className: 'Choir', to: 'Choir' },
    ]);
    expect(proposeYearEnd(['3e A', '4e A', '6e A']).map(({ to }) => to)).toEqual([null, '3e A', '5e A']);
  });

  it('nobody leaves a school of one year', () =>
    expect(proposeYearEnd(['6 Heron', '6 Kestrel']).map(({ to }) => to)).toEqual(['7 Heron', '7 Kestrel']));
});
