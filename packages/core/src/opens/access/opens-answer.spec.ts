import { accessVerdicts } from '../../gather/service-description/access-verdict.js';
import { isStale, opensState } from './opens-answer.js';

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
