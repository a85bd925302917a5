import type {
  CreatedMaterials,
  MaterialPage,
  MaterialView,
  SchoolView,
  ServerNotes,
  ShortLinkDetails,
  ShortLinksPage,
} from '@hapset/contract';
import { isSlug, slipsOf, slugOf } from '@hapset/core';
import request from 'supertest';
import { link, Scene, words } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { until } from '../../test/until.js';
import { missesFree, slowMs } from './miss-window.js';
import { OpensCounter } from './opens-counter.js';
import { ShortLinkService } from './short-link.service.js';

const agent = 'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Mobile Safari/537.36';

describe('short links of the school’s own', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const create = async (item: object, who = 'Maren'): Promise<string> =>
    (await scene.server.ok<CreatedMaterials>(who, 'POST', '/api/materials', { items: [item] })).materialIds[0] ?? '';
  const page = (id: string, who = 'Maren'): Promise<MaterialPage> =>
    scene.server.ok<MaterialPage>(who, 'GET', `/api/materials/${id}`);
  const details = (id: string): Promise<ShortLinkDetails> =>
    scene.server.ok<ShortLinkDetails>('Maren', 'GET', `/api/materials/${id}/short-link`);
  const change = (id: string, request: object, who = 'Maren'): Promise<MaterialView> =>
    scene.server.ok<MaterialView>(who, 'PATCH', `/api/materials/${id}`, request);
  const open = (path: string, headers: Record<string, string> = {}, server = scene.server) =>
    request(server.app.getHttpServer())
      .get(path)
      .set({ 'User-Agent': agent, ...headers })
      .redirects(0);
  /** A material whose code carries its short link. */
  async function shortened(target: string, who = 'Maren'): Promise<{ id: string; slug: string }> {
    const id = await create(link(target), who);
    await change(id, { version: 1, carry: 'short-link' }, who);
    return { id, slug: (await page(id, who)).shortLink?.slug ?? '' };
  }

  it('are made when they are chosen, carried in capitals, and lead on in any case', async () => {
    const { id, slug } = await shortened('https://a.example/leaf/ä?b=1#c');
    expect(isSlug(slug)).toBe(true);
    const { code, ladder, shortLink } = await page(id);
    expect(code).toMatchObject({ carry: 'short-link', payload: `HTTP://127.0.0.1:4300/K/${slug}`, version: 2 });
    expect(ladder.rungs.find(({ kind }) => kind === 'short-link')?.payload).toBe(shortLink?.address);
    for (const path of [`/K/${slug}`, `/k/${slug.toLowerCase()}`, `/k/${slug.slice(0, 3)}%20${slug.slice(3)}/`]) {
      const answer = await open(path);
      expect([answer.status, answer.headers.location]).toEqual([302, 'https://a.example/leaf/%C3%A4?b=1#c']);
      expect(answer.headers).toMatchObject({ 'cache-control': 'no-store', 'referrer-policy': 'no-referrer' });
    }
    // Nothing of the request gets into the answer.
    expect((await open(`/K/${slug}?to=https://b.example`)).headers.location).toBe(
      'https://a.example/leaf/%C3%A4?b=1#c',
    );
    expect((await request(scene.server.app.getHttpServer()).post(`/K/${slug}`)).status).not.toBe(302);
  });

  it('are not made before, and the ladder tells what one would gain', async () => {
    const id = await create(link('https://a.example/a-rather-long-address/that-makes-a-fine-code/for-no-good-reason'));
    const { shortLink, ladder } = await page(id);
    expect(shortLink).toBeNull();
    expect(ladder.rungs.find(({ kind }) => kind === 'short-link')?.figures?.version).toBe(2);
    expect((await scene.server.as('Maren', 'GET', `/api/materials/${id}/short-link`)).status).toBe(404);
    expect((await page(await create(words('no address')))).ladder.rungs.map(({ kind }) => kind)).toEqual(['words']);
  });

  it('are one for each material, also for two that ask at once', async () => {
    const { id, slug } = await shortened('https://a.example/once');
    await change(id, { version: 2, carry: 'link' });
    await change(id, { version: 3, carry: 'short-link' });
    expect((await page(id)).shortLink?.slug).toBe(slug);
    const other = await create(link('https://a.example/twice'));
    const links = scene.server.app.get(ShortLinkService, { strict: false });
    const slugs = await Promise.all(Array.from({ length: 6 }, () => links.allocate({ id: other, slug: null })));
    expect(new Set(slugs).size).toBe(1);
  });

  it('get another target at once, remember where they led, and paper stays valid', async () => {
    const { id, slug } = await shortened('https://a.example/first');
    await scene.server.ok('Maren', 'POST', `/api/materials/${id}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: ['locked', 'not-opening', 'not-opened-yet', 'address-not-reachable'],
    });
    await change(id, { version: 2, link: 'https://a.example/second' });
    const moved = await page(id);
    // Another link resets what a code carries, but not what a short link is for.
    expect(moved.code).toMatchObject({ carry: 'short-link', payload: `HTTP://127.0.0.1:4300/K/${slug}` });
    expect(moved.readiness.paper.changed).toEqual([]);
    expect((await open(`/K/${slug}`)).headers.location).toBe('https://a.example/second');
    expect((await details(id)).turns).toMatchObject([
      { from: 'https://a.example/first', to: 'https://a.example/second' },
    ]);
    await change(id, { version: 3, link: 'https://a.example/first' });
    expect((await open(`/K/${slug}`)).headers.location).toBe('https://a.example/first');
    expect((await details(id)).turns.map(({ to }) => to)).toEqual([
      'https://a.example/first',
      'https://a.example/second',
    ]);
  });

  it('get another target on every server within a second', async () => {
    const second = await TestServer.start({ database: scene.server.database });
    const { id, slug } = await shortened('https://a.example/one');
    expect((await open(`/K/${slug}`, {}, second)).headers.location).toBe('https://a.example/one');
    await change(id, { version: 2, link: 'https://a.example/two' });
    const until = Date.now() + 1000;
    let location: unknown;
    while (location !== 'https://a.example/two' && Date.now() < until)
      location = (await open(`/K/${slug}`, {}, second)).headers.location;
    expect(location).toBe('https://a.example/two');
    await second.stop();
  });

  it('say so when they were taken down, name the school, and come back', async () => {
    const { id, slug } = await shortened('https://a.example/away');
    await scene.server.ok('Maren', 'DELETE', `/api/materials/${id}`);
    const gone = await open(`/K/${slug}`);
    expect(gone.status).toBe(410);
    expect(gone.text).toContain('This page was taken down');
    expect(gone.text).toContain('Our school');
    await scene.server.ok('Maren', 'POST', `/api/materials/${id}/restore`);
    expect((await open(`/K/${slug}`)).status).toBe(302);
  });

  it('understand one slip, and never name more than one', async () => {
    const { slug } = await shortened('https://a.example/slip');
    const wrong =
      [...'234679CDFGHJKMNPQRTVWXY']
        .map((character) => slug.slice(0, -1) + character)
        .find((candidate) => candidate !== slug) ?? '';
    expect(slipsOf(wrong)).toContain(slug);
    const answer = await open(`/K/${wrong}`);
    expect(answer.status).toBe(404);
    expect(answer.text).toContain('One character is wrong. Did you mean this address?');
    expect(answer.text).toContain(`href="/K/${slug}"`);
    const far = await open('/K/ZZZZZ');
    expect([far.status, far.text.includes('Did you mean'), far.text.includes('type the address again')]).toEqual([
      404,
      false,
      true,
    ]);
    expect((await open(`/K/?s=${slug.toLowerCase()}`)).headers.location).toBe(`/K/${slug.toLowerCase()}`);
    expect((await open('/K/?s=//b.example')).headers.location).toBe('/K///b.example');
  });

  it('stop naming slips to who asks too often, and go on leading', async () => {
    const { slug } = await shortened('https://a.example/fish');
    const wrong = slug.slice(0, -1) + (slug.endsWith('C') ? 'D' : 'C');
    let hints = 0;
    for (let attempt = 0; attempt < 70; attempt += 1)
      if ((await open(`/K/${wrong}`)).text.includes('Did you mean')) hints += 1;
    expect(hints).toBeLessThanOrEqual(60);
    expect((await open(`/K/${slug}`)).status).toBe(302);
  });

  it('open within their hours only', async () => {
    const { id, slug } = await shortened('https://a.example/hours');
    const keep = (opening: object) => scene.server.as('Maren', 'PATCH', `/api/materials/${id}/short-link`, { opening });
    expect((await keep({ from: '2026-11-21T09:00', until: null, hours: [] })).body).toMatchObject({ open: false });
    const closed = await open(`/K/${slug}`);
    expect([closed.status, closed.text.includes('This page is not open yet')]).toEqual([403, true]);
    await keep({ from: null, until: '2026-11-20T09:00', hours: [] });
    expect((await open(`/K/${slug}`)).text).toContain('This page is closed');
    await keep({ from: null, until: null, hours: [{ days: [6, 7], from: '00:00', until: '23:59' }] });
    expect((await open(`/K/${slug}`)).text).toContain('closed right now');
    await keep({ from: null, until: null, hours: [] });
    expect((await open(`/K/${slug}`)).status).toBe(302);
    expect((await keep({ from: '2026-02-30T09:00', until: null, hours: [] })).body).toMatchObject({
      reason: 'invalid',
      fields: [{ field: 'opening', message: 'no-such-time' }],
    });
    expect((await keep({ from: 7, until: null, hours: [] })).status).toBe(400);
  });

  it('count by hour and kind of device, without robots, previews and looks ahead', async () => {
    const { id, slug } = await shortened('https://a.example/counted');
    const path = `/K/${slug}`;
    await open(path);
    await open(path);
    await open(path, { 'User-Agent': 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/129.0 Safari/537.36' });
    await open(path, { 'User-Agent': 'Examplebot/2.1 (+https://bot.example)' });
    await open(path, { 'Sec-Purpose': 'prefetch;prerender' });
    await open(path, { 'User-Agent': '' });
    await request(scene.server.app.getHttpServer()).head(path).set('User-Agent', agent);
    const { visitors, days, hours } = await details(id);
    expect(visitors).toEqual({ phone: 2, tablet: 0, computer: 1 });
    expect(days).toEqual([{ day: '2026-11-20', opens: 3 }]);
    expect(hours[9]).toBe(3);
    expect((await details(id)).opens).toBe(3);
    const columns = (await scene.server.dataSource.query(
      "SELECT column_name AS name FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = 'short_link_counts'",
    )) as { name: string }[];
    expect(columns.map(({ name }) => name).sort()).toEqual(['hour', 'opens', 'slug', 'visitor']);
  });

  it('keep counts that could not be written for the next time', async () => {
    const { id, slug } = await shortened('https://a.example/kept');
    const counter = scene.server.app.get(OpensCounter, { strict: false });
    await scene.server.dataSource.query('RENAME TABLE short_link_counts TO put_away');
    counter.count(slug, 'tablet', scene.server.clock.now().getTime());
    await expect(counter.write()).rejects.toThrow();
    await scene.server.dataSource.query('RENAME TABLE put_away TO short_link_counts');
    await counter.write();
    expect((await details(id)).visitors.tablet).toBe(1);
  });

  it('stand at the root of a short host, today’s and every one before', async () => {
    const { id, slug } = await shortened('https://a.example/host');
    const settings = async (shortLinkHost: string | null): Promise<void> => {
      const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
      await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, shortLinkHost });
    };
    await settings('k.first.example');
    await settings('k.second.example');
    const { code } = await page(id);
    expect(code?.payload).toBe(`HTTP://K.SECOND.EXAMPLE/${slug}`);
    await scene.server.app.get(ShortLinkService, { strict: false }).settle();
    for (const host of ['k.first.example', 'K.Second.Example:443'])
      expect((await open(`/${slug.toLowerCase()}`, { Host: host })).headers.location).toBe('https://a.example/host');
    expect((await open(`/${slug}`, { Host: 'other.example' })).status).not.toBe(302);
    expect((await open('/api/health', { Host: 'k.first.example' })).status).toBe(200);
    expect((await open('/nowhere', { Host: 'k.first.example' })).status).toBe(404);
    await settings(null);
    expect((await open(`/${slug}`, { Host: 'k.second.example' })).status).not.toBe(404);
  });

  it('are listed with where they lead and what became of them, found, filtered and exported', async () => {
    const mine = await shortened('https://a.example/=cmd', 'Tobiah');
    const { id, slug } = await shortened('https://b.example/listed', 'Tobiah');
    await change(mine.id, { version: 2, title: '=SUM(A1)' }, 'Tobiah');
    const list = (query = ''): Promise<ShortLinksPage> =>
      scene.server.ok<ShortLinksPage>('Tobiah', 'GET', `/api/short-links${query}`);
    const all = await list();
    expect(all).toMatchObject({ total: 2, next: null });
    expect(all.rows.find((row) => row.slug === slug)).toMatchObject({
      materialId: id,
      target: 'https://b.example/listed',
      carried: true,
      sheets: 0,
      opens: 0,
      lessons: [],
    });
    expect((await list('?find=b.example')).rows.map((row) => row.slug)).toEqual([slug]);
    expect((await list(`?find=${slug}`)).total).toBe(1);
    expect((await list('?filter=taken-down')).rows).toEqual([]);
    expect((await list('?filter=on-paper')).rows).toEqual([]);
    await scene.server.ok('Tobiah', 'DELETE', `/api/materials/${id}`);
    expect((await list('?filter=taken-down')).rows).toMatchObject([{ slug, target: null }]);
    const csv = await scene.server.as('Tobiah', 'GET', '/api/short-links.csv');
    expect(csv.headers['content-type']).toContain('text/csv');
    expect(csv.text.split('\r\n')[0]).toBe(
      '\ufeffShort link,Title,Leads to,Lessons,Sheets,Opened,Last check,Checked at,Made at',
    );
    expect(csv.text).toContain("'=SUM(A1)");
  });

  it('are too long to be found by trying, and old short ones are replaced without losing what hangs on walls', async () => {
    const { id, slug } = await shortened('https://a.example/old');
    expect([8, 9]).toContain(slug.length);
    const old = slugOf([1, 2, 3, 4]) ?? '';
    await scene.server.dataSource.query('UPDATE short_links SET slug = ? WHERE slug = ?', [old, slug]);
    await scene.server.dataSource.query('UPDATE materials SET slug = ? WHERE id = ?', [old, id]);
    await scene.server.app.get(ShortLinkService).settle();
    expect((await page(id)).shortLink).toMatchObject({ slug: old, shortForm: true });
    const listed = await scene.server.ok<ShortLinksPage>('Maren', 'GET', '/api/short-links?filter=to-replace');
    expect(listed.rows.map((row) => [row.slug, row.shortForm])).toEqual([[old, true]]);
    expect((await scene.server.ok<ServerNotes>('Pell', 'GET', '/api/school/server-notes')).shortSlugs).toBe(1);
    const replaced = await scene.server.ok<ShortLinkDetails>(
      'Maren',
      'POST',
      `/api/materials/${id}/short-link/replacement`,
    );
    expect(replaced.shortForm).toBe(false);
    for (const path of [`/K/${old}`, `/K/${replaced.slug}`])
      expect((await open(path)).headers.location).toBe('https://a.example/old');
    expect((await page(id)).code?.payload).toContain(replaced.slug);
    const current = (await page(id)).material;
    await change(id, { version: current.version, link: 'https://a.example/new' });
    for (const path of [`/K/${old}`, `/K/${replaced.slug}`])
      expect((await open(path)).headers.location).toBe('https://a.example/new');
  });

  it('are answered slowly to who tries them out, without slowing those that are there, and the administrator sees it', async () => {
    const behind = await TestServer.start({ database: scene.server.database, proxies: ['127.0.0.1'] });
    const { slug } = await shortened('https://a.example/fast');
    const from = { 'X-Forwarded-For': '203.0.113.50' };
    const guess = (number: number): string => slugOf([number % 23, (number >> 3) % 23, 5, 6, 7, 8, 9]) ?? 'CDFGHJKM';
    for (let number = 0; number < missesFree.fromOne; number += 1)
      expect([404, 302]).toContain((await open(`/K/${guess(number)}`, from, behind)).status);
    // Known to this server by now, as every link is a moment after it was made.
    await until(
      async () => (await open(`/K/${slug}`, { 'X-Forwarded-For': '203.0.113.51' }, behind)).status,
      (status) => status === 302,
    );
    const began = performance.now();
    const [slowed, hit] = await Promise.all([
      open(`/K/${guess(1000)}`, from, behind).then(({ status }) => [status, performance.now() - began] as const),
      open(`/K/${slug}`, from, behind).then(({ status }) => [status, performance.now() - began] as const),
    ]);
    expect([slowed[0], hit[0]]).toEqual([429, 302]);
    expect(slowed[1]).toBeGreaterThanOrEqual(slowMs - 50);
    expect(hit[1]).toBeLessThan(slowed[1]);
    const notes = await behind.ok<ServerNotes>('Pell', 'GET', '/api/school/server-notes');
    expect(notes.unknownShortLinks).toBeGreaterThan(missesFree.fromOne);
    expect(notes.slowedShortLinks).toBe(1);
    await behind.stop();
  });
});
