import { plainLook } from '../../code/look/look.js';
import { paperAnswer } from './paper-answer.js';

describe('on paper', () => {
  it('becomes printed before the change when payload, level or size changed', () => {
    const printed = { payload: 'https://a.example', level: 'Q' as const, sizeMm: 150, look: plainLook, texts: {} };
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

  describe('compares every text that the sheet shows', () => {
    const texts = {
      number: '3',
      title: 'Limpets',
      instruction: 'Count them.',
      tap: 'Tap Open.',
      address: 'a.example',
      class: '6 Kestrel',
      place: 'Shore',
    };
    const printed = { payload: 'https://a.example', level: 'Q' as const, sizeMm: 150, look: plainLook, texts };

    it.each(Object.keys(texts) as (keyof typeof texts)[])('%s', (field) => {
      const now = { ...printed, texts: { ...texts, [field]: 'other' } };
      expect(paperAnswer(printed, now)).toEqual({ state: 'look-at', changed: [field] });
      expect(paperAnswer(printed, { ...printed, texts: { ...texts, [field]: undefined } }).changed).toEqual([field]);
    });

    it('a text that is empty now and then is the same as none', () => {
      const empty = { ...printed, texts: { ...texts, place: '' } };
      expect(paperAnswer(empty, { ...printed, texts: { ...texts, place: undefined } }).changed).toEqual([]);
      expect(paperAnswer({ ...printed, texts: { ...texts, place: undefined } }, empty).changed).toEqual([]);
      expect(paperAnswer(empty, printed).changed).toEqual(['place']);
    });

    it('and none that it does not', () => {
      const { number: _number, ...shown } = texts;
      const sheet = { ...printed, texts: shown };
      expect(paperAnswer(sheet, { ...printed, texts: { ...texts, number: '4', where: 'Box' } }).state).toBe('done');
    });

    it('the address not beside the code that it goes with, the back as one', () => {
      const now = { ...printed, payload: 'https://b.example', texts: { ...texts, address: 'b.example' } };
      expect(paperAnswer(printed, now).changed).toEqual(['payload']);
      const back = { ...printed, texts: { ...texts, where: 'Box 1', what: 'Limpets' } };
      expect(paperAnswer(back, { ...back, texts: { ...texts, where: 'Box 2', what: 'Crabs' } }).changed).toEqual([
        'back',
      ]);
    });
  });
});
