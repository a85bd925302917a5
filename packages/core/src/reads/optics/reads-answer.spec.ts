import { readsAnswer } from './reads-answer.js';

const reach = (
  deviceId: string,
  reachM: number,
  fromM = 0.2,
): { deviceId: string; reachM: number; fromM: number; misread: null } => ({ deviceId, reachM, fromM, misread: null });

describe('reads', () => {
  it('is done when every device reaches the distance', () => {
    expect(readsAnswer([reach('a', 2.5), reach('b', 3)], 2.5)).toEqual({
      state: 'done',
      leastReachM: 2.5,
      fallShort: [],
      failed: [],
    });
  });
  it('is to be looked at when one falls short, or stands too near for it', () => {
    expect(readsAnswer([reach('a', 2.4), reach('b', 3)], 2.5)).toEqual({
      state: 'look-at',
      leastReachM: 2.4,
      fallShort: ['a'],
      failed: [],
    });
    expect(readsAnswer([reach('a', 3, 1)], 0.5)).toMatchObject({ state: 'look-at', fallShort: ['a'] });
  });
  it('stops when a device reads nothing or something else', () => {
    expect(readsAnswer([reach('a', 0), reach('b', 3)], 1).state).toBe('stop');
    expect(readsAnswer([{ ...reach('a', 3), misread: { at: 1 } }], 1).state).toBe('stop');
  });
  it('believes a real device more than the simulation, where it did not read', () => {
    const far = [reach('a', 3), reach('b', 3)];
    const after = (tried: Parameters<typeof readsAnswer>[2], reaches = far as typeof far | null): object =>
      readsAnswer(reaches, 1, tried);
    expect(after([{ deviceId: 'a', outcome: 'nothing' }])).toMatchObject({
      state: 'look-at',
      failed: ['a'],
      leastReachM: 3,
    });
    expect(
      after([
        { deviceId: 'a', outcome: 'nothing' },
        { deviceId: null, outcome: 'otherwise' },
      ]),
    ).toMatchObject({ state: 'stop', failed: ['a', null] });
    expect(after([{ deviceId: 'a', outcome: 'as-meant' }])).toMatchObject({ state: 'done', failed: [] });
    expect(after([{ deviceId: 'a', outcome: 'nothing' }], null)).toMatchObject({ state: 'look-at', leastReachM: null });
    expect(after([{ deviceId: 'a', outcome: 'nothing' }], [reach('a', 0)])).toMatchObject({ state: 'stop' });
    expect(after([{ deviceId: 'a', outcome: 'as-meant' }], [reach('a', 0.4)])).toMatchObject({
      state: 'look-at',
      fallShort: ['a'],
    });
  });
  it('is not yet without a rehearsal', () => {
    expect(readsAnswer(null, 1).state).toBe('not-yet');
    expect(readsAnswer([], 1).state).toBe('not-yet');
  });
});
