import { mapInSlices } from './in-slices.js';
import { dayIn } from './day-in.js';

describe('work on a long list', () => {
  it('keeps its order, and lets others have a turn in between', async () => {
    const turns: string[] = [];
    const done = mapInSlices(
      Array.from({ length: 450 }, (_, index) => index),
      (item, index) => {
        if (item % 100 === 0) turns.push(`slice ${item / 100}`);
        return item + index;
      },
    );
    setImmediate(() => turns.push('somebody else'));
    const made = await done;
    expect(made).toHaveLength(450);
    expect(made[449]).toBe(898);
    expect(turns[0]).toBe('slice 0');
    expect(turns.indexOf('somebody else')).toBeLessThan(turns.indexOf('slice 4'));
  });

  it('does nothing with nothing, and fails as its work does', async () => {
    expect(await mapInSlices([], () => 1)).toEqual([]);
    await expect(
      mapInSlices([1], () => {
        throw new Error('no');
      }),
    ).rejects.toThrow('no');
  });
});

describe('a day', () => {
  it('is the school’s own', () => {
    const lateEvening = new Date('2027-06-10T23:30:00Z');
    expect(dayIn('Europe/Dublin', lateEvening)).toBe('2027-06-11');
    expect(dayIn('UTC', lateEvening)).toBe('2027-06-10');
  });
});
