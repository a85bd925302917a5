import fc from 'fast-check';
import { planSymbol } from '../symbol/plan.js';
import { alwaysOpen, isAlwaysOpen, openingProblem, openStateAt, type Opening } from './opening-hours.js';
import { shortAddress, shortAddressInLetters, slugAskedFor } from './short-address.js';
import {
  groupedSlug,
  isShortForm,
  isSlug,
  slugLengths,
  newSlugLength,
  normalSlug,
  slipsOf,
  slugAlphabet,
  slugOf,
  slugsOfLength,
} from './slug.js';
import { visitorKind } from './visitor.js';

const slugs = fc
  .array(fc.nat({ max: 22 }), { minLength: 4, maxLength: 6 })
  .map(slugOf)
  .filter((slug) => slug !== null);

describe('a slug', () => {
  it('has 5 to 7 characters of alphanumeric mode without look-alikes, and a check character', () => {
    fc.assert(
      fc.property(slugs, (slug) => {
        expect(slug).toMatch(/^[234679CDFGHJKMNPQRTVWXY]{5,7}$/);
        expect(isSlug(slug)).toBe(true);
        expect(normalSlug(groupedSlug(slug).toLowerCase())).toBe(slug);
      }),
    );
    expect(slugAlphabet).not.toMatch(/[01AEIOUBLSZ58]/);
    expect(() => slugOf([1, 2, 3])).toThrow(RangeError);
  });

  it('is refused if it is shorter or longer than slugs are', () => {
    // The first letter counts nothing, so that its check is right at any length.
    const [zero = ''] = slugAlphabet;
    const lengths = Array.from({ length: 14 }, (_, length) => length).filter((length) => isSlug(zero.repeat(length)));
    expect([lengths[0], lengths.at(-1)]).toEqual([slugLengths.least, slugLengths.most]);
  });

  it('is recognised as wrong after any one slip, and the slip can be named', () => {
    fc.assert(
      fc.property(slugs, fc.nat(), fc.nat({ max: 22 }), (slug, place, value) => {
        const at = place % slug.length;
        const other = slugAlphabet[value] ?? '';
        fc.pre(other !== slug[at]);
        const slipped = slug.slice(0, at) + other + slug.slice(at + 1);
        expect(isSlug(slipped)).toBe(false);
        expect(slipsOf(slipped)).toContain(slug);
        expect(slipsOf(slipped).every(isSlug)).toBe(true);
      }),
    );
  });

  it('is recognised as wrong where two characters changed places', () => {
    fc.assert(
      fc.property(slugs, fc.nat(), (slug, place) => {
        const at = place % (slug.length - 1);
        fc.pre(slug[at] !== slug[at + 1]);
        const swapped = slug.slice(0, at) + (slug[at + 1] ?? '') + (slug[at] ?? '') + slug.slice(at + 2);
        expect(isSlug(swapped)).toBe(false);
        expect(slipsOf(swapped)).toContain(slug);
      }),
    );
  });

  it('names few slips: one for each place, and what changed places', () => {
    fc.assert(fc.property(slugs, (slug) => expect(slipsOf(slug)).toEqual([])));
    const wrong = 'CDFGH';
    expect(slipsOf(wrong).length).toBeLessThanOrEqual(9);
    expect(slipsOf('CDF0H').every((slip) => slip.startsWith('CDF') && slip.endsWith('H'))).toBe(true);
    expect(slipsOf('C0F0H')).toEqual([]);
    expect(slipsOf('CD')).toEqual([]);
  });

  it('says nothing that no school wants on its wall', () => {
    const numbers = (text: string): number[] => [...text].map((character) => slugAlphabet.indexOf(character));
    for (const body of ['FVCK', 'WTFX', 'D34D', 'H4T3', 'C696', 'KKKX']) expect(slugOf(numbers(body))).toBeNull();
    let refused = 0;
    for (let number = 0; number < 20_000; number += 1)
      if (slugOf([number, number >> 2, number >> 5, number >> 7]) === null) refused += 1;
    expect(refused).toBeLessThan(1500);
  });

  it('is too long to be tried out, and one longer where the code gets no finer', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), (length) => {
        const base = `HTTPS://${'K'.repeat(length)}.EXAMPLE/`;
        const versions = [8, 9]
          .map((characters) => planSymbol(base + 'K'.repeat(characters)))
          .map((plan) => (plan.ok ? plan.value.version : 0));
        expect(newSlugLength(base)).toBe(versions[0] === versions[1] ? 9 : 8);
      }),
    );
    expect(slugsOfLength(8)).toBeGreaterThan(3e9);
    expect([isShortForm('CD3F7KM'), isShortForm('CD3F7KMN')]).toEqual([true, false]);
  });
});

describe('a short address', () => {
  it('is at the root of a short host, and under /K/ elsewhere, in capitals that are denser', () => {
    const own = shortAddress('https://hapset.fernhollow.example', 'k.fernhollow.example', 'CD3F7');
    expect(own).toBe('HTTPS://K.FERNHOLLOW.EXAMPLE/CD3F7');
    const planned = planSymbol(own);
    expect(planned.ok && planned.value.version).toBe(2);
    expect(planned.ok && planned.value.segmentation.segments).toHaveLength(1);
    expect(shortAddress('http://127.0.0.1:4300', null, 'CD3F7')).toBe('HTTP://127.0.0.1:4300/K/CD3F7');
    expect(shortAddress('https://school.example/Hapset/', null, 'CD3F7')).toBe('HTTPS://SCHOOL.EXAMPLE/Hapset/K/CD3F7');
  });

  it('is in letters on paper, in groups', () => {
    expect(shortAddressInLetters('HTTPS://K.FERNHOLLOW.EXAMPLE/CD3F7KM')).toBe('k.fernhollow.example/ CD3 F7K M');
  });

  it.each([
    ['/K/CD3F7', false, 'CD3F7'],
    ['/k/cd3f7/', false, 'CD3F7'],
    ['/k/cd3%20f7?x=1', false, 'CD3F7'],
    ['/k/CD3-F7', false, 'CD3F7'],
    ['/CD3F7', true, 'CD3F7'],
    ['/K/CD3F7', true, 'CD3F7'],
    ['/CD3F7', false, null],
    ['/k/vepas6sm3s8e45f6', false, null],
    ['/k/vepas6sm3s8e45f6/small', false, null],
    ['/lessons/x', true, null],
    ['/k/%zz%zz', false, '%22%22'],
  ])('%s (root: %s) asks for %s', (path, atRoot, slug) => expect(slugAskedFor(path, atRoot)).toBe(slug));
});

describe('opening hours', () => {
  const zone = 'Europe/Dublin';
  const at = (time: string): number => Date.parse(time);
  const lesson: Opening = { from: '2027-06-10T09:30', until: '2027-06-10T11:10', hours: [] };
  it('are by the school’s clock, summer time included', () => {
    expect(openStateAt(lesson, at('2027-06-10T08:29:59Z'), zone)).toEqual({ open: false, reason: 'not-yet' });
    expect(openStateAt(lesson, at('2027-06-10T08:30:00Z'), zone)).toEqual({ open: true });
    expect(openStateAt(lesson, at('2027-06-10T10:10:00Z'), zone)).toEqual({ open: false, reason: 'over' });
    expect(openStateAt(alwaysOpen, 0, zone)).toEqual({ open: true });
    expect(isAlwaysOpen(alwaysOpen)).toBe(true);
    expect(isAlwaysOpen({ ...alwaysOpen, from: '2027-06-10T08:00' })).toBe(false);
    expect(isAlwaysOpen({ ...alwaysOpen, until: '2027-06-10T08:00' })).toBe(false);
    expect(isAlwaysOpen({ ...alwaysOpen, hours: [{ days: [1], from: '08:00', until: '16:00' }] })).toBe(false);
  });

  it('hold on their days of the week', () => {
    const school: Opening = { ...alwaysOpen, hours: [{ days: [1, 2, 3, 4, 5], from: '08:00', until: '16:00' }] };
    expect(openStateAt(school, at('2027-06-10T09:00:00Z'), zone).open).toBe(true);
    expect(openStateAt(school, at('2027-06-10T15:00:00Z'), zone)).toEqual({ open: false, reason: 'other-hours' });
    expect(openStateAt(school, at('2027-06-12T09:00:00Z'), zone).open).toBe(false);
  });

  it.each([
    [{ from: '2027-02-30T09:00' }, 'no-such-time'],
    [{ from: '2027-02-03' }, 'no-such-time'],
    [{ from: '2027-06-10T09:00', until: '2027-06-10T09:00' }, 'until-before-from'],
    [{ hours: [{ days: [1], from: '10:00', until: '09:00' }] }, 'until-before-from'],
    [{ hours: [{ days: [8], from: '09:00', until: '10:00' }] }, 'no-day'],
    [{ hours: [{ days: [], from: '09:00', until: '10:00' }] }, 'no-day'],
    [{ hours: [{ days: [1], from: '24:00', until: '25:00' }] }, 'no-such-time'],
    [{ hours: [{ days: [1], from: '08:00', until: '25:00' }] }, 'no-such-time'],
    [{ hours: [{ days: [1], from: '8 am', until: '09:00' }] }, 'no-such-time'],
    [{ hours: Array.from({ length: 15 }, () => ({ days: [1], from: '09:00', until: '10:00' })) }, 'too-many-hours'],
    [{}, null],
  ])('%o: %s', (opening, problem) => expect(openingProblem({ ...alwaysOpen, ...opening })).toBe(problem));
});

describe('the kind of a visitor', () => {
  it.each([
    ['Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Mobile Safari/537.36', undefined, 'phone'],
    ['Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Safari/537.36', undefined, 'tablet'],
    ['Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/129.0 Safari/537.36', '?0', 'computer'],
    ['Mozilla/5.0 (X11; Linux x86_64)', '?1', 'phone'],
    ['', undefined, 'computer'],
  ])('%s', (agent, mobile, kind) => expect(visitorKind(agent, mobile)).toBe(kind));
});
