/**
 * Opens one page in a browser as a phone would, waits until it has settled, and notes what a student sees. It judges
 * nothing. Nothing is shared between two views, and nothing of a page is left behind.
 */
import type { BrowserContext, BrowserContextOptions, Page, Request } from 'playwright-core';
import type { Hop, ViewStop } from '@hapset/core';
import type { Pass } from './guarding-proxy.js';
import { PageWorlds, type SeenFrames } from './page-worlds.js';

export interface ViewLimits {
  readonly totalMs: number;
  readonly requests: number;
  readonly bytes: number;
  /** Pages that scripts may lead on to. */
  readonly pageChanges: number;
  /** From when on nothing changes and nothing loads. */
  readonly quietMs: number;
  /** A page with text is watched so long for what comes over it; a page with little text may still be loading. */
  readonly watchedMs: number;
  readonly watchedShortMs: number;
}
export const viewLimits: ViewLimits = {
  totalMs: 12_000,
  requests: 400,
  bytes: 20_000_000,
  pageChanges: 3,
  quietMs: 700,
  watchedMs: 2500,
  watchedShortMs: 4500,
};
const lookEveryMs = 200;
/** Of the looks that there was time for; below it the browser or this server was busy with other things. */
const leastLooks = 0.6;
/** So many looks in a row at which nothing has changed. */
const looksAlike = 3;
/** For the last look and the picture, of the whole. */
const pictureMs = 3000;
const loadingMs = 3000;
const shortCharacters = 400;
/** Text that is more than a skeleton. */
const contentCharacters = 40;
const phone = { width: 390, height: 844 };
const pictureBytes = 60_000;

export interface View {
  /** Null where the page could not be read at all. */
  readonly frames: SeenFrames | null;
  readonly address: string;
  /** HTTP status of the last document; null where none came. */
  readonly status: number | null;
  readonly contentType: string;
  /** Pages on the way, as far as scripts led to them. */
  readonly hops: readonly Hop[];
  readonly stoppedBy: ViewStop | null;
  readonly contentAfterMs: number | null;
  /** The page was looked at far less often than planned: this server was busy, and there may be more to see. */
  readonly hurried: boolean;
  readonly requests: number;
  readonly failedRequests: number;
  readonly downloads: number;
  /** JPEG, at most 60,000 bytes; null where none could be taken. */
  readonly picture: Buffer | null;
}

/** @param version of the browser. @param language RFC 5646 */
export function contextOptions(version: string, language: string, proxy: string, pass: Pass): BrowserContextOptions {
  const [major = ''] = version.split('.');
  return {
    proxy: { server: proxy, bypass: '<-loopback>', username: pass.username, password: pass.password },
    viewport: phone,
    screen: phone,
    isMobile: true,
    hasTouch: true,
    deviceScaleFactor: 1,
    locale: language,
    userAgent: `Mozilla/5.0 (Linux; Android 10; K) AppleWebKit/537.36 (KHTML, like Gecko) Chrome/${major}.0.0.0 Mobile Safari/537.36 HapsetAccessCheck/1.0`,
    serviceWorkers: 'block',
    acceptDownloads: false,
    permissions: [],
    reducedMotion: 'reduce',
  };
}

/** Runs in the page itself: closed shadow roots are seen too, and nothing is printed. */
const beforePage = `
  const attach = Element.prototype.attachShadow;
  Element.prototype.attachShadow = function (options) { return attach.call(this, { ...options, mode: 'open' }); };
  window.print = () => undefined;
`;

/** @param stop ends it with what is there */
export async function viewPage(
  context: BrowserContext,
  link: string,
  { limits, stop, pass }: { readonly limits: ViewLimits; readonly stop: AbortSignal; readonly pass: Pass },
): Promise<View> {
  const viewing = new Viewing(link, limits, pass);
  return viewing.run(context, stop);
}

class Viewing {
  private readonly startedAt = performance.now();
  /** The page is watched from when it came: on a busy server, that alone may take seconds. */
  private cameAt = 0;
  private readonly hops: Hop[] = [];
  /** Since when. What takes longer than a while waits for news, as chats do. */
  private readonly loading = new Map<Request, number>();
  private page: Page | null = null;
  private status: number | null = null;
  private contentType = '';
  private requests = 0;
  private failedRequests = 0;
  private downloads = 0;
  private changes = 0;
  private looks = 0;
  private stoppedBy: ViewStop | null = null;
  private contentAfterMs: number | null = null;

  constructor(
    private readonly link: string,
    private readonly limits: ViewLimits,
    private readonly pass: Pass,
  ) {}

  async run(context: BrowserContext, stop: AbortSignal): Promise<View> {
    await context.addInitScript(beforePage);
    const page = await context.newPage();
    this.page = page;
    this.listen(context, page);
    const { signal, end } = this.deadline(stop);
    let frames: SeenFrames | null = null;
    let picture: Buffer | null = null;
    try {
      await until(signal, page.goto(this.link, { waitUntil: 'commit', timeout: this.limits.totalMs }));
      this.cameAt = performance.now();
      const worlds = await until(signal, PageWorlds.of(page));
      await this.settle(worlds, signal);
      frames = await until(signal, worlds.see());
      picture = await until(signal, takePicture(page));
    } catch (error) {
      // The browser's end is not the page's fault: somebody opens it again.
      if (context.browser()?.isConnected() !== true) throw error;
      // It never answered, was stopped, or hangs in its own scripts: what is known by now is what there is.
      this.stoppedBy ??= signal.aborted ? 'time' : null;
    } finally {
      end();
    }
    return {
      frames,
      picture,
      address: page.url(),
      status: this.status,
      contentType: this.contentType,
      hops: this.hops,
      stoppedBy: this.stoppedBy,
      contentAfterMs: this.contentAfterMs,
      hurried: this.looks * lookEveryMs < leastLooks * (performance.now() - this.startedAt),
      requests: this.requests,
      failedRequests: this.failedRequests,
      downloads: this.downloads,
    };
  }

  private deadline(stop: AbortSignal): { readonly signal: AbortSignal; readonly end: () => void } {
    const over = new AbortController();
    const abort = (): void => over.abort();
    const timer = setTimeout(abort, this.limits.totalMs);
    stop.addEventListener('abort', abort, { once: true });
    if (stop.aborted) abort();
    const end = (): void => {
      clearTimeout(timer);
      stop.removeEventListener('abort', abort);
    };
    return { signal: over.signal, end };
  }

  private listen(context: BrowserContext, page: Page): void {
    // A second window is nothing that a student stays on.
    context.on('page', (other) => void (other === page || other.close().catch(() => undefined)));
    page.on('dialog', (dialog) => void dialog.dismiss().catch(() => undefined));
    page.on('download', (download) => {
      this.downloads += 1;
      download.cancel().catch(() => undefined);
    });
    page.on('request', (request) => this.began(request, page));
    page.on('requestfinished', (request) => void this.loading.delete(request));
    page.on('requestfailed', (request) => {
      this.loading.delete(request);
      this.failedRequests += 1;
    });
    page.on('response', (response) => {
      const request = response.request();
      if (!isDocumentOf(request, page)) return;
      this.status = response.status();
      this.contentType = (response.headers()['content-type']?.split(';')[0] ?? '').trim().toLowerCase();
      this.hops.push({ address: response.url(), status: response.status(), elapsedMs: this.elapsedMs() });
    });
  }

  private began(request: Request, page: Page): void {
    this.requests += 1;
    if (!/^(?:media|websocket|eventsource|ping)$/.test(request.resourceType()))
      this.loading.set(request, performance.now());
    if (isDocumentOf(request, page) && request.redirectedFrom() === null) this.changes += 1;
    if (this.requests > this.limits.requests) this.halt('requests');
    else if (this.changes > this.limits.pageChanges + 1) this.halt('page-changes');
  }

  /** Nothing more comes through; what is there can still be seen. */
  private halt(reason: ViewStop): void {
    this.stoppedBy ??= reason;
    this.pass.close();
  }

  private async settle(worlds: PageWorlds, signal: AbortSignal): Promise<void> {
    const stillness = new Stillness();
    let isPrimed = false;
    while (this.elapsedMs() < this.limits.totalMs - pictureMs && this.stoppedBy === null) {
      if (this.pass.isOver) this.stoppedBy ??= 'bytes';
      const pulse = await this.pulse(worlds, signal);
      this.looks += 1;
      const now = performance.now();
      stillness.note(pulse, this.isLoading(now), now);
      if (!isPrimed && /^(?:interactive|complete)/.test(pulse)) {
        isPrimed = true;
        await until(signal, worlds.primePlayers()).catch(() => undefined);
      }
      if (this.isWatched(pulse, now) && stillness.lastsMs(now) >= this.limits.quietMs) return;
      await until(signal, new Promise((resolve) => setTimeout(resolve, lookEveryMs)));
    }
    this.stoppedBy ??= 'time';
  }

  /** Another one each time while the page is between two documents. */
  private async pulse(worlds: PageWorlds, signal: AbortSignal): Promise<string> {
    try {
      return await until(signal, worlds.pulse());
    } catch (error) {
      if (signal.aborted) throw error;
      return `between ${performance.now()}`;
    }
  }

  /** Whether it has been watched for as long as pages with so much text are. */
  private isWatched(pulse: string, now: number): boolean {
    const characters = Number(pulse.split(' ')[2] ?? 0);
    if (characters >= contentCharacters) this.contentAfterMs ??= this.elapsedMs();
    const { watchedMs, watchedShortMs } = this.limits;
    return now - this.cameAt >= (characters < shortCharacters ? watchedShortMs : watchedMs);
  }

  private isLoading(now: number): boolean {
    return [...this.loading.values()].some((since) => now - since < loadingMs);
  }

  private elapsedMs(): number {
    return Math.round(performance.now() - this.startedAt);
  }
}

/** For how long nothing has changed and nothing was loading. */
class Stillness {
  private last = '';
  private since = performance.now();
  private alike = 0;

  note(pulse: string, isLoading: boolean, now: number): void {
    const isSame = pulse === this.last && !isLoading;
    this.last = pulse;
    this.alike = isSame ? this.alike + 1 : 0;
    if (!isSame) this.since = now;
  }

  /** Nothing until it was seen a few times: each look gives the page's scripts a turn, however slowly turns come. */
  lastsMs(now: number): number {
    return this.alike < looksAlike ? 0 : now - this.since;
  }
}

function isDocumentOf(request: Request, page: Page): boolean {
  return request.isNavigationRequest() && request.frame() === page.mainFrame();
}

/** As much as fits: a busy page is taken more coarsely. */
async function takePicture(page: Page): Promise<Buffer | null> {
  for (const quality of [70, 45, 25, 10]) {
    const picture = await page.screenshot({
      type: 'jpeg',
      quality,
      clip: { x: 0, y: 0, ...phone },
      animations: 'disabled',
      caret: 'hide',
      timeout: pictureMs,
    });
    if (picture.length <= pictureBytes) return picture;
  }
  return null;
}

/** @throws Error when the signal fires first */
async function until<T>(signal: AbortSignal, work: Promise<T>): Promise<T> {
  let abort = (): void => undefined;
  const aborted = new Promise<never>((_, reject) => {
    abort = () => reject(new Error('The view was stopped.'));
    signal.addEventListener('abort', abort, { once: true });
    if (signal.aborted) abort();
  });
  try {
    return await Promise.race([work, aborted]);
  } finally {
    signal.removeEventListener('abort', abort);
    work.catch(() => undefined);
  }
}
