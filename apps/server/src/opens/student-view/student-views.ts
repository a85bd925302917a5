/** Pages as students see them: one browser and one guarded way out for this server, both made when they are needed. */
import { Inject, Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { hostNameOf, type DrawnView, type PageLink } from '@hapset/core';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { AddressGuard } from '../student-browser/address-guard.js';
import { Chromium, NoBrowserError } from './chromium.js';
import { GuardingProxy } from './guarding-proxy.js';
import { readSeenPage, type SeenPage } from './seen-page.js';
import { contextOptions, viewLimits, viewPage, type View, type ViewLimits } from './view-page.js';

/** Where a browser did not start, it is tried again after so long. */
const restMs = 10 * 60_000;
/** What a folder holds is seen while other pages wait for their turn. */
const pagesAtOnce = 2;
/** So many times as long as usual for a page that had no time. */
const patience = 3;
/** As plain checks ask for it. */
const language = 'en-GB';

export interface StudentView {
  /** Null where nothing of the page could be read. */
  readonly drawn: DrawnView | null;
  readonly links: readonly PageLink[];
  /** JPEG of the first screen; null where none could be taken. */
  readonly picture: Buffer | null;
}

@Injectable()
export class StudentViews implements BeforeApplicationShutdown {
  private readonly guard: AddressGuard;
  private proxy: GuardingProxy | null = null;
  private browser: Chromium | null = null;
  private begun: Promise<{ readonly browser: Chromium; readonly address: string }> | null = null;
  private restsUntil = 0;
  private readonly waiting: (() => void)[] = [];
  private taken = 0;
  /** Tests put narrower ones in their place, and do without the sandbox that root can't have. */
  limits: ViewLimits = viewLimits;
  sandbox = true;

  constructor(
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {
    this.guard = new AddressGuard(configuration.trustedHosts);
  }

  /** Why there are no views; null where there are. */
  get missing(): 'no-browser' | 'does-not-start' | null {
    if (this.configuration.chromiumProgram === null) return 'no-browser';
    return Date.now() < this.restsUntil ? 'does-not-start' : null;
  }

  /** Process ids of the browsers that run now; tests look at them. */
  get pids(): readonly number[] {
    return this.browser?.pids ?? [];
  }

  /**
   * @param ownAddresses of the school's server: a browser never gets there
   * @returns null without a browser
   */
  async see(link: string, ownAddresses: readonly string[], stop: AbortSignal): Promise<StudentView | null> {
    if (this.missing !== null) return null;
    await this.turn();
    try {
      return await this.open(link, ownAddresses, stop);
    } finally {
      this.taken -= 1;
      this.waiting.shift()?.();
    }
  }

  private async turn(): Promise<void> {
    if (this.taken >= pagesAtOnce) await new Promise<void>((resolve) => this.waiting.push(resolve));
    this.taken += 1;
  }

  private async open(link: string, ownAddresses: readonly string[], stop: AbortSignal): Promise<StudentView | null> {
    try {
      const ownHosts = new Set(ownAddresses.flatMap((own) => hostNameOf(own)?.replace(/^\[|\]$/g, '') ?? []));
      const view = await this.openOnce(link, ownHosts, { limits: this.limits, stop });
      if (!wantsMoreTime(view) || stop.aborted) return toStudentView(view);
      const patient = { ...this.limits, totalMs: patience * this.limits.totalMs };
      return toStudentView(await this.openOnce(link, ownHosts, { limits: patient, stop }));
    } catch (error) {
      if (!(error instanceof NoBrowserError)) throw error;
      this.restsUntil = Date.now() + restMs;
      this.logger.warn({ err: error.cause ?? error }, 'pages can’t be seen as students see them');
      return null;
    }
  }

  private async openOnce(
    link: string,
    ownHosts: ReadonlySet<string>,
    { limits, stop }: { readonly limits: ViewLimits; readonly stop: AbortSignal },
  ): Promise<View> {
    const { browser, address } = await this.begin();
    const pass = this.requireProxy().open({ ownHosts, bytesAtMost: limits.bytes });
    try {
      return await browser.withContext(
        (version) => contextOptions(version, language, address, pass),
        (context) => viewPage(context, link, { limits, stop, pass }),
      );
    } finally {
      pass.close();
    }
  }

  async beforeApplicationShutdown(): Promise<void> {
    await this.browser?.stop();
    await this.proxy?.stop();
  }

  private begin(): Promise<{ readonly browser: Chromium; readonly address: string }> {
    this.begun ??= this.requireProxy()
      .start()
      .then((address) => {
        this.browser = new Chromium({
          program: this.configuration.chromiumProgram,
          proxy: address,
          logger: this.logger,
          sandbox: this.sandbox,
        });
        return { browser: this.browser, address };
      });
    return this.begun;
  }

  private requireProxy(): GuardingProxy {
    this.proxy ??= new GuardingProxy(this.guard);
    return this.proxy;
  }
}

/** Its time was over before anything was drawn or read, or this server was too busy to look: there may be more to see. */
function wantsMoreTime({ stoppedBy, contentAfterMs, frames, hurried }: View): boolean {
  return stoppedBy === 'time' && (contentAfterMs === null || frames === null || hurried);
}

/** Of a page that leads on and on. */
const nothingSeen: SeenPage = {
  facts: { title: '', firstLines: [], visibleCharacters: 0, forms: [], scripts: 0, refreshTo: null },
  links: [],
  headings: [],
  layerShare: 0,
};

function toStudentView(view: View): StudentView {
  const seen = view.frames ? readSeenPage(view.frames) : view.stoppedBy === 'page-changes' ? nothingSeen : null;
  if (!seen) return { drawn: null, links: [], picture: null };
  const { facts: page, links, headings, layerShare } = seen;
  const { address, status, contentType, hops, contentAfterMs, stoppedBy, requests, failedRequests, downloads } = view;
  const facts = { contentAfterMs, stoppedBy, requests, failedRequests, downloads, layerShare, headings };
  return { drawn: { address, status, contentType, hops, page, facts }, links, picture: view.picture };
}
