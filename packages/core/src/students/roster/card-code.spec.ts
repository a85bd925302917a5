import fc from 'fast-check';
import { slugAlphabet } from '../../code/short-link/check-character.js';
import { planSymbol } from '../../code/symbol/plan.js';
import { cardPayload, cardTokenNumbers, cardTokenOf, readCardText } from './card-code.js';

describe('a card’s code', () => {
  const numbers = fc.array(fc.nat(1_000_000), { minLength: cardTokenNumbers, maxLength: cardTokenNumbers });

  it('is read back, however it is typed, and fits the smallest symbol with a quarter of it to repair', () => {
    fc.assert(
      fc.property(numbers, (random) => {
        const token = cardTokenOf(random);
        expect(readCardText(token)).toEqual({ kind: 'token', token });
        expect(readCardText(` ${token.slice(0, 3).toLowerCase()}-${token.slice(3, 9)} ${token.slice(9)}`)).toEqual({
          kind: 'token',
          token,
        });
      }),
    );
    const plan = planSymbol(cardTokenOf(Array.from({ length: cardTokenNumbers }, (_, index) => index)));
    expect(plan).toMatchObject({ ok: true, value: { version: 1, level: 'Q' } });
  });

  it('is never taken for another one by a single wrong character or two neighbours that changed places', () => {
    fc.assert(
      fc.property(numbers, fc.integer({ min: 3, max: 15 }), fc.integer({ min: 1, max: 22 }), (random, at, step) => {
        const token = cardTokenOf(random);
        const wrong = slugAlphabet[(slugAlphabet.indexOf(token[at] ?? '') + step) % slugAlphabet.length] ?? '';
        expect(readCardText(token.slice(0, at) + wrong + token.slice(at + 1))).toEqual({ kind: 'misread' });
        if (at < 15 && token[at] !== token[at + 1])
          expect(
            readCardText(token.slice(0, at) + (token[at + 1] ?? '') + (token[at] ?? '') + token.slice(at + 2)),
          ).toEqual({ kind: 'misread' });
      }),
    );
  });

  it('says in clear what the school chose, and whatever else is read is text', () => {
    const student = { schoolId: '00123', name: 'Ann Lee', token: 'HPCX' };
    expect([
      cardPayload('token', student),
      cardPayload('id', student),
      cardPayload('id-and-name', student),
      cardPayload('id-and-name', { ...student, schoolId: '' }),
    ]).toEqual(['HPCX', '00123', '00123 Ann Lee', 'Ann Lee']);
    expect(readCardText(' 00123 ')).toEqual({ kind: 'text', text: '00123' });
    expect(readCardText('https://a.example')).toEqual({ kind: 'text', text: 'https://a.example' });
    expect(() => cardTokenOf([1])).toThrow(RangeError);
  });
});
