import { LatestOnly, Superseded } from './latest-only.js';

describe('the latest request', () => {
  it('wins: one runs, the last one waits, those between give way', async () => {
    const line = new LatestOnly();
    const begun: number[] = [];
    const open: (() => void)[] = [];
    const ask = (number: number): Promise<number> =>
      line.run('Maren', async () => {
        begun.push(number);
        await new Promise<void>((resolve) => open.push(resolve));
        return number;
      });
    const asked = [1, 2, 3, 4].map((number) => ask(number).catch((error: unknown) => error));
    open.shift()?.();
    await asked[0];
    await Promise.resolve();
    open.shift()?.();
    const answers = await Promise.all(asked);
    expect(begun).toEqual([1, 4]);
    expect(answers).toEqual([1, expect.any(Superseded), expect.any(Superseded), 4]);
  });

  it('goes on after work that failed, and keeps others apart', async () => {
    const line = new LatestOnly();
    await expect(line.run('a', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    await expect(
      Promise.all([line.run('a', () => Promise.resolve(1)), line.run('b', () => Promise.resolve(2))]),
    ).resolves.toEqual([1, 2]);
  });
});
