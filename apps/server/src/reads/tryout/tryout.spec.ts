import { RedirectTable } from '../../code/short-link/redirect-table.js';
import { TryoutService } from '../tryout-results/tryout.service.js';
import type { CreatedMaterials, MaterialPage, TryoutListening, TryoutView } from '@hapset/contract';
import { get } from 'node:http';
import request from 'supertest';
import { link, Scene, words } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { until } from '../../test/until.js';

const agent = 'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Mobile Safari/537.36';
const page = {
  kind: 'written-page',
  document: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Low tide' }] }] },
};

describe('trying a real device', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const create = async (item: object): Promise<string> =>
    (await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items: [item] })).materialIds[0] ??
    '';
  const tryouts = (id: string): Promise<TryoutView[]> =>
    scene.server.ok<TryoutView[]>('Maren', 'GET', `/api/materials/${id}/tryouts`);
  const open = (path: string, server = scene.server) =>
    request(server.app.getHttpServer()).get(path).set('User-Agent', agent).redirects(0);
  async function shortened(item: object): Promise<{ id: string; slug: string }> {
    const id = await create(item);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${id}`, { version: 1, carry: 'short-link' });
    return {
      id,
      slug: (await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`)).shortLink?.slug ?? '',
    };
  }

  it('counts against the rehearsal until it is removed, or the same device reads it', async () => {
    const id = await create(link('https://a.example/not-read'));
    const [deviceId = ''] = scene.deviceIds;
    const tell = (outcome: string, of: string | null = deviceId): Promise<unknown> =>
      scene.server.ok('Maren', 'POST', `/api/materials/${id}/tryouts`, { deviceId: of, outcome });
    const reads = async (): Promise<MaterialPage['readiness']['reads']> =>
      (await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`)).readiness.reads;
    await tell('nothing');
    expect(await reads()).toMatchObject({ state: 'look-at', failed: ['Tablets'] });
    await tell('as-meant');
    expect(await reads()).toMatchObject({ state: 'not-yet', failed: [] });
    await tell('otherwise', null);
    expect(await reads()).toMatchObject({ state: 'stop', failed: [null] });
    const [last] = await tryouts(id);
    await scene.server.ok('Maren', 'DELETE', `/api/tryouts/${last?.id ?? ''}`);
    expect(await reads()).toMatchObject({ failed: [] });
    await tell('nothing');
    const { version } = (await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`)).material;
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${id}`, { version, link: 'https://a.example/other-code' });
    expect(await reads()).toMatchObject({ failed: [] });
  });

  it('is seen by the server itself while it listens, on whichever server the device asks', async () => {
    const second = await TestServer.start({ database: scene.server.database });
    const { id, slug } = await shortened(link('https://a.example/leaf'));
    await open(`/K/${slug}`);
    expect(await tryouts(id)).toEqual([]);
    const { until: listensUntil } = await scene.server.ok<TryoutListening>(
      'Maren',
      'POST',
      `/api/materials/${id}/tryouts/listening`,
    );
    expect(listensUntil).toBe('2026-11-20T09:10:00.000Z');
    scene.server.clock.advance(3200);
    await open(`/K/${slug}`);
    const [first] = await until(
      () => tryouts(id),
      (rows) => rows.length > 0,
    );
    expect(first).toMatchObject({
      outcome: 'as-meant',
      visitor: 'phone',
      afterMs: 3200,
      pageOpened: null,
      current: true,
      deviceId: null,
    });
    // The other server hears of it a moment later.
    await until(
      () => Promise.resolve(second.app.get(RedirectTable, { strict: false }).get(slug ?? '')?.trying ?? null),
      (trying) => trying !== null,
    );
    second.clock.advance(9000);
    await open(`/K/${slug}`, second);
    expect(
      await until(
        () => tryouts(id),
        (rows) => rows.length > 1,
      ),
    ).toHaveLength(2);
    scene.server.clock.advance(10 * 60_000);
    const seen = jest.spyOn(scene.server.app.get(TryoutService, { strict: false }), 'seen');
    await open(`/K/${slug}`);
    expect(seen).not.toHaveBeenCalled();
    seen.mockRestore();
    await second.stop();
  });

  it('sees the page that is kept here as well', async () => {
    const { id, slug } = await shortened({ kept: page, title: 'A page', pasted: 'A page', repairs: [] });
    await scene.server.ok('Maren', 'POST', `/api/materials/${id}/tryouts/listening`);
    const { location } = (await open(`/K/${slug}`)).headers as { location: string };
    expect(
      await until(
        () => tryouts(id),
        (rows) => rows.length > 0,
      ),
    ).toMatchObject([{ pageOpened: false }]);
    expect((await open(new URL(location).pathname)).status).toBe(200);
    expect(await tryouts(id)).toMatchObject([{ pageOpened: true }]);
  });

  it('is told at once to whoever has the page open, and to nobody else', async () => {
    const { id, slug } = await shortened(link('https://a.example/told'));
    await scene.server.ok('Maren', 'POST', `/api/materials/${id}/tryouts/listening`);
    const heard = await Promise.all(
      ['Maren', 'Tobiah'].map(async (who) => {
        const { url, cookie } = await scene.server.listening(who);
        const lines: string[] = [];
        const call = get(`${url}/api/events`, { headers: { Cookie: cookie } }, (response) =>
          response.on('data', (chunk: Buffer) => lines.push(chunk.toString())),
        );
        await until(
          () => Promise.resolve(lines),
          (known) => known.length > 0,
        );
        return { lines, end: () => call.destroy() };
      }),
    );
    await open(`/K/${slug}`);
    const [own, other] = heard;
    await until(
      () => Promise.resolve(own?.lines.join('') ?? ''),
      (text) => text.includes(`"type":"tryout","materialId":"${id}"`),
    );
    expect(own?.lines.join('')).toContain(`"type":"tryout","materialId":"${id}"`);
    expect(other?.lines.join('')).not.toContain('tryout');
    heard.forEach(({ end }) => end());
  });

  it('is told by the teacher where no short link shows it, with the device, and stays dated', async () => {
    const id = await create(words('Low tide at nine'));
    expect((await scene.server.as('Maren', 'POST', `/api/materials/${id}/tryouts/listening`)).status).toBe(404);
    await scene.server.ok('Maren', 'POST', `/api/materials/${id}/tryouts`, {
      deviceId: scene.deviceIds[0],
      outcome: 'otherwise',
    });
    expect(await tryouts(id)).toMatchObject([
      { deviceName: 'Tablets', outcome: 'otherwise', visitor: null, afterMs: null, current: true },
    ]);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${id}`, { version: 1, words: 'Low tide at ten' });
    const [told] = await tryouts(id);
    expect(told).toMatchObject({ current: false });
    await scene.server.ok('Maren', 'PATCH', `/api/tryouts/${told?.id ?? ''}`, { deviceId: scene.deviceIds[1] });
    expect(await tryouts(id)).toMatchObject([{ deviceName: 'Laptops' }]);
    expect((await scene.server.as('Maren', 'PATCH', `/api/tryouts/${told?.id ?? ''}`, { deviceId: id })).status).toBe(
      404,
    );
    expect(
      (await scene.server.as('Maren', 'POST', `/api/materials/${id}/tryouts`, { deviceId: null, outcome: 'fine' }))
        .status,
    ).toBe(400);
    await scene.server.ok('Maren', 'DELETE', `/api/tryouts/${told?.id ?? ''}`);
    expect(await tryouts(id)).toEqual([]);
  });
});
