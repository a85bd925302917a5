import { pino } from 'pino';
import { findChromium } from '../../platform/configuration/find-program.js';
import { until } from '../../test/until.js';
import { Chromium, chromiumLimits, type ChromiumLimits } from './chromium.js';
import { privateBytes } from './process-memory.js';

describe('the browser', () => {
  const open: Chromium[] = [];
  const start = (limits: Partial<ChromiumLimits> = {}): Chromium => {
    const browser = new Chromium({
      program: findChromium(),
      proxy: 'http://127.0.0.1:9',
      logger: pino({ level: 'silent' }),
      limits: { ...chromiumLimits, ...limits },
      sandbox: process.getuid?.() !== 0,
    });
    open.push(browser);
    return browser;
  };
  afterEach(async () => {
    for (const browser of open.splice(0)) await browser.stop();
  });
  const use = (browser: Chromium): Promise<readonly number[]> =>
    browser.withContext(
      () => ({}),
      async (context) => {
        await (await context.newPage()).setContent('<p>Low tide');
        return browser.pids;
      },
    );
  const hasEnded = (pid: number): Promise<boolean> =>
    until(
      async () => {
        try {
          return process.kill(pid, 0);
        } catch {
          return false;
        }
      },
      (isAlive) => !isAlive,
      5000,
    ).then((isAlive) => !isAlive);

  it('starts when it is needed, serves several at once, and takes memory that can be told', async () => {
    const browser = start();
    expect(browser.pids).toEqual([]);
    const [one, other] = await Promise.all([use(browser), use(browser)]);
    expect(one).toHaveLength(1);
    expect(other).toEqual(one);
    expect(privateBytes(one[0] ?? 0)).toBeGreaterThan(20 * 1024 ** 2);
    expect(privateBytes(2 ** 22)).toBe(0);
    await browser.stop();
    expect(await hasEnded(one[0] ?? 0)).toBe(true);
  });

  it('closes when nobody has needed it for a while, and starts again', async () => {
    const browser = start({ idleMs: 50 });
    const [first = 0] = await use(browser);
    expect(await hasEnded(first)).toBe(true);
    expect((await use(browser))[0]).not.toBe(first);
  });

  it.each([
    ['after many pages', { pages: 2 }],
    ['when it has grown large', { bytes: 1 }],
  ])('is replaced %s', async (_, limits) => {
    const browser = start(limits);
    const [first = 0] = await use(browser);
    await use(browser);
    expect(await hasEnded(first)).toBe(true);
    expect((await use(browser))[0]).not.toBe(first);
  });

  it('is replaced when it was killed, and killed when it hangs', async () => {
    const browser = start({ patienceMs: 1500 });
    const [first = 0] = await use(browser);
    process.kill(first, 'SIGKILL');
    const [second = 0] = await until(
      () => use(browser).catch(() => []),
      (pids) => pids.length > 0,
    );
    expect([0, first]).not.toContain(second);
    process.kill(second, 'SIGSTOP');
    await expect(use(browser)).rejects.toThrow('The browser does not answer.');
    expect(await hasEnded(second)).toBe(true);
    const [third = 0] = await until(
      () => use(browser).catch(() => []),
      (pids) => pids.length > 0,
    );
    expect([0, second]).not.toContain(third);
  });
});
