/**
 * Short links that this server does not know. A slip of the finger gets a hint; whoever tries many in a row is answered
 * later and later, so that guessing does not pay, and a class that typed one letter wrong does not notice.
 */
import type { IncomingMessage, ServerResponse } from 'node:http';
import { Inject, Injectable } from '@nestjs/common';
import { isSlug, slipsOf } from '@hapset/core';
import { MissCounter } from '../../code/short-link/miss-counter.js';
import { MissWindow } from '../../code/short-link/miss-window.js';
import { RedirectTable, type Redirect } from '../../code/short-link/redirect-table.js';
import { Clock } from '../../platform/clock/clock.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { AttemptWindow } from '../../school/visitor/attempt-window.js';
import { VisitorAddress } from '../../school/visitor/visitor-address.js';
import { ShortLinkPages } from './short-link-pages.js';

const heldAtMost = 200;

/** Leads on to one that was made meanwhile. */
type Lead = (found: Redirect) => void;

@Injectable()
export class UnknownShortLinks {
  private readonly hints = new AttemptWindow();
  private readonly misses = new MissWindow();
  /** Answers that are held back just now. */
  private held = 0;

  constructor(
    private readonly table: RedirectTable,
    private readonly pages: ShortLinkPages,
    private readonly addresses: VisitorAddress,
    private readonly missCounter: MissCounter,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {}

  answer(slug: string, request: IncomingMessage, response: ServerResponse, lead: Lead): void {
    this.lookBehind(slug, request, response, lead).catch((error: unknown) => {
      this.logger.error({ err: error }, 'could not answer a short link');
      if (!response.headersSent) this.pages.away(response);
    });
  }

  /** It may have been made a moment ago by another server; else a slip is named, if there is but one that it can be. */
  private async lookBehind(
    slug: string,
    request: IncomingMessage,
    response: ServerResponse,
    lead: Lead,
  ): Promise<void> {
    const address = this.addresses.find(request);
    const mayHint = this.hints.take(address, this.clock.now().getTime()) === 0;
    const found = mayHint && isSlug(slug) ? await this.table.find(slug) : undefined;
    if (found) return lead(found);
    const waitMs = this.misses.add(address, this.clock.now().getTime());
    this.missCounter.count(waitMs > 0);
    if (waitMs > 0) return this.answerSlowly(slug, waitMs, response, lead);
    const slips = mayHint ? slipsOf(slug).filter((slip) => this.table.get(slip)?.target != null) : [];
    this.pages.unknown(response, slips.length === 1 ? (slips[0] ?? null) : null);
  }

  /** Holds the answer back; where too many are held already, says so at once. What was made meanwhile leads on after all. */
  private answerSlowly(slug: string, waitMs: number, response: ServerResponse, lead: Lead): void {
    if (this.held >= heldAtMost) return this.pages.tooMany(response);
    this.held += 1;
    const timer = setTimeout(() => {
      const found = this.table.get(slug);
      if (found) lead(found);
      else this.pages.tooMany(response);
    }, waitMs).unref();
    response.once('close', () => {
      clearTimeout(timer);
      this.held -= 1;
    });
  }
}
