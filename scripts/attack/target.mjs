// What the attacks work with: a demo instance of their own on loopback, people of the demo, and bounded crowds.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

const demoPassword = 'low-tide-at-nine';

export class Target {
  #cookies = new Map();

  /** @param settings of the stack that was started for the attacks */
  constructor(settings) {
    if (!['127.0.0.1', 'localhost', '[::1]'].includes(new URL(settings.address).hostname) || !settings.demo)
      throw new Error('Attacks run against a demo instance on loopback alone.');
    this.settings = settings;
  }

  /** @returns `{ status, headers, text, json() }`; never throws for an answer */
  async ask(method, path, { who = null, body, headers = {}, redirect = 'manual' } = {}) {
    const sent =
      body === undefined
        ? {}
        : {
            body: typeof body === 'string' || Buffer.isBuffer(body) ? body : JSON.stringify(body),
            headers: { 'Content-Type': 'application/json' },
          };
    const response = await fetch(this.settings.address + path, {
      method,
      redirect,
      ...sent,
      headers: { ...sent.headers, ...(who && { Cookie: await this.cookieOf(who) }), ...headers },
      signal: AbortSignal.timeout(60_000),
    });
    const bytes = Buffer.from(await response.arrayBuffer());
    return {
      status: response.status,
      headers: response.headers,
      bytes,
      text: bytes.toString(),
      json: () => JSON.parse(bytes.toString()),
    };
  }

  /** The body of a request that must succeed. */
  async ok(method, path, options) {
    const answer = await this.ask(method, path, options);
    if (answer.status >= 300)
      throw new Error(`${method} ${path} answered ${answer.status}: ${answer.text.slice(0, 300)}`);
    return answer.json();
  }

  /** Signs in once for each. */
  cookieOf(who) {
    const known = this.#cookies.get(who) ?? this.#signIn(who);
    this.#cookies.set(who, known);
    return known;
  }

  async #signIn(who) {
    const answer = await this.ask('POST', '/api/session', {
      body: { email: `${who}@fernhollow.example`, password: demoPassword },
    });
    const cookie = answer.headers.getSetCookie()[0]?.split(';')[0];
    if (!cookie) throw new Error(`${who} could not sign in: ${answer.status}`);
    return cookie;
  }

  /** A finished upload. @returns its id */
  async upload(bytes, who) {
    const begun = await this.ask('POST', '/api/uploads', {
      who,
      headers: { 'Tus-Resumable': '1.0.0', 'Upload-Length': String(bytes.length) },
    });
    const path = new URL(begun.headers.get('location'), this.settings.address).pathname;
    await this.ask('PATCH', path, {
      who,
      body: bytes,
      headers: { 'Tus-Resumable': '1.0.0', 'Upload-Offset': '0', 'Content-Type': 'application/offset+octet-stream' },
    });
    return path.split('/').at(-1);
  }

  /** The part's process. @param name server, database, stand-ins */
  pidOf(name) {
    return Number(readFileSync(join(this.settings.dataFolder, 'running', name), 'utf8'));
  }

  residentMb(name) {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${this.pidOf(name)}/status`, 'utf8'))?.[1] ?? 0) / 1024;
  }

  /** Does the work and measures meanwhile how long the server takes for a line of text. @returns `{ result, longestMs }` */
  async whilePinging(work) {
    let going = true;
    let longestMs = 0;
    const pinging = (async () => {
      while (going) {
        const began = performance.now();
        await this.ask('GET', '/api/health');
        longestMs = Math.max(longestMs, performance.now() - began);
        await new Promise((resolve) => setTimeout(resolve, 5));
      }
    })();
    try {
      return { result: await work(), longestMs: Math.round(longestMs) || 0, measured: () => Math.round(longestMs) };
    } finally {
      going = false;
      await pinging;
    }
  }
}

/** So many at the same moment. */
export function crowd(count, work) {
  return Promise.all(Array.from({ length: count }, (_, index) => work(index)));
}

/** How often each status came, as text: "401 5, 429 395". */
export function tally(answers) {
  const counts = new Map();
  for (const { status } of answers) counts.set(status, (counts.get(status) ?? 0) + 1);
  return [...counts]
    .sort(([one], [other]) => one - other)
    .map(([status, count]) => `${status} ${count}`)
    .join(', ');
}
