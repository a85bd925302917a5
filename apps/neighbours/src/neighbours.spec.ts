import { request as httpRequest, type IncomingHttpHeaders, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createNeighbours } from './neighbours.js';

interface Answer {
  readonly status: number;
  readonly headers: IncomingHttpHeaders;
  readonly body: string;
}

/** Names under .localhost are not resolved by Node, so the Host header says which service is meant. */
function ask(server: Server, host: string, path: string, form?: Record<string, string>, cookie = ''): Promise<Answer> {
  const body = form && new URLSearchParams(form).toString();
  const { port } = server.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const request = httpRequest(
      { host: '127.0.0.1', port, path, method: body === undefined ? 'GET' : 'POST', headers: { Host: `${host}.localhost:${port}`, Cookie: cookie, ...(body !== undefined && { 'Content-Type': 'application/x-www-form-urlencoded' }) } },
      (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => (text += chunk.toString()));
        response.on('end', () => resolve({ status: response.statusCode ?? 0, headers: response.headers, body: text }));
      },
    );
    request.on('error', reject);
    request.end(body);
  });
}

describe('the stand-in services', () => {
  let server: Server;
  const file = join(mkdtempSync(join(tmpdir(), 'neighbours-')), 'kept.json');

  beforeAll(async () => {
    // The services name each other by port, so it must be known before they are made.
    const port = await new Promise<number>((resolve) => {
      const probe = createNeighbours(null, 0).listen(0, '127.0.0.1', () => {
        const { port: free } = probe.address() as AddressInfo;
        probe.close(() => resolve(free));
      });
    });
    await new Promise<void>((resolve) => {
      server = createNeighbours(file, port).listen(port, '127.0.0.1', () => resolve());
    });
  });
  afterAll(() => new Promise((resolve) => server.close(resolve)));

  /** Signs in at the gate and comes back with the service's cookie. */
  async function comeIn(back: string): Promise<string> {
    const signedIn = await ask(server, 'gatepost', '/come-in', { name: 'Maren Dallow', key: 'oyster', back });
    const arrive = new URL(signedIn.headers.location ?? '');
    const arrived = await ask(server, arrive.hostname.split('.')[0] ?? '', arrive.pathname + arrive.search);
    return (arrived.headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';
  }

  it('show what is open to anyone', async () => {
    const leaf = await ask(server, 'cofferlane', '/leaf/what-yeast-eats');
    expect(leaf.status).toBe(200);
    expect(leaf.body).toContain('<title>What yeast eats</title>');
    expect((await ask(server, 'cofferlane', '/crate/photo-bank-north-cove')).body).toContain('cove-05');
    expect((await ask(server, 'askleaf', '/ask/tide-line-tally')).body).toContain('How many limpets?');
  });

  it('send strangers to the gate with a way back', async () => {
    const locked = await ask(server, 'cofferlane', '/leaf/field-guide-to-limpets');
    expect(locked.status).toBe(302);
    const gate = new URL(locked.headers.location ?? '');
    expect(gate.hostname).toBe('gatepost.localhost');
    expect(gate.searchParams.get('back')).toMatch(/^http:\/\/cofferlane\.localhost:\d+\/leaf\/field-guide-to-limpets$/);
  });

  it('offer to ask for a key with status 200 where people were chosen', async () => {
    const chosen = await ask(server, 'cofferlane', '/leaf/staff-minutes');
    expect(chosen.status).toBe(200);
    expect(chosen.body).toContain('Ask for a key');
  });

  it('answer 403 to somebody who was not chosen, 404 for what is not there', async () => {
    const { port } = server.address() as AddressInfo;
    const cookie = await comeIn(`http://cofferlane.localhost:${port}/leaf/staff-minutes`);
    expect((await ask(server, 'cofferlane', '/leaf/staff-minutes', undefined, cookie)).status).toBe(403);
    expect((await ask(server, 'cofferlane', '/leaf/nothing')).status).toBe(404);
    expect((await ask(server, 'cofferlane', '/leaf/constructor')).status).toBe(404);
    expect((await ask(server, 'nobody', '/')).status).toBe(404);
  });

  it('let nobody in with a wrong key, and lead to no foreign address', async () => {
    expect((await ask(server, 'gatepost', '/come-in', { name: 'Maren Dallow', key: 'wrong', back: 'http://cofferlane.localhost/' })).status).toBe(200);
    expect((await ask(server, 'gatepost', '/come-in', { name: 'Maren Dallow', key: 'oyster', back: 'http://elsewhere.example/' })).status).toBe(200);
  });

  it('let the owner open the door, and keep that', async () => {
    const { port } = server.address() as AddressInfo;
    const cookie = await comeIn(`http://cofferlane.localhost:${port}/leaf/field-guide-to-limpets`);
    expect((await ask(server, 'cofferlane', '/leaf/field-guide-to-limpets/who')).status).toBe(302);
    await ask(server, 'cofferlane', '/leaf/field-guide-to-limpets/who', { door: 'open' }, cookie);
    expect((await ask(server, 'cofferlane', '/leaf/field-guide-to-limpets')).status).toBe(200);
    const again = createNeighbours(file, port).listen(0, '127.0.0.1');
    await new Promise((resolve) => again.once('listening', resolve));
    expect((await ask(again, 'cofferlane', '/leaf/field-guide-to-limpets')).status).toBe(200);
    await new Promise((resolve) => again.close(resolve));
  });

  it('close and open a form', async () => {
    const { port } = server.address() as AddressInfo;
    expect((await ask(server, 'askleaf', '/ask/rising-dough-log')).body).toContain('takes no more answers');
    const cookie = await comeIn(`http://askleaf.localhost:${port}/ask/rising-dough-log`);
    await ask(server, 'askleaf', '/ask/rising-dough-log/who', { taking: 'yes' }, cookie);
    expect((await ask(server, 'askleaf', '/ask/rising-dough-log')).body).toContain('How high is the dough now?');
    expect((await ask(server, 'askleaf', '/ask/rising-dough-log', { q0: 'warm' })).body).toContain('pressed between the pages');
  });
});
