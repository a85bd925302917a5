/**
 * Answers short links before the framework hears of them: one look into a map, one header. Only stored targets are
 * redirected to; nothing of the request gets into the answer.
 */
import type { IncomingMessage, ServerResponse } from 'node:http';
import { Inject, Injectable } from '@nestjs/common';
import { isSlug, openStateAt, slipsOf, slugAskedFor, visitorKind } from '@hapset/core';
import { isbot } from 'isbot';
import { Clock } from '../../platform/clock/clock.js';
import { TryoutService } from '../../reads/tryout/tryout.service.js';
import { AttemptWindow } from '../../school/visitor/attempt-window.js';
import { VisitorAddress } from '../../school/visitor/visitor-address.js';
import { LOGGER, type AppLogger } from '../../platform/logging/logger.token.js';
import { MissCounter } from '../../code/short-link/miss-counter.js';
import { MissWindow } from '../../code/short-link/miss-window.js';
import { OpensCounter } from '../../code/short-link/opens-counter.js';
import { RedirectTable, type Redirect } from '../../code/short-link/redirect-table.js';
import { ShortLinkPages } from './short-link-pages.js';

@Injectable()
export class Redirects {
  private readonly hints = new AttemptWindow();
  private readonly misses = new MissWindow();
  /** Answers that are held back just now. */
  private held = 0;

  constructor(
    private readonly table: RedirectTable,
    private readonly counter: OpensCounter,
    private readonly tryouts: TryoutService,
    private readonly pages: ShortLinkPages,
    private readonly addresses: VisitorAddress,
    private readonly missCounter: MissCounter,
    private readonly clock: Clock,
    @Inject(LOGGER) private readonly logger: AppLogger,
  ) {}

  /** @returns false where the request asks for something else: then nothing was done */
  answer(request: IncomingMessage, response: ServerResponse): boolean {
    const { url = '', method } = request;
    const host = (request.headers.host ?? '').toLowerCase();
    const { school } = this.table;
    const atRoot =
      school !== null &&
      school.hosts.size > 0 &&
      (school.hosts.has(host) || school.hosts.has(host.replace(/:\d+$/, '')));
    if (!atRoot && !(url.charCodeAt(2) === slash && (url.startsWith('/K') || url.startsWith('/k')))) return false;
    if (method !== 'GET' && method !== 'HEAD') return false;
    const typed = /^\/k\/\?s=([^&#]*)/i.exec(url)?.[1];
    if (typed !== undefined) {
      response
        .writeHead(303, { Location: `/K/${typed.replace(/\+/g, '%20').slice(0, 60)}`, 'Content-Length': 0 })
        .end();
      return true;
    }
    const slug = slugAskedFor(url, atRoot);
    if (slug === null) return false;
    const found = this.table.get(slug);
    if (found) this.lead(found, request, response);
    // Where the application answers under the same name, its pages keep their addresses.
    else if (atRoot && !isSlug(slug) && host === school.ownHost && !/^\/k\//i.test(url)) return false;
    else this.lookBehind(slug, request, response).catch((error: unknown) => this.failed(error, response));
    return true;
  }

  private lead(found: Redirect, request: IncomingMessage, response: ServerResponse): void {
    const now = this.clock.now().getTime();
    if (found.target === null) return this.pages.gone(response);
    if (found.opening !== null) {
      const state = openStateAt(found.opening, now, this.table.school?.timeZone ?? 'UTC');
      if (!state.open) return this.pages.closed(response, state.reason);
    }
    response
      .writeHead(302, {
        Location: found.target,
        'Cache-Control': 'no-store',
        'Referrer-Policy': 'no-referrer',
        'Content-Length': 0,
      })
      .end();
    this.note(found, request, now);
  }

  /** Robots, previews of messengers and browsers that look ahead are no students. */
  private note(found: Redirect, { method, headers }: IncomingMessage, now: number): void {
    const agent = headers['user-agent'] ?? '';
    if (method !== 'GET' || agent === '' || isAhead(headers) || isRobot(agent)) return;
    const mobile = headers['sec-ch-ua-mobile'];
    const visitor = visitorKind(agent, typeof mobile === 'string' ? mobile : undefined);
    this.counter.count(found.slug, visitor, now);
    if (found.trying && found.materialId !== null && now < found.trying.until)
      this.tryouts.seen(found.materialId, visitor, now - found.trying.since, found.kept);
  }

  /** It may have been made a moment ago by another server; else a slip is named, if there is but one that it can be. */
  private async lookBehind(slug: string, request: IncomingMessage, response: ServerResponse): Promise<void> {
    const address = this.addresses.of(request);
    const mayHint = this.hints.take(address, this.clock.now().getTime()) === 0;
    const found = mayHint && isSlug(slug) ? await this.table.find(slug) : undefined;
    if (found) return this.lead(found, request, response);
    const waitMs = this.misses.add(address, this.clock.now().getTime());
    this.missCounter.count(waitMs > 0);
    if (waitMs > 0) return this.answerSlowly(slug, waitMs, request, response);
    const slips = mayHint ? slipsOf(slug).filter((slip) => this.table.get(slip)?.target != null) : [];
    this.pages.unknown(response, slips.length === 1 ? (slips[0] ?? null) : null);
  }

  /** Holds the answer back; where too many are held already, says so at once. What was made meanwhile leads on after all. */
  private answerSlowly(slug: string, waitMs: number, request: IncomingMessage, response: ServerResponse): void {
    if (this.held >= heldAtMost) return this.pages.tooMany(response);
    this.held += 1;
    const timer = setTimeout(() => {
      const found = this.table.get(slug);
      if (found) this.lead(found, request, response);
      else this.pages.tooMany(response);
    }, waitMs).unref();
    response.once('close', () => {
      clearTimeout(timer);
      this.held -= 1;
    });
  }

  private failed(error: unknown, response: ServerResponse): void {
    this.logger.error({ err: error }, 'could not answer a short link');
    if (!response.headersSent) this.pages.away(response);
  }
}

const slash = 47;
const heldAtMost = 200;

function isAhead(headers: IncomingMessage['headers']): boolean {
  return /prefetch|preview|prerender/i.test(
    `${String(headers['sec-purpose'] ?? '')} ${String(headers.purpose ?? '')} ${String(headers['x-purpose'] ?? '')} ${String(headers['x-moz'] ?? '')}`,
  );
}

/** The same few agents open links all day: what is known of them is kept. */
const robots = new Map<string, boolean>();
const robotsKept = 2000;

function isRobot(agent: string): boolean {
  const known = robots.get(agent);
  if (known !== undefined) return known;
  if (robots.size >= robotsKept) robots.clear();
  const found = isbot(agent);
  robots.set(agent, found);
  return found;
}
