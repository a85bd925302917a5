import fc from 'fast-check';
import { fairTurns, type Waiting } from './fair-turns.js';

const limits = { atOnce: 6, atOneLane: 2 };
const waits = (ownerId: string, lane: string, count: number): Waiting[] =>
  Array.from({ length: count }, (_, index) => ({ id: `${ownerId} ${lane} ${index}`, ownerId, lane }));

describe('fair turns', () => {
  it('let somebody in behind a crowd of another one’s', () => {
    const begun = fairTurns([...waits('Maren', 'a', 650), ...waits('Tobiah', 'b', 1)], [], limits);
    expect(begun).toEqual(['Maren a 0', 'Tobiah b 0', 'Maren a 1']);
  });

  it('give the next free place in a lane to whoever has less running there', () => {
    const running = [{ lane: 'a', ownerId: 'Maren', count: 1 }];
    const waiting = [...waits('Maren', 'a', 3), ...waits('Tobiah', 'a', 1)];
    expect(fairTurns(waiting, running, limits)).toEqual(['Tobiah a 0']);
  });

  it('go on in other lanes where one is full, in the order in which things wait', () => {
    const running = [{ lane: 'a', ownerId: 'Pell', count: 2 }];
    expect(fairTurns([...waits('Maren', 'a', 2), ...waits('Maren', 'b', 3)], running, limits)).toEqual([
      'Maren b 0',
      'Maren b 1',
    ]);
  });

  it('begin nothing where all places are taken, or nothing waits', () => {
    expect(fairTurns(waits('Maren', 'a', 1), [{ lane: 'z', ownerId: 'Pell', count: 9 }], limits)).toEqual([]);
    expect(fairTurns([], [], limits)).toEqual([]);
  });

  it('stay within the limits, leave no place empty that somebody could take, and keep owners level', () => {
    const one = fc.record({ lane: fc.constantFrom('a', 'b', 'c', 'd'), ownerId: fc.constantFrom('x', 'y', 'z') });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 30 }), (all) => {
        const waiting = all.map((rest, index) => ({ id: String(index), ...rest }));
        const begun = fairTurns(waiting, [], limits);
        const taken = waiting.filter(({ id }) => begun.includes(id));
        const left = waiting.filter(({ id }) => !begun.includes(id));
        const count = (of: readonly Waiting[], match: Partial<Waiting>): number =>
          of.filter((other) => Object.entries(match).every(([key, value]) => other[key as keyof Waiting] === value))
            .length;
        expect(new Set(begun).size).toBe(begun.length);
        expect(begun.length).toBeLessThanOrEqual(limits.atOnce);
        for (const lane of 'abcd') expect(count(taken, { lane })).toBeLessThanOrEqual(limits.atOneLane);
        for (const { lane, ownerId } of left) {
          const could = count(taken, { lane }) < limits.atOneLane;
          expect(could && begun.length < limits.atOnce).toBe(false);
          // Whoever waits with room in the lane has no less than one below the others who got in.
          if (could)
            for (const other of 'xyz')
              expect(count(taken, { ownerId: other }) - count(taken, { ownerId })).toBeLessThanOrEqual(1);
        }
      }),
    );
  });
});
