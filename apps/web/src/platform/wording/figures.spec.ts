import { ago, dayHere, bytes, lessonTime, metres, percent, tenths, timeToTheSecond } from './figures.js';

describe('figures', () => {
  it('never promise more metres than were reached', () => {
    expect(metres(2.69)).toBe('2.6 m');
    expect(metres(2.6)).toBe('2.6 m');
    expect(metres(0.3)).toBe('0.3 m');
  });
  it('keep one digit after the point', () =>
    expect([tenths(3), tenths(0.04), tenths(1234.56)]).toEqual(['3.0', '0.0', '1,234.6']));
  it('tell a time of the day', () => expect(timeToTheSecond('2027-06-10T09:40:07')).toBe('09:40:07'));
  it('never promise a larger share than there is', () => {
    expect([percent(0.549), percent(0.5), percent(1), percent(0)]).toEqual(['54%', '50%', '100%', '0%']);
  });
  it('tell sizes', () =>
    expect([0, 1, 1499, 1_000_000, 999_949_999, 5_000_000_000].map(bytes)).toEqual([
      '0 kB',
      '1 kB',
      '1 kB',
      '1 MB',
      '999.9 MB',
      '5 GB',
    ]));
  it('tell a lesson’s day without moving it between zones', () => {
    expect(lessonTime('2027-06-10', '09:40')).toBe('Thursday 10 June, 09:40');
    expect(lessonTime('2027-01-01', null)).toBe('Friday 1 January');
    expect(lessonTime(null, '09:40')).toBe('no date yet');
  });
  it('tell how long ago', () => {
    const now = Date.parse('2026-11-24T12:00:00Z');
    const wordsAfter = (seconds: number) => ago(new Date(now - seconds * 1000).toISOString(), now);
    expect([5, 25, 59, 240, 3576, 86_400, 45 * 86_400, 800 * 86_400].map(wordsAfter)).toEqual([
      'just now',
      '25 seconds ago',
      '1 minute ago',
      '4 minutes ago',
      '1 hour ago',
      '1 day ago',
      '1 month ago',
      '2 years ago',
    ]);
    expect(dayHere(new Date(2026, 10, 4, 23, 59))).toBe('2026-11-04');
  });
});
