import type { AccessCheckView } from '@hapset/contract';
import { link, Scene, words } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';
import { TestServer } from '../../test/test-server.js';
import { AccessCheck } from './access-check.entity.js';
import { newId } from '../../platform/database/columns.js';
import { until } from '../../test/until.js';
import { AccessCheckWork } from './access-check.work.js';
import { Job } from '../../platform/queue/job.entity.js';

const locked =
  '<title>Sign in</title><form method="post"><input name="user"><input type="password"><button>Sign in</button></form>';

describe('checking access', () => {
  let web: SmallWeb;
  let scene: Scene;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/open', openPage);
    web.html('/locked', locked);
    web.html('/gone', '<title>Gone</title>', 410);
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  it('opens every new link, writes the verdict down and takes the page’s title', async () => {
    const lessonId = await scene.lesson();
    await scene.stations(
      lessonId,
      ['/open', '/locked', '/gone'].map((path) => link(web.address(path))),
    );
    const bench = await scene.opened(lessonId);
    expect(bench.rows.map((row) => row.readiness.opens)).toMatchObject([
      { state: 'done', verdict: 'open', steps: 0 },
      { state: 'stop', verdict: 'sign-in', steps: 0 },
      // General advice is no step that is known to help.
      { state: 'stop', verdict: 'missing', steps: 0 },
    ]);
    expect(bench.rows.map((row) => row.name)).toEqual(['Field guide to limpets', 'Locked', 'Gone']);
    expect(bench.summary.troubles).toMatchObject({ locked: 1, 'not-opening': 1, 'without-sheet': 1 });
    expect(bench.openedAt).toBe(scene.server.clock.now().toISOString());
  });

  it('keeps the printed name when the target of a short link changes', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/locked'))]);
    await scene.opened(lessonId);
    const { id, title } = (await scene.page(stationId)).material;
    const change = (body: object): Promise<unknown> => scene.server.ok('Maren', 'PATCH', `/api/materials/${id}`, body);
    await change({ version: 1, carry: 'short-link' });
    await change({ version: 2, link: web.address('/open') });
    await scene.opened(lessonId);
    expect((await scene.page(stationId)).check).toMatchObject({ verdict: 'open', doubts: [] });
    expect((await scene.page(stationId)).material.title).toBe(title);
    // A changed link needs a new code on paper, so the material takes the new page's name.
    await change({ version: 3, carry: 'link' });
    await change({ version: 4, link: web.address('/open?again') });
    await scene.opened(lessonId);
    expect((await scene.page(stationId)).material.title).toBe('Field guide to limpets');
  });

  it('compares what students get with what the teacher saw there, until the link is another one', async () => {
    const teacherSaw =
      'High water at nine on Monday, at ten on Tuesday. Wear boots and take a ruler, and go with a friend who can swim.';
    web.html('/short', `<title>Tides</title><p>${teacherSaw}</p>`);
    web.html('/wall', '<title>Tides</title><p>Tento deník je jen pro členy oddílu.</p>');
    const lessonId = await scene.lesson();
    const [same = '', other = ''] = await scene.stations(
      lessonId,
      ['/short', '/wall'].map((path) => ({ ...link(web.address(path)), teacherSaw })),
    );
    await scene.opened(lessonId);
    expect((await scene.page(same)).check).toMatchObject({ verdict: 'open', notAsSeen: null });
    const { check, material } = await scene.page(other);
    expect(check).toMatchObject({
      verdict: 'unknown',
      notAsSeen: { saw: teacherSaw, got: 'Tides · Tento deník je jen pro členy oddílu.' },
    });
    const body = { version: material.version, link: web.address('/wall?other') };
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, body);
    await scene.opened(lessonId);
    expect((await scene.page(other)).check).toMatchObject({ verdict: 'unknown', notAsSeen: null });
  });

  it('never overwrites a title that a person wrote', async () => {
    const lessonId = await scene.lesson();
    await scene.stations(lessonId, [{ ...link(web.address('/open')), title: 'My limpets' }]);
    expect((await scene.opened(lessonId)).rows[0]?.name).toBe('My limpets');
  });

  it('opens again on demand, keeps the last verdict meanwhile and shows the new one after', async () => {
    web.html('/changing', '<title>Sign in</title>', 401);
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/changing'))]);
    await scene.opened(lessonId);
    let finish = (): void => undefined;
    web.pages.set('/changing', (_request, response) => {
      finish = () => void response.writeHead(200, { 'Content-Type': 'text/html' }).end(openPage);
    });
    const { material } = await scene.page(stationId);
    const asked = await scene.server.ok<AccessCheckView>(
      'Maren',
      'POST',
      `/api/materials/${material.id}/access-checks`,
    );
    expect(['waiting', 'opening']).toContain(asked.state);
    const meanwhile = await scene.page(stationId);
    expect(meanwhile.readiness.opens).toMatchObject({ opening: true, verdict: 'sign-in' });
    await until(
      () => Promise.resolve(web.requests.filter((request) => request.url === '/changing').length),
      (count) => count === 2,
    );
    finish();
    await scene.opened(lessonId);
    const after = await scene.page(stationId);
    expect(after.check).toMatchObject({
      state: 'done',
      verdict: 'open',
      title: 'Field guide to limpets',
      remedy: null,
    });
    expect(after.check?.hops).toHaveLength(1);
  });

  it('asks for no second check while one waits', async () => {
    web.pages.set('/slow', () => undefined);
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/slow'))]);
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'POST', `/api/materials/${material.id}/access-checks`);
    expect(await scene.server.dataSource.getRepository(AccessCheck).countBy({ materialId: material.id })).toBe(1);
    await scene.server.ok('Maren', 'DELETE', `/api/lessons/${lessonId}/access-checks`);
  });

  it('stops what runs, at once', async () => {
    web.pages.set('/endless', () => undefined);
    const lessonId = await scene.lesson();
    await scene.stations(lessonId, [link(web.address('/endless')), link(web.address('/endless?2'))]);
    expect((await scene.bench(lessonId)).opening.left).toBe(2);
    await scene.server.ok('Maren', 'DELETE', `/api/lessons/${lessonId}/access-checks`);
    const bench = await scene.bench(lessonId);
    expect(bench.opening.left).toBe(0);
    expect(bench.rows[0]?.readiness.opens).toMatchObject({ state: 'not-yet', verdict: null });
  });

  it('does not let a verdict of an old link stand for a new one', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/open'))]);
    await scene.opened(lessonId);
    const { material } = await scene.page(stationId);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      link: web.address('/locked'),
    });
    expect((await scene.page(stationId)).readiness.opens.verdict).not.toBe('open');
    expect((await scene.opened(lessonId)).rows[0]?.readiness.opens.verdict).toBe('sign-in');
  });

  it('takes up what a killed server left behind', async () => {
    let [answer, begun] = [(): void => undefined, (): void => undefined];
    web.pages.set('/killed', (_request, response) => {
      answer = () => void response.writeHead(200, { 'Content-Type': 'text/html' }).end(openPage);
      begun();
    });
    const lessonId = await scene.lesson();
    const opened = new Promise<void>((resolve) => (begun = resolve));
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/killed'))]);
    await opened;
    const { material } = await scene.page(stationId);
    const checks = scene.server.dataSource.getRepository(AccessCheck);
    const { id } = await checks.findOneByOrFail({ materialId: material.id });
    web.html('/killed', locked);
    await scene.server.workersAreGone([id]);
    expect((await scene.opened(lessonId)).rows[0]?.readiness.opens.verdict).toBe('sign-in');
    // The killed one answers after all: its verdict is not taken.
    answer();
    const jobs = scene.server.dataSource.getRepository(Job);
    await until(
      () => jobs.findOneByOrFail({ subject: id }),
      ({ state }) => state === 'done',
    );
    expect((await scene.bench(lessonId)).rows[0]?.readiness.opens.verdict).toBe('sign-in');
  });

  it('opens a link with counting parameters without them as well, and offers the shorter one only where both lead to the same page', async () => {
    web.pages.set(
      '/counted',
      (request, response) =>
        void response
          .writeHead(200, { 'Content-Type': 'text/html' })
          .end(openPage.replace('</p>', ` Seen ${web.requests.length} times.</p>`)),
    );
    web.pages.set('/needed', (request, response) => {
      const whole = request.url?.includes('utm_page=3');
      response
        .writeHead(200, { 'Content-Type': 'text/html' })
        .end(whole ? openPage : openPage.replaceAll('Field guide to limpets', 'All our guides'));
    });
    const lessonId = await scene.lesson();
    const links = [`/counted?id=7&utm_source=mail`, '/needed?utm_page=3', '/open?id=7'];
    const stations = await scene.stations(
      lessonId,
      links.map((path) => link(web.address(path))),
    );
    await scene.opened(lessonId);
    const pages = await Promise.all(stations.map((stationId) => scene.page(stationId)));
    expect(pages.map(({ check }) => check?.verdict)).toEqual(['open', 'open', 'open']);
    expect(pages.map(({ check }) => check?.trimmed)).toEqual([
      { link: web.address('/counted?id=7'), removed: ['utm_source'] },
      null,
      null,
    ]);
    expect(web.requests.filter(({ url }) => url?.startsWith('/needed'))).toHaveLength(2);
    expect(web.requests.filter(({ url }) => url === '/open?id=7')).toHaveLength(1);
  });

  it('needs none for words', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [words('Who am I?')]);
    const { material } = await scene.page(stationId);
    const response = await scene.server.as('Maren', 'POST', `/api/materials/${material.id}/access-checks`);
    expect(response.status).toBe(201);
    expect(response.body).toEqual({});
    expect((await scene.bench(lessonId)).opening).toEqual({ left: 0, of: 0 });
  });

  it('shares the work of two servers on one database: each link is opened once', async () => {
    const second = await TestServer.start({ trustedHosts: [web.host], database: scene.server.database });
    const lessonId = await scene.lesson();
    const items = Array.from({ length: 20 }, (_, index) => {
      web.html(`/many/${index}`, openPage);
      return link(web.address(`/many/${index}`));
    });
    await scene.stations(lessonId, items);
    await scene.opened(lessonId);
    for (let index = 0; index < items.length; index += 1)
      expect(web.requests.filter((request) => request.url === `/many/${index}`)).toHaveLength(1);
    await second.stop();
  });

  it('is tried three times when its own work fails, and then says so', async () => {
    const work = scene.server.app.get(AccessCheckWork, { strict: false });
    const broken = jest.spyOn(work, 'work').mockRejectedValue(new Error('a fault of our own'));
    const [stationId = ''] = await scene.stations(await scene.lesson(), [link(web.address('/open'))]);
    const state = async () => (await scene.page(stationId)).check;
    const seen = await until(
      async () => {
        await scene.server.waitingJobsAreDue();
        return state();
      },
      (check) => check?.state === 'done',
      10_000,
    );
    expect(broken).toHaveBeenCalledTimes(3);
    expect(seen).toMatchObject({ verdict: 'unknown', reasons: [{ reason: 'check-failed' }] });
    broken.mockRestore();
  });

  it('is given up where servers ended three times while they opened it', async () => {
    web.pages.set('/deadly', () => undefined);
    const [stationId = ''] = await scene.stations(await scene.lesson(), [link(web.address('/deadly'))]);
    const { material } = await scene.page(stationId);
    const checks = scene.server.dataSource.getRepository(AccessCheck);
    const { id } = await checks.findOneByOrFail({ materialId: material.id });
    await scene.server.dataSource.getRepository(Job).update({ subject: id }, { attempts: 3 });
    await scene.server.workersAreGone([id]);
    const given = await until(
      () => checks.findOneBy({ id }),
      (check) => check?.state === 'done',
    );
    expect(given).toMatchObject({ state: 'done', verdict: 'unknown', reasons: [{ reason: 'check-failed' }] });
  });

  it('counts the newest one, also where that ends while it is looked up', async () => {
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/locked'))]);
    await scene.opened(lessonId);
    const { material } = await scene.page(stationId);
    const checks = scene.server.dataSource.getRepository(AccessCheck);
    const first = await checks.findOneByOrFail({ materialId: material.id });
    const newer = { ...first, id: newId(), verdict: 'open' as const, reasons: [] };
    await checks.insert({ ...newer, state: 'waiting' });
    const find = checks.find.bind(checks);
    const between = jest.spyOn(checks, 'find').mockImplementationOnce(async (options) => {
      await checks.update({ id: newer.id }, { state: 'done' });
      return find(options);
    });
    expect((await scene.page(stationId)).check).toMatchObject({ id: newer.id, verdict: 'open' });
    expect(between).toHaveBeenCalled();
    between.mockRestore();
  });
});
