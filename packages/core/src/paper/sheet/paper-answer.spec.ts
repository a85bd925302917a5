import { plainLook } from '../../code/look/look.js';
import { paperAnswer } from './paper-answer.js';

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
