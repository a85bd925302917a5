import { pino } from 'pino';
import { Loop, waitMs } from './loop.js';

const logger = pino({ level: 'silent' });

describe('a loop', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());
  const flush = async (): Promise<void> => {
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
  };

  it('goes on after failures, waits longer each time, and comes back to its pace', async () => {
    let works = 0;
    let broken = true;
    const loop = new Loop(() => ((works += 1), broken ? Promise.reject(new Error('away')) : Promise.resolve()), {
      name: 'x',
      everyMs: 1000,
      logger,
      random: () => 1,
    }).start();
    await flush();
    expect(works).toBe(1);
    await jest.advanceTimersByTimeAsync(1999);
    expect(works).toBe(1);
    await jest.advanceTimersByTimeAsync(1);
    expect(works).toBe(2);
    await jest.advanceTimersByTimeAsync(4000);
    expect(works).toBe(3);
    broken = false;
    await jest.advanceTimersByTimeAsync(8000);
    expect(works).toBe(4);
    await jest.advanceTimersByTimeAsync(3000);
    expect(works).toBe(7);
    await loop.stop();
    await jest.advanceTimersByTimeAsync(10_000);
    expect(works).toBe(7);
  });

  it('never works twice at a time, and once more when it was woken meanwhile', async () => {
    let open = (): void => undefined;
    let works = 0;
    const loop = new Loop(() => ((works += 1), new Promise<void>((resolve) => (open = resolve))), {
      name: 'x',
      everyMs: 60_000,
      logger,
    }).start();
    loop.wake();
    loop.wake();
    expect(works).toBe(1);
    open();
    await flush();
    expect(works).toBe(2);
    const stopped = loop.stop();
    open();
    await stopped;
    await jest.advanceTimersByTimeAsync(120_000);
    expect(works).toBe(2);
  });

  it('waits half a minute at most, or its own pace', () => {
    expect(waitMs(300, 0, () => 0)).toBe(300);
    expect(waitMs(5000, 40, () => 1)).toBe(30_000);
    expect(waitMs(5000, 40, () => 0)).toBe(15_000);
    expect(waitMs(300, 40, () => 1)).toBe(6000);
    expect(waitMs(60_000, 3, () => 1)).toBe(60_000);
  });
});
