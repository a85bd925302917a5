/**
 * The only way out of the browser: a proxy on loopback (RFC 9110, 7.6; CONNECT 9.3.6). Whoever asks has to name a view
 * that is open now, so that the browser's own traffic is refused. Every name is looked up and judged here by the same
 * code that guards plain checks, and the address that was judged is the one that is connected to. The school's own hosts are
 * refused, whatever they resolve to.
 */
import { randomBytes, timingSafeEqual } from 'node:crypto';
import {
  createServer,
  request as httpRequest,
  type IncomingHttpHeaders,
  type IncomingMessage,
  type Server,
  type ServerResponse,
} from 'node:http';
import { connect, type AddressInfo, type Socket, type TcpNetConnectOpts } from 'node:net';
import type { Duplex } from 'node:stream';
import { parseUrl } from '@hapset/core';
import type { AddressGuard } from '../student-browser/address-guard.js';

/** Nothing came for so long. */
const idleMs = 15_000;
/** Of one view, at the same time. */
const mostConnections = 64;

/** What one view may take and has taken. */
export interface Pass {
  readonly username: string;
  readonly password: string;
  /** Bytes that came so far. */
  readonly bytes: number;
  /** Hosts that it was not let to, at most 20. */
  readonly refused: ReadonlySet<string>;
  /** It took more than it may, or was closed: nothing comes through any more. */
  readonly isOver: boolean;
  close(): void;
}

/** Headers that are between two hops only (RFC 9110, 7.6.1), and those that are for the proxy. */
const hopByHop = new Set([
  'connection',
  'keep-alive',
  'proxy-authenticate',
  'proxy-authorization',
  'proxy-connection',
  'te',
  'trailer',
  'transfer-encoding',
  'upgrade',
]);

export interface PassLimits {
  /** Host names in lower case that are never reached, whatever they resolve to. */
  readonly ownHosts: ReadonlySet<string>;
  readonly bytesAtMost: number;
}

class OpenPass implements Pass {
  readonly password = randomBytes(24).toString('base64url');
  readonly refused = new Set<string>();
  readonly sockets = new Set<Duplex>();
  bytes = 0;
  isOver = false;

  constructor(
    readonly username: string,
    private readonly limits: PassLimits,
    private readonly closed: () => void,
  ) {}

  mayReach(host: string): boolean {
    return !this.isOver && host !== '' && !this.limits.ownHosts.has(host);
  }

  count(bytes: number): void {
    this.bytes += bytes;
    if (this.bytes <= this.limits.bytesAtMost || this.isOver) return;
    this.isOver = true;
    this.end();
  }

  isRight(password: string): boolean {
    const [given, own] = [Buffer.from(password), Buffer.from(this.password)];
    return given.length === own.length && timingSafeEqual(given, own);
  }

  refuse(host: string): void {
    if (this.refused.size < 20) this.refused.add(host.slice(0, 255));
  }

  /** Ends with the view. */
  hold(socket: Duplex): void {
    this.sockets.add(socket);
    socket.once('close', () => this.sockets.delete(socket));
  }

  end(): void {
    for (const socket of this.sockets) socket.destroy();
  }

  close(): void {
    this.isOver = true;
    this.closed();
    this.end();
  }
}

export class GuardingProxy {
  private readonly passes = new Map<string, OpenPass>();
  private server: Server | null = null;

  constructor(private readonly guard: AddressGuard) {}

  /** Listens on loopback. @returns its address, like `http://127.0.0.1:41234` */
  async start(): Promise<string> {
    if (!this.server) {
      const server = createServer({ maxHeaderSize: 64 * 1024 });
      server.on('request', (request, response) => this.forward(request, response));
      server.on('connect', (request: IncomingMessage, socket: Duplex, head: Buffer) =>
        this.tunnel(request, socket, head),
      );
      // WebSockets come through CONNECT; whatever else wants to change its protocol has no business here.
      server.on('upgrade', (_, socket: Duplex) => socket.destroy());
      server.on('clientError', (_, socket: Duplex) => socket.destroy());
      await new Promise<void>((resolve, reject) => {
        server.once('error', reject);
        server.listen(0, '127.0.0.1', resolve);
      });
      this.server = server;
    }
    return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
  }

  async stop(): Promise<void> {
    for (const pass of this.passes.values()) pass.close();
    const { server } = this;
    this.server = null;
    if (!server) return;
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
  }

  /** Lets one view through until its pass is closed. */
  open(limits: PassLimits): Pass {
    const username = randomBytes(9).toString('base64url');
    const pass = new OpenPass(username, limits, () => this.passes.delete(username));
    this.passes.set(username, pass);
    return pass;
  }

  private passOf({ headers }: IncomingMessage): OpenPass | null {
    const [, encoded = ''] = /^Basic ([\w+/=]{1,400})$/.exec(headers['proxy-authorization'] ?? '') ?? [];
    const [username = '', password = ''] = Buffer.from(encoded, 'base64').toString().split(':');
    const pass = this.passes.get(username);
    return pass?.isRight(password) && pass.sockets.size < mostConnections ? pass : null;
  }

  private forward(request: IncomingMessage, response: ServerResponse): void {
    const pass = this.passOf(request);
    if (!pass) {
      response.writeHead(407, { 'Proxy-Authenticate': 'Basic realm="view"' }).end();
      return;
    }
    const url = parseUrl(request.url ?? '');
    if (url?.protocol !== 'http:') {
      response.writeHead(400).end();
      return;
    }
    const target = this.judge(url.hostname, Number(url.port || 80), pass);
    if (!target) {
      response.writeHead(403).end();
      return;
    }
    const out = httpRequest({
      ...target,
      agent: false,
      method: request.method,
      path: url.pathname + url.search,
      headers: { ...endToEnd(request.headers), host: url.host },
    });
    out.setTimeout(idleMs, () => out.destroy());
    out.on('socket', (socket) => pass.hold(socket));
    out.on('error', () => (response.headersSent ? response.destroy() : response.writeHead(502).end()));
    out.on('response', (answer) => {
      response.writeHead(answer.statusCode ?? 502, endToEnd(answer.headers));
      answer.on('data', (chunk: Buffer) => pass.count(chunk.length));
      answer.on('error', () => response.destroy());
      answer.pipe(response);
    });
    response.on('close', () => out.destroy());
    request.on('error', () => out.destroy());
    request.pipe(out);
  }

  private tunnel(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    socket.on('error', () => socket.destroy());
    const pass = this.passOf(request);
    if (!pass) {
      socket.end('HTTP/1.1 407 Proxy Authentication Required\r\nProxy-Authenticate: Basic realm="view"\r\n\r\n');
      return;
    }
    const url = parseUrl(`tunnel://${request.url ?? ''}`);
    const target = url && url.port !== '' ? this.judge(url.hostname, Number(url.port), pass) : null;
    if (!target) {
      socket.end('HTTP/1.1 403 Forbidden\r\n\r\n');
      return;
    }
    const out = connect(target);
    pass.hold(out);
    pass.hold(socket);
    this.join(socket, out, pass);
    out.once('connect', () => {
      socket.write('HTTP/1.1 200 Connection Established\r\n\r\n');
      if (head.length > 0) out.write(head);
      socket.pipe(out);
      out.pipe(socket);
    });
  }

  private join(socket: Duplex, out: Socket, pass: OpenPass): void {
    out.setTimeout(idleMs, () => out.destroy());
    out.on('data', (chunk: Buffer) => pass.count(chunk.length));
    out.on('error', () => socket.end('HTTP/1.1 502 Bad Gateway\r\n\r\n'));
    out.on('close', () => socket.destroy());
    socket.on('close', () => out.destroy());
  }

  /** Where to connect to, with the look-up that judges; null for what may not be reached. */
  private judge(hostname: string, port: number, pass: OpenPass): TcpNetConnectOpts | null {
    const host = hostname.replace(/^\[|\]$/g, '').toLowerCase();
    try {
      if (!pass.mayReach(host)) throw new Error('own');
      const lookup = this.guard.lookupFor(hostname.toLowerCase(), port);
      return { host, port, lookup: noting(lookup, () => pass.refuse(host)) };
    } catch {
      pass.refuse(host);
      return null;
    }
  }
}

type Lookup = ReturnType<AddressGuard['lookupFor']>;

/** Tells where the guard refused what a name resolved to. */
function noting(lookup: Lookup, refused: () => void): Lookup {
  return (hostname, options, callback) =>
    lookup(hostname, options, (error, ...rest) => {
      if ((error as NodeJS.ErrnoException | null)?.code === 'HAPSET_GUARDED') refused();
      callback(error, ...rest);
    });
}

function endToEnd(headers: IncomingHttpHeaders): IncomingHttpHeaders {
  const named = (headers.connection ?? '').toLowerCase().split(/\s*,\s*/);
  return Object.fromEntries(Object.entries(headers).filter(([name]) => !hopByHop.has(name) && !named.includes(name)));
}
