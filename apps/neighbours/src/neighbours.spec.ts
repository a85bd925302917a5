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
function ask(
  server: Server,
  host: string,
  path: string,
  form?: Record<string, string>,
  {
    cookie = '',
    language = 'en',
    piece = false,
  }: { readonly cookie?: string; readonly language?: string; readonly piece?: boolean } = {},
): Promise<Answer> {
  const body = form && new URLSearchParams(form).toString();
  const { port } = server.address() as AddressInfo;
  return new Promise((resolve, reject) => {
    const request = httpRequest(
      {
        host: '127.0.0.1',
        port,
        path,
        method: body === undefined ? 'GET' : 'POST',
        headers: {
          Host: `${host}.localhost:${port}`,
          Cookie: cookie,
          'Accept-Language': language,
          ...(piece && { 'X-Piece': 'yes' }),
          ...(body !== undefined && { 'Content-Type': 'application/x-www-form-urlencoded' }),
        },
      },
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
      const probe = createNeighbours({ file: null, port: 0, pages: 'plain' }).listen(0, '127.0.0.1', () => {
        const { port: free } = probe.address() as AddressInfo;
        probe.close(() => resolve(free));
      });
    });
    await new Promise<void>((resolve) => {
      server = createNeighbours({ file, port, pages: 'plain' }).listen(port, '127.0.0.1', () => resolve());
    });
  });
  afterAll(() => new Promise((resolve) => server.close(resolve)));

  /** Signs in at the gate and comes back with the service's cookie. */
  async function comeIn(back: string): Promise<string> {
    const signedIn = await ask(server, 'gatepost', '/come-in', { name: 'Maren Dallow', key: 'oyster', back });
    const arrive = new URL(signedIn.headers.location ?? '');
    const arrived = await ask(server, arrive.hostname.split('.')[0] ?? '', arrive.pathname + arrive.search);
    return (arrived.headers['set-cookie']?.find((cookie) => cookie.startsWith('visit=')) ?? '').split(';')[0] ?? '';
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
    expect((await ask(server, 'cofferlane', '/leaf/staff-minutes', undefined, { cookie })).status).toBe(403);
    expect((await ask(server, 'cofferlane', '/leaf/nothing')).status).toBe(404);
    expect((await ask(server, 'cofferlane', '/leaf/constructor')).status).toBe(404);
    expect((await ask(server, 'nobody', '/')).status).toBe(404);
  });

  it('let nobody in with a wrong key, and lead to no foreign address', async () => {
    expect(
      (
        await ask(server, 'gatepost', '/come-in', {
          name: 'Maren Dallow',
          key: 'wrong',
          back: 'http://cofferlane.localhost/',
        })
      ).status,
    ).toBe(200);
    expect(
      (
        await ask(server, 'gatepost', '/come-in', {
          name: 'Maren Dallow',
          key: 'oyster',
          back: 'http://elsewhere.example/',
        })
      ).status,
    ).toBe(200);
  });

  it('let the owner open the door, and keep that', async () => {
    const { port } = server.address() as AddressInfo;
    const cookie = await comeIn(`http://cofferlane.localhost:${port}/leaf/field-guide-to-limpets`);
    expect((await ask(server, 'cofferlane', '/leaf/field-guide-to-limpets/who')).status).toBe(302);
    await ask(server, 'cofferlane', '/leaf/field-guide-to-limpets/who', { door: 'open' }, { cookie });
    expect((await ask(server, 'cofferlane', '/leaf/field-guide-to-limpets')).status).toBe(200);
    const again = createNeighbours({ file, port, pages: 'plain' }).listen(0, '127.0.0.1');
    await new Promise((resolve) => again.once('listening', resolve));
    expect((await ask(again, 'cofferlane', '/leaf/field-guide-to-limpets')).status).toBe(200);
    await new Promise((resolve) => again.close(resolve));
  });

  it('close and open a form', async () => {
    const { port } = server.address() as AddressInfo;
    expect((await ask(server, 'askleaf', '/ask/rising-dough-log')).body).toContain('takes no more answers');
    const cookie = await comeIn(`http://askleaf.localhost:${port}/ask/rising-dough-log`);
    await ask(server, 'askleaf', '/ask/rising-dough-log/who', { taking: 'yes' }, { cookie });
    expect((await ask(server, 'askleaf', '/ask/rising-dough-log')).body).toContain('How high is the dough now?');
    expect((await ask(server, 'askleaf', '/ask/rising-dough-log', { q0: 'warm' })).body).toContain(
      'pressed between the pages',
    );
  });

  it('have items with doors of their own in a crate', async () => {
    const { port } = server.address() as AddressInfo;
    expect((await ask(server, 'cofferlane', '/crate/photo-bank-north-cove')).body).toContain(
      'href="/crate/photo-bank-north-cove/cove-04"',
    );
    expect((await ask(server, 'cofferlane', '/crate/photo-bank-north-cove/cove-01')).status).toBe(200);
    expect((await ask(server, 'cofferlane', '/crate/photo-bank-north-cove/cove-04')).status).toBe(302);
    const cookie = await comeIn(`http://cofferlane.localhost:${port}/crate/photo-bank-north-cove`);
    await ask(server, 'cofferlane', '/crate/photo-bank-north-cove/who', { item3: 'open', until: '' }, { cookie });
    expect((await ask(server, 'cofferlane', '/crate/photo-bank-north-cove/cove-04')).body).toContain('Bladder wrack');
    expect((await ask(server, 'cofferlane', '/crate/photo-bank-north-cove/nothing')).status).toBe(404);
  });

  it('show reels to all, by link or to nobody, with questions before some', async () => {
    expect((await ask(server, 'glimreel', '/')).body).not.toContain('a-limpet-walks');
    expect((await ask(server, 'glimreel', '/reel/a-limpet-walks')).headers['content-security-policy']).toContain(
      'frame-ancestors',
    );
    expect((await ask(server, 'glimreel', '/reel/yeast-at-work')).body).toContain('kept in the dark');
    expect((await ask(server, 'glimreel', '/reel/nothing')).body).toContain('ran out');
    expect((await ask(server, 'glimreel', '/reel/gulls-at-night')).body).toContain('How many candles');
    expect((await ask(server, 'glimreel', '/reel/gulls-at-night', undefined, { cookie: 'passed=yes' })).body).toContain(
      'What a gull does',
    );
    expect(
      (await ask(server, 'glimreel', '/reel/boats-come-in', { yes: '1' })).headers['set-cookie']?.join(),
    ).toContain('passed=yes');
  });

  it('let sounds be heard by all, by the school, until a day, and taken along where that is allowed', async () => {
    const gate = new URL((await ask(server, 'hushtone', '/tone/waves-at-the-pier')).headers.location ?? '');
    expect((await ask(server, 'gatepost', gate.pathname + gate.search)).body).toContain('people of Fernhollow School');
    expect((await ask(server, 'hushtone', '/tone/last-years-song')).status).toBe(410);
    const sound = await ask(server, 'hushtone', '/tone/foghorn/sound.wav?take=1');
    expect([sound.headers['content-type'], sound.headers['content-disposition']]).toEqual([
      'audio/wav',
      'attachment; filename="sound.wav"',
    ]);
    expect((await ask(server, 'hushtone', '/tone/waves-at-the-pier/sound.wav')).status).toBe(302);
  });

  it('stop taking answers at their limit', async () => {
    expect((await ask(server, 'askleaf', '/ask/which-rock-pool')).body).toContain('has all the answers');
    expect((await ask(server, 'askleaf', '/ask/which-rock-pool', { q0: 'x' })).status).toBe(409);
  });

  it('count between a short link and its page', async () => {
    const first = await ask(server, 'nipaway', '/n/foghorn');
    expect(first.headers.location).toContain('tally.nipaway.localhost');
    const second = await ask(server, 'tally.nipaway', '/count/foghorn');
    expect([second.status, second.headers.location]).toEqual([302, expect.stringContaining('hushtone.localhost')]);
  });

  it('speak three languages and count their visitors with a cookie', async () => {
    const german = await ask(server, 'cofferlane', '/leaf/staff-minutes', undefined, { language: 'de-AT, en;q=0.5' });
    expect(german.body).toContain('<html lang="de">');
    expect(german.body).toContain('Um einen Schlüssel bitten');
    expect((await ask(server, 'askleaf', '/ask/rising-dough-log-2', undefined, { language: 'fr' })).body).toContain(
      'Pas de telle feuille',
    );
    expect(german.headers['set-cookie']?.[0]).toContain('visitor=');
  });

  it('are slow, busy or broken when the switchboard says so', async () => {
    const mood = (value: string): Promise<Answer> => ask(server, 'switchboard', '/', { 'hushtone.localhost': value });
    await mood('busy');
    expect(await ask(server, 'hushtone', '/tone/foghorn')).toMatchObject({
      status: 503,
      headers: { 'retry-after': '1' },
    });
    await mood('broken');
    expect((await ask(server, 'hushtone', '/tone/foghorn')).status).toBe(500);
    expect((await ask(server, 'glimreel', '/')).status).toBe(200);
    await mood('well');
    expect((await ask(server, 'hushtone', '/tone/foghorn')).status).toBe(200);
    expect((await ask(server, 'switchboard', '/')).body).toContain('Answers at once');
  });

  it('draw their pages by scripts where the switchboard says so', async () => {
    const piece = async (host: string, path: string): Promise<Record<string, unknown>> =>
      JSON.parse((await ask(server, host, path, undefined, { piece: true })).body) as Record<string, unknown>;
    const switchTo = (pages: string): Promise<Answer> =>
      ask(server, 'switchboard', '/', {
        'pages cofferlane.localhost': pages,
        'pages glimreel.localhost': pages,
        'pages gatepost.localhost': pages,
      });
    await switchTo('drawn');
    const shell = await ask(server, 'cofferlane', '/leaf/what-yeast-eats');
    expect([shell.status, shell.body.includes('<script>'), shell.body.includes('yeast eats')]).toEqual([
      200,
      true,
      false,
    ]);
    expect(await piece('cofferlane', '/leaf/what-yeast-eats')).toMatchObject({ wall: false, waitMs: 0 });
    expect(String((await piece('cofferlane', '/leaf/what-yeast-eats')).body)).toContain('yeast');
    // A dead link shows the first page, and the plain gate stays as it is.
    expect(await piece('cofferlane', '/leaf/never')).toMatchObject({ to: '/' });
    expect((await ask(server, 'gatepost', '/come-in')).body).not.toContain('<script>');
    await switchTo('plain');
    expect((await ask(server, 'cofferlane', '/leaf/never')).status).toBe(404);
  });
});
