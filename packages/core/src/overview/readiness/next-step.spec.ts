import { nextStep, partOfTrouble } from './next-step.js';
import { stationTroubles, type FourAnswers } from './trouble.js';

const opens = { state: 'done', verdict: 'open', obstacle: null, answer: null } as const;
const ready: FourAnswers = { opens, carries: { state: 'done' }, reads: { state: 'done' }, paper: { state: 'done' } };
const locked: FourAnswers = { ...ready, opens: { ...opens, state: 'stop', verdict: 'sign-in' } };
const unsure: FourAnswers = { ...ready, opens: { ...opens, state: 'look-at', verdict: 'unknown' } };
const notRead: FourAnswers = { ...ready, reads: { state: 'look-at' } };
const unprinted: FourAnswers = { ...ready, paper: { state: 'not-yet' } };
const waiting: FourAnswers = { ...unprinted, opens: { ...opens, state: 'not-yet', verdict: null } };

describe('the next step of a lesson', () => {
  it('is to add a station where there is none', () => expect(nextStep([])).toEqual({ kind: 'add' }));

  it('is first to fix what stops students, wherever it is', () => {
    expect(nextStep([unsure, unprinted, locked])).toEqual({ kind: 'fix', index: 2, trouble: 'locked' });
  });

  it('then to look at what is uncertain, in the order of the stations', () => {
    expect(nextStep([unprinted, notRead, unsure])).toEqual({ kind: 'fix', index: 1, trouble: 'not-read' });
  });

  it('then to print, then to try it in the room', () => {
    expect(nextStep([ready, unprinted])).toEqual({ kind: 'print' });
    expect(nextStep([ready, { ...ready, paper: { state: 'look-at' } }])).toEqual({ kind: 'print' });
    expect(nextStep([ready, ready])).toEqual({ kind: 'try' });
  });

  it('is to wait while it is being opened and nothing is wrong', () => {
    expect(nextStep([ready, waiting])).toEqual({ kind: 'wait' });
    expect(nextStep([waiting, locked])).toMatchObject({ kind: 'fix', index: 1 });
  });

  it('leads to the part of the page where it is fixed', () => {
    expect(stationTroubles.map(partOfTrouble)).toEqual([
      'opens',
      'opens',
      'opens',
      'carries',
      'reads',
      'paper',
      'paper',
    ]);
  });
});
