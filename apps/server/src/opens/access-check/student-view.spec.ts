import type { EarlierCheck, LinkCheckAsked, LinkCheckView, MaterialPage } from '@hapset/contract';
import { findChromium } from '../../platform/configuration/find-program.js';
import { Storage } from '../../platform/storage/storage.js';
import { link, Scene } from '../../test/scene.js';
import { openPage, SmallWeb, someText } from '../../test/small-web.js';
import { until } from '../../test/until.js';
import { StudentViews } from '../student-view/student-views.js';
import { viewLimits } from '../student-view/view-page.js';
import { AccessCheck } from './access-check.entity.js';

const drawnLater = (html: string): string =>
  `<title>Wait</title><div id="a"></div><script>setTimeout(() => { document.title = 'Tides'; a.innerHTML = ${JSON.stringify(html)} }, 100)</script>`;

describe('seeing what students see', () => {
  let web: SmallWeb;
  let scene: Scene;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/drawn', drawnLater(`<h1>Low tide</h1><p>${someText}</p>`));
    web.html('/wall', drawnLater('<h1>Přihlaste se</h1><p>Toto je jen pro třídu.</p>'));
    web.html(
      '/layer',
      `${openPage}<script>setTimeout(() => document.body.insertAdjacentHTML('beforeend', '<div style="position:fixed;inset:0;background:#fff">Vyberte účet</div>'), 100)</script>`,
    );
    web.html('/plain', openPage);
    web.html('/locked', '<title>Sign in</title><form method="post"><input type="password"></form>');
    web.html(
      '/folder',
      drawnLater(
        `<h1>Shelf</h1><a href="/plain">Field guide</a><a href="/locked">Answers</a><a href="/drawn">Tides</a><a href="/drawn-locked">Marks</a>`,
      ),
    );
    web.html('/drawn-locked', drawnLater('<h1>Sign in</h1><form><input type="email"><input type="password"></form>'));
    scene = await Scene.start({ trustedHosts: [web.host], chromiumProgram: findChromium() });
    const views = scene.server.app.get(StudentViews);
    views.limits = { ...viewLimits, quietMs: 200, watchedMs: 300, watchedShortMs: 500 };
    views.sandbox = process.getuid?.() !== 0;
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  const dayAhead = (days: number): string =>
    new Date(scene.server.clock.now().getTime() + days * 24 * 3600 * 1000).toISOString().slice(0, 10);
  /** Pages of the stations, once all of their views have ended. */
  const seen = async (paths: readonly string[], more: object = {}, date?: string): Promise<readonly MaterialPage[]> => {
    const lessonId = await scene.lesson('Maren', date === undefined ? {} : { date });
    const ids = await scene.stations(
      lessonId,
      paths.map((path) => ({ ...link(web.address(path)), ...more })),
    );
    await scene.opened(lessonId);
    return Promise.all(
      ids.map((id) =>
        until(
          () => scene.page(id),
          ({ check }) => !/^(?:waiting|drawing)$/.test(check?.studentView?.state ?? ''),
        ),
      ),
    );
  };

  it('says open only where what a script draws proves it, and shows a picture', async () => {
    const [drawn, wall, layer] = await seen(['/drawn', '/wall', '/layer']);
    expect(drawn?.check).toMatchObject({
      verdict: 'open',
      title: 'Tides',
      reasons: [{ reason: 'shows-content' }],
      studentView: { state: 'seen', hasPicture: true, isCovered: false, withoutScripts: { title: 'Wait' } },
    });
    expect(drawn?.material.title).toBe('Tides');
    expect(wall?.check).toMatchObject({ verdict: 'unknown', reasons: [{ reason: 'no-proof' }] });
    expect(layer?.check).toMatchObject({
      verdict: 'unknown',
      reasons: [{ reason: 'covered', detail: 'Vyberte účet' }, { reason: 'no-proof' }],
      studentView: { state: 'seen', isCovered: true },
    });
    const picture = await scene.server.as('Maren', 'GET', `/api/access-checks/${drawn?.check?.id}/student-view`);
    expect([picture.status, picture.headers['content-type']]).toEqual([200, 'image/jpeg']);
    const { status } = await scene.server.as('Tobiah', 'GET', `/api/access-checks/${drawn?.check?.id}/student-view`);
    expect(status).toBe(404);
  });

  it('looks at a page without scripts only for a lesson of the coming week, and then also at what is locked', async () => {
    const [far] = await seen(['/plain'], {}, dayAhead(30));
    expect(far?.check).toMatchObject({ verdict: 'open', studentView: null });
    const [near, locked] = await seen(['/plain', '/locked'], {}, dayAhead(3));
    expect(near?.check).toMatchObject({ verdict: 'open', studentView: { state: 'seen', withoutScripts: null } });
    expect(locked?.check).toMatchObject({ verdict: 'sign-in', studentView: { state: 'seen', hasPicture: true } });
  });

  it('opens what a drawn folder links to, and names what is locked', async () => {
    const [folder] = await seen(['/folder'], { kind: 'folder' });
    expect(folder?.check).toMatchObject({
      verdict: 'partial',
      inside: {
        opened: 4,
        locked: [
          { name: 'Answers', verdict: 'sign-in' },
          { name: 'Marks', verdict: 'sign-in' },
        ],
      },
    });
  });

  it('keeps the pictures of the last two checks alone', async () => {
    const [page] = await seen(['/drawn']);
    const id = page?.material.id ?? '';
    const again = async (): Promise<void> => {
      await scene.server.ok('Maren', 'POST', `/api/materials/${id}/access-checks`);
      await until(
        () => scene.server.dataSource.getRepository(AccessCheck).findBy({ materialId: id }),
        (rows) => rows.every(({ state, view }) => state === 'done' && view === 'seen'),
      );
    };
    await again();
    await again();
    const earlier = await scene.server.ok<readonly EarlierCheck[]>(
      'Maren',
      'GET',
      `/api/materials/${id}/access-checks`,
    );
    expect(earlier.map(({ hasView }) => hasView)).toEqual([true, true, false]);
    const rows = await scene.server.dataSource.getRepository(AccessCheck).findBy({ materialId: id });
    const storage = scene.server.app.get(Storage, { strict: false });
    for (const { viewKey } of rows) if (viewKey !== null) expect(await storage.sizeOf(viewKey)).toBeGreaterThan(1000);
  });

  it('is done for a link by itself that somebody of the staff asks for, without a picture', async () => {
    const { id } = await scene.server.ok<LinkCheckAsked>('Maren', 'POST', '/api/link-checks', {
      link: web.address('/drawn'),
    });
    const check = await until(
      () => scene.server.ok<LinkCheckView>('Maren', 'GET', `/api/link-checks/${id}`),
      ({ state, evidence }) => {
        expect(evidence !== null).toBe(state === 'done');
        return state === 'done';
      },
    );
    expect(check).toMatchObject({ verdict: 'open', evidence: { title: 'Tides' } });
    const row = await scene.server.dataSource.getRepository(AccessCheck).findOneByOrFail({ id });
    expect(row).toMatchObject({ view: 'seen', viewKey: null });
  });

  it('is begun again where the browser was killed meanwhile', async () => {
    const views = scene.server.app.get(StudentViews);
    let killed = 0;
    web.pages.set('/killing', (request, response) => {
      const isBrowser = /Mobile/.test(request.headers['user-agent'] ?? '');
      if (isBrowser && killed === 0) for (const pid of views.pids) killed = Number(process.kill(pid, 'SIGKILL'));
      response.writeHead(200, { 'Content-Type': 'text/html' }).end(drawnLater(`<h1>Low tide</h1><p>${someText}</p>`));
    });
    const lessonId = await scene.lesson();
    const [id = ''] = await scene.stations(lessonId, [link(web.address('/killing'))]);
    const page = await until(
      async () => {
        await scene.server.waitingJobsAreDue();
        return scene.page(id);
      },
      ({ check }) => check?.studentView?.state === 'seen',
    );
    expect(page.check).toMatchObject({ verdict: 'open', studentView: { state: 'seen', hasPicture: true } });
    expect(killed).toBe(1);
  });

  it('leaves the plain verdict where nothing could be seen, and where it was stopped', async () => {
    web.html('/hangs', '<title>Hangs</title><script>while (true) {}</script>');
    scene.server.app.get(StudentViews).limits = { ...viewLimits, totalMs: 1500 };
    const [page] = await seen(['/hangs']);
    expect(page?.check).toMatchObject({ verdict: 'unknown', studentView: { state: 'failed', hasPicture: false } });
  });
});

describe('a server without a browser', () => {
  it('checks as before, and says what is missing', async () => {
    const web = await SmallWeb.start();
    web.html('/drawn', drawnLater('<p>Low tide'));
    const scene = await Scene.start({ trustedHosts: [web.host] });
    const lessonId = await scene.lesson();
    const [id = ''] = await scene.stations(lessonId, [link(web.address('/drawn'))]);
    await scene.opened(lessonId);
    expect((await scene.page(id)).check).toMatchObject({ verdict: 'unknown', studentView: { state: 'no-browser' } });
    await scene.stop();
    await web.stop();
  });
});
