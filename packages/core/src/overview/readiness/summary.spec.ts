import { summarise, type FourStates } from './summary.js';

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
