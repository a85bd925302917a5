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
});
