import { accessVerdicts } from '../../gather/service-description/access-verdict.js';
import { answerCounts, isStale, mayBeAnswered, opensAnswer, opensState } from './opens-answer.js';

describe('opens', () => {
  it('is done for open alone, to be looked at for unknown, and stops for all others', () => {
    expect(accessVerdicts.map((verdict) => [verdict, opensState(verdict, 'none')])).toEqual([
      ['open', 'done'],
      ['open-editable', 'look-at'],
      ['sign-in', 'stop'],
      ['organisation', 'stop'],
      ['named-only', 'stop'],
      ['closed', 'stop'],
      ['missing', 'stop'],
      ['empty', 'stop'],
      ['partial', 'look-at'],
      ['obstructed', 'look-at'],
      ['failing', 'stop'],
      ['unknown', 'look-at'],
      ['refused', 'stop'],
    ]);
    expect(opensState(null, 'none')).toBe('not-yet');
  });
  it('is done for the school’s own people where the class has accounts of the school, and changes nothing else', () => {
    expect(accessVerdicts.filter((verdict) => opensState(verdict, 'school') !== opensState(verdict, 'none'))).toEqual([
      'organisation',
    ]);
    expect(opensState('organisation', 'school')).toBe('done');
  });
  it('is left to a person where the check can’t tell, and a person’s no counts anywhere', () => {
    const left = ['obstructed', 'failing', 'unknown', 'refused'];
    expect(accessVerdicts.filter(mayBeAnswered)).toEqual(left);
    expect(accessVerdicts.filter((verdict) => answerCounts({ opens: true }, verdict))).toEqual(left);
    expect(accessVerdicts.every((verdict) => answerCounts({ opens: false }, verdict))).toBe(true);
  });
  it('is what a person said where that counts, as long as it is not too old', () => {
    const day = 24 * 3600 * 1000;
    const known = {
      verdict: 'unknown',
      checkedAt: 0,
      answer: { opens: true, at: 90 * day, otherPage: null },
      accounts: 'none',
    } as const;
    expect(opensAnswer(known, 95 * day, null)).toEqual({ state: 'done', stale: false, byPerson: true });
    expect(opensAnswer(known, 105 * day, null)).toEqual({ state: 'look-at', stale: true, byPerson: true });
    expect(opensAnswer({ ...known, answer: { opens: false, at: 0, otherPage: null } }, 95 * day, null)).toMatchObject({
      state: 'stop',
    });
    expect(opensAnswer({ ...known, verdict: 'sign-in' }, 1, null)).toEqual({
      state: 'stop',
      stale: false,
      byPerson: false,
    });
    expect(opensAnswer({ ...known, verdict: null }, 1, null)).toMatchObject({ state: 'not-yet', byPerson: false });
    const no = { opens: false, at: 0, otherPage: null };
    expect(opensAnswer({ ...known, verdict: null, answer: no }, 1, null)).toMatchObject({ byPerson: false });
    expect(opensAnswer({ ...known, verdict: 'open', answer: null }, 20 * day, null)).toEqual({
      state: 'look-at',
      stale: true,
      byPerson: false,
    });
    expect(opensAnswer({ ...known, answer: null, checkedAt: null, verdict: null }, 1, null).stale).toBe(false);
  });
  it('is what a person said until the page is clearly another one, and as new as the check that finds it the same', () => {
    const day = 24 * 3600 * 1000;
    const known = { verdict: 'unknown', checkedAt: 100 * day, accounts: 'none' } as const;
    const said = (opens: boolean, otherPage: boolean | null) => ({ ...known, answer: { opens, at: 0, otherPage } });
    expect(opensAnswer(said(true, false), 101 * day, null)).toEqual({ state: 'done', stale: false, byPerson: true });
    expect(opensAnswer(said(true, false), 120 * day, null)).toMatchObject({ state: 'look-at', stale: true });
    expect(opensAnswer(said(true, null), 101 * day, null)).toMatchObject({ state: 'look-at', stale: true });
    expect(opensAnswer(said(true, true), 101 * day, null)).toEqual({ state: 'look-at', stale: false, byPerson: false });
    expect(opensAnswer({ ...said(false, true), verdict: 'open' }, 101 * day, null)).toMatchObject({ state: 'done' });
  });
  it('grows stale: after two weeks, and after a day where a lesson is near', () => {
    const day = 24 * 3600 * 1000;
    const now = 100 * day;
    expect([now - 13 * day, now - 15 * day].map((checkedAt) => isStale(checkedAt, now, null))).toEqual([false, true]);
    expect([now - day / 2, now - 2 * day].map((checkedAt) => isStale(checkedAt, now, now + day / 2))).toEqual([
      false,
      true,
    ]);
    expect(isStale(now - 2 * day, now, now + 3 * day)).toBe(false);
    expect(isStale(now - 2 * day, now, now - day)).toBe(false);
  });
});
