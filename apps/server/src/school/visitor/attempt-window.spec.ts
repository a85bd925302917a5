import { AttemptWindow } from './attempt-window.js';

describe('the window of attempts', () => {
  it('lets a class through and stops who fishes, until ten minutes have passed', () => {
    const window = new AttemptWindow();
    for (let attempt = 0; attempt < 60; attempt += 1) expect(window.take('10.0.0.1', attempt * 1000)).toBe(0);
    expect(window.take('10.0.0.1', 60_000)).toBe(540);
    expect(window.take('10.0.0.2', 60_000)).toBe(0);
    expect(window.take('10.0.0.1', 600_000)).toBe(0);
  });
});
