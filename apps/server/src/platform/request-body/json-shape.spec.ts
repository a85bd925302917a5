import fc from 'fast-check';
import { shapeExcess } from './json-shape.js';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const limits = { depth: 5, members: 10, membersOfOne: 8, items: 4 };

describe('the shape of a body', () => {
  it.each([
    ['{}', null],
    ['  {"a":[1,2,3,4]}', null],
    ['{"a":[1,2,3,4,5]}', 'too-many-items'],
    ['{"a":[[1,2,3],[1,2],[],"x"]}', null],
    [`{${'"a":{'.repeat(4)}${'}'.repeat(5)}`, null],
    [`{${'"a":{'.repeat(5)}${'}'.repeat(6)}`, 'too-deep'],
    ['[]', 'not-an-object'],
    ['null', 'not-an-object'],
    ['', null],
    ['{"a":"[[[[[[[[{{{{{{:::::::::::,,,,,,"}', null],
    ['{"a":"\\"[[[[[[","b":"\\\\"}', null],
    [`{"a":{${Array.from({ length: 6 }, (_, at) => `"k${at}":1`).join()}},"b":{"c":1,"d":1}}`, null],
    [`{${Array.from({ length: 9 }, (_, at) => `"k${at}":1`).join()}}`, 'too-many-members'],
    [`{${Array.from({ length: 11 }, (_, at) => `"k${at}":1`).join()}}`, 'too-many-members'],
  ])('%s', (text, excess) => expect(shapeExcess(bytes(text), limits)).toBe(excess));

  it('counts what a parser would', () => {
    const depthOf = (value: unknown): number =>
      typeof value === 'object' && value !== null ? 1 + Math.max(0, ...Object.values(value).map(depthOf)) : 0;
    const membersOf = (value: unknown): number =>
      typeof value === 'object' && value !== null
        ? (Array.isArray(value) ? 0 : Object.keys(value).length) +
          Object.values(value).reduce((sum: number, one) => sum + membersOf(one), 0)
        : 0;
    const itemsOf = (value: unknown): number =>
      typeof value === 'object' && value !== null
        ? Math.max(Array.isArray(value) ? value.length : 0, ...Object.values(value).map(itemsOf))
        : 0;
    fc.assert(
      fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (value) => {
        const text = bytes(JSON.stringify(value));
        const exact = {
          depth: depthOf(value),
          members: membersOf(value),
          membersOfOne: Infinity,
          items: Math.max(1, itemsOf(value)),
        };
        expect(shapeExcess(text, exact)).toBeNull();
        expect(shapeExcess(text, { ...exact, depth: exact.depth - 1 })).toBe('too-deep');
        if (exact.members > 0)
          expect(shapeExcess(text, { ...exact, depth: 1000, items: 1e9, members: exact.members - 1 })).toBe(
            'too-many-members',
          );
      }),
    );
  });
});
