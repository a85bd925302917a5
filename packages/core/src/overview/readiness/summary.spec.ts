import { summarise } from './summary.js';
import { findTrouble, isReady, type FourAnswers } from './trouble.js';

const opens = { state: 'done', verdict: 'open', obstacle: null, answer: null } as const;
const done: FourAnswers = { opens, carries: { state: 'done' }, reads: { state: 'done' }, paper: { state: 'done' } };
const signIn: FourAnswers = { ...done, opens: { ...opens, state: 'stop', verdict: 'sign-in' } };

describe('the trouble of a station', () => {
  it.each([
    ['a sign-in', signIn, 'locked'],
    ['chosen people', { ...done, opens: { ...opens, state: 'stop', verdict: 'named-only' } }, 'locked'],
    ['an account of the school', { ...done, opens: { ...opens, state: 'stop', verdict: 'organisation' } }, 'locked'],
    ['nothing there', { ...done, opens: { ...opens, state: 'stop', verdict: 'missing' } }, 'not-opening'],
    [
      'an address that no phone reaches',
      { ...done, opens: { ...opens, state: 'stop', obstacle: 'address' } },
      'not-opening',
    ],
    ['hours that are over, whatever else', { ...done, opens: { ...signIn.opens, obstacle: 'hours' } }, 'not-opening'],
    ['a person who tried it', { ...done, opens: { ...signIn.opens, answer: {} } }, 'not-opening'],
    ['a doubt', { ...done, opens: { ...opens, state: 'look-at', verdict: 'unknown' } }, 'to-check'],
    ['a code that is too fine', { ...done, carries: { state: 'look-at' } }, 'code'],
    ['a code that nothing holds', { ...done, carries: { state: 'stop' } }, 'code'],
    ['a device that falls short', { ...done, reads: { state: 'look-at' } }, 'not-read'],
    ['an older sheet', { ...done, paper: { state: 'look-at' } }, 'outdated'],
    ['no sheet', { ...done, paper: { state: 'not-yet' } }, 'without-sheet'],
    ['nothing', done, null],
    ['an opening that goes on', { ...done, opens: { ...opens, state: 'not-yet' }, paper: { state: 'not-yet' } }, null],
  ] as const)('is told by its own name: %s', (_, answers, trouble) => {
    expect(findTrouble(answers)).toBe(trouble);
    expect(isReady(answers)).toBe(answers === done);
  });

  it('is the first in the order of the work', () => {
    const all: FourAnswers = {
      ...signIn,
      carries: { state: 'stop' },
      reads: { state: 'stop' },
      paper: { state: 'not-yet' },
    };
    expect(findTrouble(all)).toBe('locked');
    expect(findTrouble({ ...all, opens })).toBe('code');
    expect(findTrouble({ ...all, opens, carries: { state: 'done' } })).toBe('not-read');
  });
});

describe('the line above the bench', () => {
  it('counts every station once, those that are worked on in none', () => {
    const waiting: FourAnswers = { ...done, opens: { ...opens, state: 'not-yet', verdict: null } };
    const { troubles, ...counts } = summarise([
      done,
      signIn,
      signIn,
      { ...done, paper: { state: 'not-yet' } },
      waiting,
    ]);
    expect(counts).toEqual({ stations: 5, ready: 1 });
    expect(troubles).toEqual({
      locked: 2,
      'not-opening': 0,
      'to-check': 0,
      code: 0,
      'not-read': 0,
      outdated: 0,
      'without-sheet': 1,
    });
    expect(summarise([])).toMatchObject({ stations: 0, ready: 0 });
  });
});
