import { inParts } from './in-parts.js';

describe('a long list in parts', () => {
  it('is sent one part after the other, and replies keep their order', async () => {
    const parts: (readonly number[])[] = [];
    const replies = await inParts([1, 2, 3, 4, 5], 2, (part) => {
      parts.push(part);
      return Promise.resolve(part.map((item) => item * 10));
    });
    expect(parts).toEqual([[1, 2], [3, 4], [5]]);
    expect(replies).toEqual([10, 20, 30, 40, 50]);
  });

  it('stops at the part that fails', async () => {
    const send = jest.fn((part: readonly number[]) =>
      part[0] === 3 ? Promise.reject(new Error('no')) : Promise.resolve(part),
    );
    await expect(inParts([1, 2, 3, 4, 5], 2, send)).rejects.toThrow('no');
    expect(send).toHaveBeenCalledTimes(2);
  });
});
