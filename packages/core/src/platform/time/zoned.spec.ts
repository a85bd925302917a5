import fc from 'fast-check';
import { basicUtc, instantOf } from './zoned.js';

const iso = (date: string, time: string, zone: string): string => new Date(instantOf(date, time, zone)).toISOString();

describe('wall time in a zone', () => {
  it.each([
    ['2027-06-12', '09:30', 'Europe/Dublin', '2027-06-12T08:30:00.000Z'],
    ['2027-12-12', '09:30', 'Europe/Dublin', '2027-12-12T09:30:00.000Z'],
    ['2028-02-29', '00:00', 'UTC', '2028-02-29T00:00:00.000Z'],
    ['2027-06-12', '09:30', 'Pacific/Auckland', '2027-06-11T21:30:00.000Z'],
    ['2027-06-12', '23:45', 'America/Los_Angeles', '2027-06-13T06:45:00.000Z'],
  ])('%s %s in %s is %s', (date, time, zone, expected) => expect(iso(date, time, zone)).toBe(expected));

  it('skipped in spring means an hour later on that clock', () => {
    expect(iso('2027-03-28', '01:30', 'Europe/Dublin')).toBe('2027-03-28T01:30:00.000Z');
  });

  it('shown twice in autumn means the first', () => {
    expect(iso('2027-10-31', '01:30', 'Europe/Dublin')).toBe('2027-10-31T00:30:00.000Z');
  });

  it('agrees with the calendar of the language in UTC', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('1970-01-01'), max: new Date('2199-12-31'), noInvalidDate: true }), (day) => {
        const text = day.toISOString();
        expect(iso(text.slice(0, 10), text.slice(11, 16), 'UTC').slice(0, 16)).toBe(text.slice(0, 16));
        expect(basicUtc(Math.floor(day.getTime() / 1000) * 1000)).toBe(`${text.slice(0, 19).replace(/[-:]/g, '')}Z`);
      }),
    );
  });

  it.each(['2027-02-29', '2027-13-01', 'tomorrow'])('refuses %s', (date) =>
    expect(() => instantOf(date, '09:00', 'UTC')).toThrow(RangeError),
  );
});
