import { RestartLimit } from './restart-limit.mjs';

describe('parts that end', () => {
  it('are started again three times in five minutes, each after a longer wait', () => {
    const limit = new RestartLimit();
    const waits = [0, 1000, 2000, 3000].map((nowMs) => limit.next('server', nowMs));
    expect(waits.slice(0, 3).every((wait, index) => wait > (waits[index - 1] ?? 0))).toBe(true);
    expect(waits[3]).toBeNull();
    expect(limit.next('database', 3000)).not.toBeNull();
    expect(limit.next('server', 5 * 60_000 + 1)).not.toBeNull();
  });
});
