import { ServerClock } from './server-clock.js';

const noon = Date.parse('2027-06-10T12:00:00Z');
const header = (timeMs: number): string => new Date(timeMs).toUTCString();

describe('the server’s time', () => {
  let device = noon;
  const clock = (): ServerClock => new ServerClock(() => device);

  it('is the device’s own as long as that is right to a second or two', () => {
    const own = clock();
    device = noon + 300;
    for (const date of [header(noon), header(noon + 1000), null, 'yesterday']) own.noteAnswer(date);
    expect(own.now()).toBe(noon + 300);
  });

  it('is known on a device whose clock is wrong, and goes on with it', () => {
    const own = clock();
    device = noon - 3 * 365 * 24 * 3600 * 1000;
    own.noteAnswer(header(noon));
    device += 60_000;
    expect(own.now()).toBe(noon + 60_500);
    own.noteAnswer(header(noon + 61_000));
    expect(own.now()).toBe(noon + 60_500);
  });

  it('follows when somebody sets the device’s clock', () => {
    const own = clock();
    device = noon + 3_600_000;
    own.noteAnswer(header(noon));
    device = noon;
    own.noteAnswer(header(noon));
    expect(own.now()).toBe(noon);
  });
});
