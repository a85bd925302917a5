/** @jest-environment jsdom */
import { Drafts } from './drafts.js';

const dayMs = 24 * 3600 * 1000;

describe('drafts', () => {
  let now = 1_800_000_000_000;
  const drafts = new Drafts(localStorage, () => now, 'here');
  const otherTab = new Drafts(localStorage, () => now, 'other');
  const found = (place: string, who = 'maren'): readonly unknown[] => drafts.find(who, place).map(({ value }) => value);
  beforeEach(() => localStorage.clear());

  it('are found again by who typed them and where, and are gone when they are removed', () => {
    drafts.save('maren', 'lesson new', { name: 'Tides' });
    expect(drafts.find('maren', 'lesson new')).toMatchObject([{ savedAt: now, value: { name: 'Tides' } }]);
    expect([found('lesson new', 'tobiah'), found('lesson 1'), found('lesson')]).toEqual([[], [], []]);
    drafts.remove('maren', 'lesson new');
    expect(found('lesson new')).toEqual([]);
  });

  it('of the same place in several tabs are told apart, the newest first, three at most', () => {
    drafts.save('maren', 'lesson new', 'typed here');
    now += 1000;
    otherTab.save('maren', 'lesson new', 'typed in the other tab');
    expect(found('lesson new')).toEqual(['typed in the other tab', 'typed here']);
    drafts.remove('maren', 'lesson new');
    expect(found('lesson new')).toEqual(['typed in the other tab']);
    const [other] = drafts.find('maren', 'lesson new');
    if (other) drafts.removeFound(other);
    expect(found('lesson new')).toEqual([]);
    for (let tab = 0; tab < 5; tab += 1) {
      now += 1000;
      new Drafts(localStorage, () => now, `tab${tab}`).save('maren', 'lesson new', tab);
    }
    expect(found('lesson new')).toEqual([4, 3, 2]);
  });

  it('go after fourteen days, and the oldest where there are many', () => {
    drafts.save('maren', 'old', 1);
    now += 14 * dayMs - 1;
    expect(drafts.count('maren')).toBe(1);
    now += 2;
    expect(drafts.count('maren')).toBe(0);
    for (let at = 0; at < 60; at += 1) {
      now += 1;
      drafts.save('maren', `place ${at}`, at);
    }
    expect(drafts.count('maren')).toBe(50);
    expect([found('place 9'), found('place 10')]).toEqual([[], [10]]);
  });

  it('of one account go at its sign-out, and nothing else', () => {
    localStorage.setItem('hapset px-per-mm', '4');
    drafts.save('maren', 'a', 1);
    drafts.save('maren', 'b', 1);
    drafts.save('tobiah', 'a', 1);
    drafts.removeAll('maren');
    expect([drafts.count('maren'), drafts.count('tobiah'), localStorage.getItem('hapset px-per-mm')]).toEqual([
      0,
      1,
      '4',
    ]);
  });

  it('that can’t be kept or read are no trouble', () => {
    drafts.save('maren', 'huge', 'x'.repeat(500_000));
    expect(found('huge')).toEqual([]);
    localStorage.setItem('hapset draft maren broken here', '{');
    expect(found('broken')).toEqual([]);
    const full = {
      ...fakeStorage(),
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    };
    expect(() => new Drafts(full).save('maren', 'a', 1)).not.toThrow();
  });
});

function fakeStorage() {
  return { length: 0, key: () => null, getItem: () => null, setItem: () => undefined, removeItem: () => undefined };
}
