import type { CodeView, RehearsalView } from '@hapset/contract';
import { planRehearsals, type RehearsalPlace } from './plan-rehearsals.js';

const place = (key: string, results: readonly object[] | null = null, more: object = {}): RehearsalPlace => ({
  place: { stationId: key },
  code: {} as CodeView,
  rehearsal: { key, devices: [{}], results, ...more } as unknown as RehearsalView,
});
const alone = { handedIn: new Set<string>(), withOthers: false, isInSight: () => false, runningKey: null };
const nextOf = (places: readonly RehearsalPlace[], more: Partial<typeof alone> | object = {}): string | undefined =>
  planRehearsals(places, { ...alone, ...more }).next?.rehearsal.key;

describe('the order in which codes are rehearsed', () => {
  const three = [place('a'), place('b'), place('c')];

  it('is that of the stations', () => expect(nextOf(three)).toBe('a'));

  it('begins with what is on the screen', () =>
    expect(nextOf(three, { isInSight: (at: { stationId: string }) => at.stationId === 'b' })).toBe('b'));

  it('lets go on what runs, wherever the page was moved to meanwhile', () =>
    expect(nextOf(three, { runningKey: 'c', isInSight: () => true })).toBe('c'));

  it('leaves out what is known, is on its way, has no code or no devices', () => {
    const places = [
      place('a', []),
      place('b'),
      { ...place('c'), code: null },
      place('d', null, { devices: [] }),
      place('e'),
    ];
    expect(nextOf(places, { handedIn: new Set(['b']) })).toBe('e');
    expect(planRehearsals(places, { ...alone, handedIn: new Set(['b']) })).toMatchObject({ done: 2, of: 3 });
  });

  it('asks the other engines last, and only where they are shown', () => {
    const known = place('a', [{ others: [] }]);
    expect(nextOf([known, place('b')], { withOthers: true })).toBe('b');
    expect(nextOf([known], { withOthers: true })).toBe('a');
    expect(nextOf([known])).toBeUndefined();
    expect(nextOf([place('a', [{ others: [{}] }])], { withOthers: true })).toBeUndefined();
  });
});
