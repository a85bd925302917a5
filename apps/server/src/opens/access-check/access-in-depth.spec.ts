import type { AccessCheckView, EarlierCheck, SchoolView } from '@hapset/contract';
import type { PageDocument } from '@hapset/core';
import sharp from 'sharp';
import { link, Scene } from '../../test/scene.js';
import { openPage, SmallWeb, someText } from '../../test/small-web.js';
import { TestServer } from '../../test/test-server.js';
import { until } from '../../test/until.js';
import { pools } from '../../platform/queue/job-kind.js';

const locked =
  '<title>Sign in</title><form method="post"><input name="user"><input type="password"><button>Sign in</button></form>';

describe('an access check in depth', () => {
  let web: SmallWeb;
  let scene: Scene;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/open', openPage);
    web.html('/locked', locked);
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  /** The check of one link, given as a kind, in a lesson of its own. */
  async function checked(path: string, more: object = {}): Promise<AccessCheckView> {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [{ ...link(web.address(path)), ...more }]);
    await scene.opened(lessonId);
    const { check } = await scene.page(stationId);
    if (!check) throw new Error('nothing was opened');
    return check;
  }

  it('looks into a folder, and names what is locked in it', async () => {
    web.html(
      '/crate',
      '<title>Crate</title><nav><a href="/locked?menu">Help</a></nav><ul><li><a href="/open">cove-01</a></li><li><a href="/locked">cove-02</a></li><li><a href="/nowhere">cove-03</a></li></ul>',
    );
    expect(await checked('/crate', { kind: 'folder' })).toMatchObject({
      verdict: 'partial',
      reasons: [
        { reason: 'holds-locked', detail: 'cove-02' },
        { reason: 'holds-locked', detail: 'cove-03' },
      ],
      inside: {
        opened: 3,
        left: 0,
        locked: [
          { name: 'cove-02', verdict: 'sign-in' },
          { name: 'cove-03', verdict: 'missing' },
        ],
      },
      title: 'Crate',
    });
    expect((await checked('/crate', { kind: 'web-page' })).inside).toBeNull();
  });

  it('opens the links of a written page that is kept here, through its public address, and says that no phone reaches that', async () => {
    const { url } = await scene.server.listening('Pell');
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, publicAddress: url, shortLinkHost: null });
    const paragraph = (text: string, href: string): object => ({
      type: 'paragraph',
      content: [{ type: 'text', text, marks: [{ type: 'link', attrs: { href } }] }],
    });
    const document = {
      type: 'doc',
      content: [paragraph('Our guide', web.address('/open')), paragraph('Our minutes', web.address('/locked'))],
    } as PageDocument;
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [
      { kept: { kind: 'written-page', document }, title: 'Links', pasted: 'Links', repairs: [] },
    ]);
    await scene.opened(lessonId);
    expect((await scene.page(stationId)).check).toMatchObject({
      verdict: 'partial',
      inside: { opened: 2, locked: [{ name: 'Our minutes', verdict: 'sign-in' }] },
      doubts: [{ reason: 'address-loopback', detail: '127.0.0.1' }],
    });
  });

  it('opens no more than two hundred things in it', async () => {
    web.html(
      '/large',
      `<title>Large</title>${Array.from({ length: 230 }, (_, index) => `<a href="/open?${index}">item ${index}</a> `).join('')}`,
    );
    expect((await checked('/large', { kind: 'folder' })).inside).toEqual({ opened: 200, left: 30, locked: [] });
  });

  it('keeps the page’s own picture, made small, for its owner alone', async () => {
    const picture = await sharp({ create: { width: 900, height: 900, channels: 3, background: '#3c7d6b' } })
      .png()
      .toBuffer();
    web.pages.set(
      '/p.png',
      (_request, response) => void response.writeHead(200, { 'Content-Type': 'image/png' }).end(picture),
    );
    web.html('/pictured', openPage.replace('<head>', '<head><meta property="og:image" content="/p.png">'));
    const check = await checked('/pictured');
    expect(check.hasPicture).toBe(true);
    const response = await scene.server.as('Maren', 'GET', `/api/access-checks/${check.id}/picture`);
    expect([response.status, response.headers['content-type']]).toEqual([200, 'image/webp']);
    expect(await sharp(response.body as Buffer).metadata()).toMatchObject({ format: 'webp', width: 320, height: 200 });
    expect((await scene.server.as('Tobiah', 'GET', `/api/access-checks/${check.id}/picture`)).status).toBe(404);
  });

  it('survives a picture that is none', async () => {
    web.pages.set(
      '/broken.png',
      (_request, response) => void response.writeHead(200, { 'Content-Type': 'image/png' }).end('no picture'),
    );
    web.html('/mispictured', openPage.replace('<head>', '<head><meta property="og:image" content="/broken.png">'));
    expect(await checked('/mispictured')).toMatchObject({ verdict: 'open', hasPicture: false });
  });

  it('tells rights and doubts of what opens, and none of what does not', async () => {
    web.redirect('/deep/link', '/');
    web.html('/', `<title>Welcome</title><p>All our guides. ${someText}</p>`);
    expect(await checked('/deep/link', { title: 'Limpets' })).toMatchObject({
      verdict: 'open',
      rights: { look: true, change: false },
      doubts: [{ reason: 'start-page' }, { reason: 'title-differs', detail: 'Welcome' }],
    });
    expect(await checked('/locked')).toMatchObject({ rights: null, doubts: [] });
    web.html('/', '<title>Welcome</title><p>All our guides.</p>');
    expect(await checked('/deep/link')).toMatchObject({
      verdict: 'unknown',
      reasons: [{ reason: 'no-proof', detail: 'Welcome' }],
      rights: null,
      doubts: [{ reason: 'start-page' }],
    });
  });

  it('keeps a history, the newest first', async () => {
    web.html('/moving', openPage);
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/moving'))]);
    await scene.opened(lessonId);
    web.html('/moving', locked);
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'POST', `/api/materials/${material.id}/access-checks`);
    await scene.opened(lessonId);
    const earlier = await scene.server.ok<readonly EarlierCheck[]>(
      'Maren',
      'GET',
      `/api/materials/${material.id}/access-checks`,
    );
    expect(earlier.map(({ verdict }) => verdict)).toEqual(['sign-in', 'open']);
  });

  it('opens no more at once than the limits, at one host and in all, over two servers', async () => {
    const hosts = Array.from({ length: 9 }, (_, index) => `h${index}.localhost:${web.port}`);
    const open = new Map<string, number>();
    const held: (() => void)[] = [];
    let [holding, most, mostAtHost] = [true, 0, 0];
    const count = (host: string, change: number): void => void open.set(host, (open.get(host) ?? 0) + change);
    web.pages.set('/wait', ({ headers: { host = '' } }, response) => {
      count(host, 1);
      most = Math.max(
        most,
        [...open.values()].reduce((sum, one) => sum + one, 0),
      );
      mostAtHost = Math.max(mostAtHost, open.get(host) ?? 0);
      held.push(() => {
        count(host, -1);
        response.writeHead(200, { 'Content-Type': 'text/html' }).end(openPage);
      });
      if (!holding) for (const answer of held.splice(0)) answer();
    });
    const first = await Scene.start({ trustedHosts: hosts });
    const second = await TestServer.start({ trustedHosts: hosts, database: first.server.database });
    const lessonId = await first.lesson();
    await first.stations(
      lessonId,
      hosts.flatMap((host) => Array.from({ length: 8 }, (_, index) => link(`http://${host}/wait?${index}`))),
    );
    await until(
      () => Promise.resolve(held.length),
      (length) => length >= pools.network.atOnce,
    );
    holding = false;
    for (const answer of held.splice(0)) answer();
    await first.opened(lessonId);
    await second.stop();
    await first.stop();
    expect([most, mostAtHost]).toEqual([pools.network.atOnce, pools.network.atOneLane]);
  });

  it('keeps nobody waiting behind a colleague’s crowd, at another host and at the same one', async () => {
    const hosts = ['crowd', 'other'].map((name) => `${name}.localhost:${web.port}`);
    const [crowd = '', other = ''] = hosts;
    const held: { readonly path: string; readonly answer: () => void }[] = [];
    web.pages.set(
      '/held',
      (request, response) =>
        void held.push({
          path: request.url ?? '',
          answer: () => void response.writeHead(200, { 'Content-Type': 'text/html' }).end(openPage),
        }),
    );
    const busy = await Scene.start({ trustedHosts: hosts });
    for (let lesson = 0; lesson < 3; lesson += 1) {
      const lessonId = await busy.lesson();
      await busy.stations(
        lessonId,
        Array.from({ length: 180 }, (_, index) => link(`http://${crowd}/held?maren-${lesson}-${index}`)),
      );
    }
    const happens = async (condition: () => boolean): Promise<void> =>
      expect(await until(() => Promise.resolve(condition()), Boolean)).toBe(true);
    await happens(() => held.length === pools.network.atOneLane);
    const lessonId = await busy.lesson('Tobiah');
    await busy.stations(
      lessonId,
      [link(`http://${other}/held?tobiah-other-host`), link(`http://${crowd}/held?tobiah-same-host`)],
      'Tobiah',
    );
    const seen = (words: string) => (): boolean => held.some(({ path }) => path.includes(words));
    await happens(seen('tobiah-other-host'));
    expect(held.some(({ path }) => path.includes('tobiah-same-host'))).toBe(false);
    held.shift()?.answer();
    await happens(seen('tobiah-same-host'));
    expect(held.filter(({ path }) => path.includes('maren'))).toHaveLength(pools.network.atOneLane - 1);
    for (const { answer } of held) answer();
    await busy.stop();
  });
});
