import { shownTooShort } from './shown-too-short.js';

describe('a last day', () => {
  const lessons = [
    { id: '1', name: 'Crabs', date: '2026-12-04' },
    { id: '2', name: 'Tides', date: '2026-12-02' },
    { id: '3', name: 'Some day', date: null },
  ];
  const today = '2026-11-29';

  it('is pointed out when it is over, whatever the lessons', () => {
    expect(shownTooShort('2026-11-28', lessons, today)).toBe('That day is over. Students can no longer open it.');
    expect(shownTooShort('2026-11-29', [], today)).toBe('');
  });

  it('is pointed out when a lesson comes later, by the first of them', () => {
    expect(shownTooShort('2026-12-01', lessons, today)).toBe(
      '“Tides” is on Wednesday 2 December. Students can’t open it then.',
    );
    expect(shownTooShort('2026-12-03', lessons, today)).toContain('“Crabs” is on Friday 4 December');
    expect(shownTooShort('2026-12-04', lessons, today)).toBe('');
  });
});
