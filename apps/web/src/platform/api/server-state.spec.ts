import { ServerState } from './server-state.js';

describe('the state of the server', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());

  it('is asked again until it answers, and tells then', async () => {
    const answers = [
      () => Promise.resolve(false),
      () => Promise.reject(new Error('network')),
      () => Promise.resolve(true),
    ];
    const asked = jest.fn(() => (answers.shift() ?? (() => Promise.resolve(true)))());
    const state = new ServerState(asked);
    const [changed, returned] = [jest.fn(), jest.fn()];
    state.subscribe(changed);
    state.onReturn(returned);
    state.noteAway();
    state.noteAway();
    expect([state.isAway(), changed.mock.calls.length]).toEqual([true, 1]);
    await jest.advanceTimersByTimeAsync(3000);
    await jest.advanceTimersByTimeAsync(3000);
    expect([state.isAway(), returned.mock.calls.length]).toEqual([true, 0]);
    await jest.advanceTimersByTimeAsync(3000);
    expect([state.isAway(), returned.mock.calls.length, asked.mock.calls.length]).toEqual([false, 1, 3]);
    await jest.advanceTimersByTimeAsync(10_000);
    expect(asked).toHaveBeenCalledTimes(3);
  });

  it('is asked at once where something speaks for an outage, and is away where it does not answer', async () => {
    const answers = [true, false];
    const state = new ServerState(() => Promise.resolve(answers.shift() ?? false));
    const seen: boolean[] = [];
    for (let time = 0; time < 2; time += 1) {
      state.askNow();
      await Promise.resolve();
      await Promise.resolve();
      seen.push(state.isAway());
    }
    expect(seen).toEqual([false, true]);
  });
});
