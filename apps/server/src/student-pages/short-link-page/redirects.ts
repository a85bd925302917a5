/**
 * Answers short links before the framework hears of them: one look into a map, one header. Only stored targets are
 * redirected to; nothing of the request gets into the answer.
 */
import type { IncomingMessage, ServerResponse } from 'node:http';
import { Injectable } from '@nestjs/common';
import { isSlug, openStateAt, slugAskedFor, visitorKind } from '@hapset/core';
import { isbot } from 'isbot';
import { chosenLanguage } from '../../platform/language/asked-language.js';
import { Clock } from '../../platform/clock/clock.js';
import { TryoutService } from '../../reads/tryout-results/tryout.service.js';
import { OpensCounter } from '../../code/short-link/opens-counter.js';
import { RedirectTable, type Redirect } from '../../code/short-link/redirect-table.js';
import { ShortLinkPages } from './short-link-pages.js';
import { UnknownShortLinks } from './unknown-short-links.js';

@Injectable()
export class Redirects {
  constructor(
    private readonly table: RedirectTable,
    private readonly counter: OpensCounter,
    private readonly tryouts: TryoutService,
    private readonly pages: ShortLinkPages,
    private readonly unknown: UnknownShortLinks,
    private readonly clock: Clock,
  ) {}

  /** @returns false where the request asks for something else: then nothing was done */
  answer(request: IncomingMessage, response: ServerResponse): boolean {
    const { url = '' } = request;
    const host = (request.headers.host ?? '').toLowerCase();
    const atRoot = this.isShortHost(host);
    if (!(atRoot || isUnderK(url)) || !reads(request)) return false;
    if (sendTyped(url, response)) return true;
    const slug = slugAskedFor(url, atRoot);
    if (slug === null) return false;
    const found = this.table.get(slug);
    if (found) this.lead(found, request, response);
    // Where the application answers under the same name, its pages keep their addresses.
    else if (atRoot && this.isPageOfOurs(slug, host, url)) return false;
    else this.unknown.answer(slug, request, response, (late) => this.lead(late, request, response));
    return true;
  }

  private isPageOfOurs(slug: string, host: string, url: string): boolean {
    return !isSlug(slug) && host === this.table.school?.ownHost && !/^\/k\//i.test(url);
  }

  /** Of the school's short links, with or without a port. */
  private isShortHost(host: string): boolean {
    const hosts = this.table.school?.hosts;
    return hosts !== undefined && hosts.size > 0 && (hosts.has(host) || hosts.has(host.replace(/:\d+$/, '')));
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
}

function reads({ method }: IncomingMessage): boolean {
  return method === 'GET' || method === 'HEAD';
}

/** Somebody typed the letters of a short link into the field for them. @returns false where nobody did */
function sendTyped(url: string, response: ServerResponse): boolean {
  const typed = /^\/k\/\?s=([^&#]*)/i.exec(url)?.[1];
  if (typed === undefined) return false;
  const language = chosenLanguage(url);
  const location = `/K/${typed.replace(/\+/g, '%20').slice(0, 60)}${language ? `?lang=${language.tag}` : ''}`;
  response.writeHead(303, { Location: location, 'Content-Length': 0 }).end();
  return true;
}

const slash = 47;

/** Below /K/ or /k/; looked at for every request, so without an expression. */
function isUnderK(url: string): boolean {
  return url.charCodeAt(2) === slash && (url.startsWith('/K') || url.startsWith('/k'));
}

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
