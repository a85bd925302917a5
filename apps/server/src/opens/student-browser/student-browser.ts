/**
 * Opens a link as a student would who is not signed in anywhere: follows redirects itself, keeps cookies for this one
 * opening, reads the page, and writes down what happened. It judges nothing.
 */
import {
  isOwnPublicPage,
  leadsOn,
  type Ending,
  type Evidence,
  type FinalPage,
  type Hop,
  type PageLink,
  parseUrl,
} from '@hapset/core';
import { setTimeout as wait } from 'node:timers/promises';
import { CookieJar } from 'tough-cookie';
import { Agent, fetch, type Response } from 'undici';
import { ownConnector, type AddressGuard } from './address-guard.js';
import { readPage } from './page-facts.js';

export interface OpeningLimits {
  readonly hops: number;
  readonly totalMs: number;
  readonly bodyBytes: number;
}
export const openingLimits: OpeningLimits = { hops: 10, totalMs: 10_000, bodyBytes: 512 * 1024 };
/** A server that is busy and says for how long is asked once more, if that is soon. */
const longestRetryMs = 4000;

const headers = {
  'User-Agent': 'Mozilla/5.0 (compatible; HapsetAccessCheck/1.0)',
  Accept: 'text/html,application/xhtml+xml,*/*;q=0.8',
  'Accept-Language': 'en',
};

export interface Opened {
  readonly evidence: Evidence;
  /** The links of the page at the end. */
  readonly links: readonly PageLink[];
  /** Its bytes, where a picture came whole; null otherwise. */
  readonly picture: Buffer | null;
}

export class StudentBrowser {
  constructor(
    private readonly guard: AddressGuard,
    private readonly limits: OpeningLimits = openingLimits,
  ) {}

  /**
   * Never throws for what a link does; every ending is evidence.
   * @param publicAddress the school's own: its pages for students pass the guard, and nothing else there
   */
  async open(link: string, stop?: AbortSignal, publicAddress: string | null = null): Promise<Evidence> {
    return (await this.openPage(link, stop, publicAddress)).evidence;
  }

  /** The same, with the links of the page at the end. */
  async openPage(link: string, stop?: AbortSignal, publicAddress: string | null = null): Promise<Opened> {
    const opening = new Opening(link, this.limits, this.guard, publicAddress);
    // A timer of its own: signals that are made of others (AbortSignal.any, Node 20) can be lost to the garbage collector.
    const over = new AbortController();
    const end = (): void => over.abort();
    const timer = setTimeout(end, this.limits.totalMs);
    stop?.addEventListener('abort', end, { once: true });
    if (stop?.aborted) end();
    try {
      return await opening.run(over.signal);
    } finally {
      clearTimeout(timer);
      stop?.removeEventListener('abort', end);
      opening.close();
    }
  }
}

/** One opening: its hops so far, its cookies, its clock. */
class Opening {
  private readonly hops: Hop[] = [];
  private readonly jar = new CookieJar(undefined, { rejectPublicSuffixes: false });
  private readonly startedAt = performance.now();
  private readonly agents = new Map<boolean, Agent>();
  private links: readonly PageLink[] = [];
  private picture: Buffer | null = null;
  private waitedMs = 0;
  private retried = false;

  constructor(
    private readonly asked: string,
    private readonly limits: OpeningLimits,
    private readonly guard: AddressGuard,
    private readonly publicAddress: string | null,
  ) {}

  /** Ends what connections are left; nobody need wait for it. */
  close(): void {
    for (const agent of this.agents.values()) agent.destroy().catch(() => undefined);
  }

  /** One for the web behind the guard, one for the school's own pages; made when they are needed. */
  private agentFor(address: string): Agent {
    const own = this.isOwn(address);
    const agent =
      this.agents.get(own) ??
      new Agent({
        connect: own ? ownConnector() : this.guard.connector(),
        connections: 1,
        headersTimeout: this.limits.totalMs,
        bodyTimeout: this.limits.totalMs,
      });
    this.agents.set(own, agent);
    return agent;
  }

  async run(signal: AbortSignal): Promise<Opened> {
    let address = this.asked;
    for (let count = 0; count <= this.limits.hops; count += 1) {
      if (!isWeb(address)) return this.end('not-a-web-address', address);
      const began = performance.now();
      try {
        const response = await this.request(address, this.agentFor(address), signal);
        this.hops.push({
          address,
          status: response.status,
          elapsedMs: since(began),
          ...(this.isPlain(address) && { plain: true }),
        });
        const redirect = redirectTarget(response, address) ?? (await this.retryTarget(response, address, signal));
        if (redirect !== null) {
          await response.body?.cancel();
          address = redirect;
          continue;
        }
        const final = await this.readFinal(response, address, signal);
        const onward = final.status === 200 && final.page ? leadsOn(final.page) : null;
        if (onward === null) return this.evidence('answered', final);
        address = onward;
      } catch (error) {
        this.hops.push({ address, status: null, elapsedMs: since(began) });
        return this.evidence(endingOf(error, signal), null);
      }
    }
    return this.evidence('too-many-redirects', null);
  }

  /** The same address once more, after waiting as long as the server asked for (RFC 9110, 10.2.3). */
  private async retryTarget(response: Response, address: string, signal: AbortSignal): Promise<string | null> {
    const seconds = Number(response.headers.get('retry-after') ?? NaN);
    if (
      (response.status !== 429 && response.status !== 503) ||
      this.retried ||
      !(seconds >= 0 && seconds * 1000 <= longestRetryMs)
    )
      return null;
    this.retried = true;
    this.waitedMs += seconds * 1000;
    await wait(seconds * 1000, undefined, { signal });
    return address;
  }

  private isPlain(address: string): boolean {
    const { protocol, hostname, port } = new URL(address);
    return protocol === 'http:' && !this.guard.isTrusted(hostname, port || '80') && !this.isOwn(address);
  }

  private isOwn(address: string): boolean {
    return this.publicAddress !== null && isOwnPublicPage(address, this.publicAddress);
  }

  private async request(address: string, agent: Agent, signal: AbortSignal): Promise<Response> {
    const cookie = await this.jar.getCookieString(address);
    const response = await fetch(withoutUser(address), {
      dispatcher: agent,
      redirect: 'manual',
      signal,
      headers: { ...headers, ...(cookie !== '' && { Cookie: cookie }) },
    });
    for (const line of response.headers.getSetCookie()) await this.jar.setCookie(line, address, { ignoreError: true });
    return response;
  }

  private async readFinal(response: Response, address: string, signal: AbortSignal): Promise<FinalPage> {
    const { contentType, charset } = contentTypeOf(response);
    const { body, cut } = await readBody(response, this.limits.bodyBytes, signal);
    const attachment = /^\s*attachment\b/i.test(response.headers.get('content-disposition') ?? '');
    const read = isHtml(contentType) && !attachment ? readPage(body, address, charset) : null;
    this.links = read?.links ?? [];
    this.picture = contentType.startsWith('image/') && !cut && response.status === 200 ? body : null;
    return {
      address,
      status: response.status,
      contentType,
      sizeBytes: body.length,
      cut,
      ...(attachment && { attachment }),
      page: read?.facts ?? null,
    };
  }

  private end(ending: Ending, address: string): Opened {
    this.hops.push({ address, status: null, elapsedMs: 0 });
    return this.evidence(ending, null);
  }

  private evidence(ending: Ending, final: FinalPage | null): Opened {
    return {
      evidence: { asked: this.asked, hops: this.hops, ending, final, elapsedMs: since(this.startedAt) - this.waitedMs },
      links: this.links,
      picture: this.picture,
    };
  }
}

/** Media type in small letters, '' where none is named, and the charset that goes with it (RFC 9110, 8.3). */
function contentTypeOf(response: Response): { readonly contentType: string; readonly charset: string | null } {
  const header = response.headers.get('content-type') ?? '';
  return {
    contentType: (header.split(';')[0] ?? '').trim().toLowerCase(),
    charset: /charset\s*=\s*"?([^";\s]+)/i.exec(header)?.[1] ?? null,
  };
}

function isHtml(contentType: string): boolean {
  return contentType === 'text/html' || contentType === 'application/xhtml+xml';
}

function isWeb(address: string): boolean {
  const url = parseUrl(address);
  return url !== null && (url.protocol === 'http:' || url.protocol === 'https:') && url.hostname !== '';
}

/** A name and password in an address say nothing about where it leads, and a student has none. */
function withoutUser(address: string): string {
  const url = new URL(address);
  [url.username, url.password] = ['', ''];
  return url.href;
}

function redirectTarget(response: Response, address: string): string | null {
  const location = response.headers.get('location');
  if (![301, 302, 303, 307, 308].includes(response.status) || location === null) return null;
  return parseUrl(location, address)?.href ?? location;
}

/** Reads at most `limit` bytes, counted after decompression, and gives up the rest. */
async function readBody(
  response: Response,
  limit: number,
  signal: AbortSignal,
): Promise<{ body: Buffer; cut: boolean }> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  if (!response.body) return { body: Buffer.alloc(0), cut: false };
  for await (const chunk of response.body as AsyncIterable<Uint8Array>) {
    signal.throwIfAborted();
    chunks.push(chunk);
    size += chunk.length;
    if (size >= limit) return { body: Buffer.concat(chunks).subarray(0, limit), cut: true };
  }
  return { body: Buffer.concat(chunks), cut: false };
}

function since(began: number): number {
  return Math.round(performance.now() - began);
}

const endings: readonly (readonly [RegExp, Ending])[] = [
  [/^HAPSET_GUARDED$/, 'guarded-address'],
  [/^(?:ENOTFOUND|EAI_AGAIN|EAI_FAIL|ENODATA)$/, 'name-not-found'],
  [/TIMEOUT|ETIMEDOUT/, 'took-too-long'],
  [/CERT|SSL|TLS|SELF_SIGNED|UNABLE_TO_VERIFY/, 'bad-certificate'],
  [/^(?:ECONNREFUSED|EHOSTUNREACH|ENETUNREACH|EADDRNOTAVAIL|EACCES)$/, 'not-reached'],
];

/** Errors come nested, from several libraries; what counts is the first code on the way down that is known. */
interface ErrorLike {
  readonly code?: unknown;
  readonly cause?: unknown;
  readonly errors?: unknown;
}

function endingOf(error: unknown, signal: AbortSignal): Ending {
  for (let level = 0, cause = error; level < 8 && typeof cause === 'object' && cause !== null; level += 1) {
    const { code, cause: next, errors } = cause as ErrorLike;
    const known = typeof code === 'string' ? endings.find(([pattern]) => pattern.test(code)) : undefined;
    if (known) return known[1];
    // Several addresses were tried: the first failure stands for all.
    cause = next ?? (Array.isArray(errors) ? (errors as unknown[])[0] : undefined);
  }
  return signal.aborted ? 'took-too-long' : 'broken-answer';
}
