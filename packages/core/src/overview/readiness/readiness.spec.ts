import { accessVerdicts } from '../../gather/service-description/access-verdict.js';
import { plainLook } from '../../code/look/look.js';
import { isStale, opensState } from '../../opens/access/opens-answer.js';
import { paperAnswer } from '../../paper/sheet/paper-answer.js';
import { readsAnswer } from '../../reads/optics/reads-answer.js';
import { worse } from '../../platform/answer-state.js';
import { summarise, type FourStates } from './summary.js';
import { answerStates } from '../../platform/answer-state.js';

const reach = (
  deviceId: string,
  reachM: number,
  fromM = 0.2,
): { deviceId: string; reachM: number; fromM: number; misread: null } => ({ deviceId, reachM, fromM, misread: null });

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

describe('reads', () => {
  it('is done when every device reaches the distance', () => {
    expect(readsAnswer([reach('a', 2.5), reach('b', 3)], 2.5)).toEqual({
      state: 'done',
      leastReachM: 2.5,
      fallShort: [],
    });
  });
  it('is to be looked at when one falls short, or stands too near for it', () => {
    expect(readsAnswer([reach('a', 2.4), reach('b', 3)], 2.5)).toEqual({
      state: 'look-at',
      leastReachM: 2.4,
      fallShort: ['a'],
    });
    expect(readsAnswer([reach('a', 3, 1)], 0.5)).toMatchObject({ state: 'look-at', fallShort: ['a'] });
  });
  it('stops when a device reads nothing or something else', () => {
    expect(readsAnswer([reach('a', 0), reach('b', 3)], 1).state).toBe('stop');
    expect(readsAnswer([{ ...reach('a', 3), misread: { at: 1 } }], 1).state).toBe('stop');
  });
  it('is not yet without a rehearsal', () => {
    expect(readsAnswer(null, 1).state).toBe('not-yet');
    expect(readsAnswer([], 1).state).toBe('not-yet');
  });
});

describe('on paper', () => {
  it('becomes printed before the change when payload, level or size changed', () => {
    const printed = { payload: 'https://a.example', level: 'Q' as const, sizeMm: 150, look: plainLook };
    expect(paperAnswer(printed, printed)).toEqual({ state: 'done', changed: [] });
    expect(paperAnswer(printed, { ...printed, payload: 'https://b.example' })).toEqual({
      state: 'look-at',
      changed: ['payload'],
    });
    expect(paperAnswer(printed, { ...printed, sizeMm: 155 })).toEqual({ state: 'look-at', changed: ['size'] });
    expect(paperAnswer(printed, { ...printed, level: 'H' })).toEqual({ state: 'look-at', changed: ['level'] });
    expect(paperAnswer({ ...printed, level: null }, printed).changed).toEqual([]);
    expect(paperAnswer(printed, { ...printed, level: 'H', payload: 'https://b.example' }).changed).toEqual(['payload']);
    expect(paperAnswer(printed, { ...printed, look: { ...plainLook, ink: '#1d6f5b' } })).toEqual({
      state: 'look-at',
      changed: ['look'],
    });
    expect(paperAnswer(null, printed)).toEqual({ state: 'not-yet', changed: [] });
  });
});

describe('the worse of two states', () => {
  it('is the same whichever comes first, and never better than either', () => {
    const order = ['done', 'not-yet', 'look-at', 'stop'];
    for (const one of answerStates)
      for (const other of answerStates)
        expect(order.indexOf(worse(one, other))).toBe(Math.max(order.indexOf(one), order.indexOf(other)));
  });
});

describe('the line above the bench', () => {
  const done: FourStates = { opens: 'done', carries: 'done', reads: 'done', paper: 'done' };
  it('counts every station once', () => {
    const stations: FourStates[] = [
      done,
      { ...done, opens: 'stop', reads: 'look-at', paper: 'not-yet' },
      { ...done, reads: 'look-at', paper: 'not-yet' },
      { ...done, opens: 'look-at' },
      { ...done, carries: 'stop' },
      { ...done, paper: 'not-yet' },
      { ...done, opens: 'not-yet' },
    ];
    expect(summarise(stations)).toEqual({ stations: 7, ready: 1, locked: 1, toLookAt: 3, withoutSheet: 1 });
    expect(summarise([])).toEqual({ stations: 0, ready: 0, locked: 0, toLookAt: 0, withoutSheet: 0 });
  });
});
