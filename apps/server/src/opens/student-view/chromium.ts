/**
 * Debian's Chromium. It starts on demand and closes when it has been idle for a while. It always runs in its sandbox:
 * without one there are no student views, and everything else works. After many pages, or when it uses much memory, it is
 * replaced. If it hangs, it is killed.
 */
import { chromium, type Browser, type BrowserContext, type BrowserContextOptions } from 'playwright-core';
import type { AppLogger } from '../../platform/logging/logger.token.js';
import { privateBytes } from './process-memory.js';

export interface ChromiumLimits {
  readonly idleMs: number;
  readonly pages: number;
  readonly bytes: number;
  /** To begin, and to end. */
  readonly patienceMs: number;
}
export const chromiumLimits: ChromiumLimits = {
  idleMs: 5 * 60_000,
  pages: 200,
  bytes: 700 * 1024 ** 2,
  patienceMs: 15_000,
};

/** No QUIC, no DNS, no WebRTC beside the proxy, and nothing in the background. */
const flags = [
  '--disable-quic',
  '--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE 127.0.0.1',
  '--webrtc-ip-handling-policy=disable_non_proxied_udp',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-domain-reliability',
  '--disable-sync',
  '--disable-gpu',
  '--disable-dev-shm-usage',
  '--dns-prefetch-disable',
  '--no-pings',
  '--no-first-run',
  '--mute-audio',
  '--autoplay-policy=user-gesture-required',
];

/** There is no browser, or it doesn't start: no fault of the page. */
export class NoBrowserError extends Error {}

export interface ChromiumOptions {
  /** Path of Chromium; null if it is not installed. */
  readonly program: string | null;
  readonly proxy: string;
  readonly logger: AppLogger;
  readonly limits?: ChromiumLimits;
  /** Tests run as root, where Chromium has no sandbox; the application never says so. */
  readonly sandbox?: boolean;
}

/** A browser with what it has done. */
interface Running {
  readonly browser: Browser;
  readonly pid: number | null;
  pages: number;
  using: number;
  isRetired: boolean;
}

export class Chromium {
  private current: Promise<Running> | null = null;
  private idle: NodeJS.Timeout | null = null;
  private readonly running = new Set<Running>();
  private readonly limits: ChromiumLimits;

  constructor(private readonly options: ChromiumOptions) {
    this.limits = options.limits ?? chromiumLimits;
  }

  /** Process ids of the browsers that run now; tests look at them. */
  get pids(): readonly number[] {
    return [...this.running].flatMap(({ pid }) => pid ?? []);
  }

  /**
   * Works with a context of its own, which ends with the work, whatever happens in it.
   * @throws NoBrowserError without Chromium or its sandbox
   */
  async withContext<T>(
    contextOptions: (version: string) => BrowserContextOptions,
    work: (context: BrowserContext) => Promise<T>,
  ): Promise<T> {
    if (this.idle) clearTimeout(this.idle);
    const one = await this.take();
    try {
      const context = await this.within(one.browser.newContext(contextOptions(one.browser.version())), one);
      try {
        return await work(context);
      } finally {
        await this.within(context.close(), one).catch(() => this.kill(one));
      }
    } finally {
      one.using -= 1;
      await this.look(one);
    }
  }

  async stop(): Promise<void> {
    if (this.idle) clearTimeout(this.idle);
    await this.current?.catch(() => undefined);
    this.current = null;
    await Promise.all([...this.running].map((one) => this.close(one)));
  }

  private async take(): Promise<Running> {
    this.current ??= this.launch();
    const launching = this.current;
    try {
      const one = await launching;
      if (one.isRetired || !one.browser.isConnected()) {
        if (this.current === launching) this.current = null;
        return await this.take();
      }
      one.pages += 1;
      one.using += 1;
      return one;
    } catch (error) {
      if (this.current === launching) this.current = null;
      throw error;
    }
  }

  private async launch(): Promise<Running> {
    const { program, proxy, sandbox = true } = this.options;
    if (program === null) throw new NoBrowserError('Chromium is not installed.');
    let browser: Browser;
    try {
      browser = await chromium.launch({
        executablePath: program,
        chromiumSandbox: sandbox,
        args: flags,
        // Loopback goes through it too.
        proxy: { server: proxy, bypass: '<-loopback>' },
        handleSIGINT: false,
        handleSIGTERM: false,
        handleSIGHUP: false,
        timeout: this.limits.patienceMs,
      });
    } catch (error) {
      throw new NoBrowserError('Chromium does not start.', { cause: error });
    }
    const one: Running = { browser, pid: await pidOf(browser), pages: 0, using: 0, isRetired: false };
    this.running.add(one);
    browser.once('disconnected', () => {
      one.isRetired = true;
      this.running.delete(one);
    });
    return one;
  }

  /** What comes after a view: a browser that has done enough ends, one that nobody needs ends later. */
  private async look(one: Running): Promise<void> {
    const isFull = one.pages >= this.limits.pages || (one.pid !== null && privateBytes(one.pid) > this.limits.bytes);
    if (isFull && !one.isRetired) {
      one.isRetired = true;
      this.current = null;
    }
    if (one.isRetired && one.using === 0) await this.close(one);
    if (this.idle) clearTimeout(this.idle);
    this.idle = setTimeout(() => {
      if ([...this.running].some(({ using }) => using > 0)) return;
      this.stop().catch((error: unknown) =>
        this.options.logger.warn({ err: error }, 'the browser could not be closed'),
      );
    }, this.limits.idleMs);
    this.idle.unref();
  }

  private async close(one: Running): Promise<void> {
    one.isRetired = true;
    await this.within(one.browser.close(), one).catch(() => this.kill(one));
    this.running.delete(one);
  }

  /** Waits for the browser no longer than it may take. @throws Error then */
  private async within<T>(work: Promise<T>, one: Running): Promise<T> {
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<never>((_, reject) => {
      timer = setTimeout(() => {
        this.kill(one);
        reject(new Error('The browser does not answer.'));
      }, this.limits.patienceMs);
    });
    try {
      return await Promise.race([work, late]);
    } finally {
      clearTimeout(timer);
      // What comes late has nobody who waits for it.
      work.catch(() => undefined);
    }
  }

  /** It hangs: its process ends at once, and with it all that it started. */
  private kill(one: Running): void {
    one.isRetired = true;
    if (one.pid === null) return;
    try {
      process.kill(one.pid, 'SIGKILL');
    } catch {
      // It has ended by itself.
    }
  }
}

/** Of the browser's first process. */
async function pidOf(browser: Browser): Promise<number | null> {
  const session = await browser.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  await session.detach();
  return processInfo.find(({ type }) => type === 'browser')?.id ?? null;
}
