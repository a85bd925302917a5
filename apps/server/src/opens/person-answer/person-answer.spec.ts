import type { MaterialPage } from '@hapset/contract';
import { link, Scene, words } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';
import { until } from '../../test/until.js';

describe('what a person says after trying it', () => {
  let scene: Scene;
  let web: SmallWeb;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/drawn', '<title>App</title><script src="app.js"></script>');
    web.html('/open', openPage);
    web.html('/locked', '<title>Sign in</title>', 401);
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  const opened = async (path: string): Promise<MaterialPage> => {
    const lessonId = await scene.lesson('Maren', { date: null });
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address(path))]);
    await scene.opened(lessonId);
    return scene.page(stationId);
  };
  const say = (id: string, opens: boolean, who = 'Maren'): Promise<unknown> =>
    scene.server.ok(who, 'PUT', `/api/materials/${id}/person-answer`, { opens });
  const opensOf = async (id: string): Promise<MaterialPage['readiness']['opens']> =>
    (await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`)).readiness.opens;

  it('decides where the check can’t tell, with name and date', async () => {
    const { material, readiness } = await opened('/drawn');
    expect(readiness.opens).toMatchObject({ state: 'look-at', verdict: 'unknown', answer: null });
    await say(material.id, true);
    const at = scene.server.clock.now().toISOString();
    expect(await opensOf(material.id)).toMatchObject({
      state: 'done',
      verdict: 'unknown',
      answer: { opens: true, by: 'Maren', at },
    });
    await say(material.id, false);
    expect(await opensOf(material.id)).toMatchObject({ state: 'stop', answer: { opens: false } });
    await scene.server.ok('Maren', 'DELETE', `/api/materials/${material.id}/person-answer`);
    expect(await opensOf(material.id)).toMatchObject({ state: 'look-at', answer: null });
  });

  it('grows old like a check', async () => {
    const { material } = await opened('/drawn');
    await say(material.id, true);
    scene.server.clock.advance(15 * 24 * 3600 * 1000);
    expect(await opensOf(material.id)).toMatchObject({ state: 'look-at', stale: true, answer: { opens: true } });
  });

  it('holds while the check finds the same page, and is asked for again when that is clearly another one', async () => {
    const note = (more: string): string =>
      `<title>Meeting</title><h1>Meeting</h1><p>We meet at the third breakwater at low tide, with boots and a ruler.${more}</p>`;
    web.html('/note', note(' 3 read it.'));
    const { material } = await opened('/note');
    await say(material.id, true);
    const again = async (): Promise<MaterialPage['readiness']['opens']> => {
      await scene.server.ok('Maren', 'POST', `/api/materials/${material.id}/access-checks`);
      return until(
        () => opensOf(material.id),
        ({ opening }) => !opening,
      );
    };
    scene.server.clock.advance(14.1 * 24 * 3600 * 1000);
    web.html('/note', note(' 41 read it.'));
    expect(await again()).toMatchObject({ state: 'done', stale: false, answer: { opens: true }, answerBefore: null });
    web.html('/note', '<title>Meeting</title><p>To go on, ask whoever owns this board to let you in.</p>');
    expect(await again()).toMatchObject({
      state: 'look-at',
      verdict: 'unknown',
      answer: null,
      answerBefore: { opens: true, by: 'Maren' },
    });
    await say(material.id, false);
    expect(await opensOf(material.id)).toMatchObject({ state: 'stop', answer: { opens: false }, answerBefore: null });
  });

  it('does not talk away what is known for certain, but a no counts', async () => {
    const locked = await opened('/locked');
    await say(locked.material.id, true);
    expect(await opensOf(locked.material.id)).toMatchObject({ state: 'stop', verdict: 'sign-in', answer: null });
    const open = await opened('/open');
    await say(open.material.id, false);
    expect(await opensOf(open.material.id)).toMatchObject({ state: 'stop', verdict: 'open', answer: { opens: false } });
  });

  it('says nothing about another link', async () => {
    const { material } = await opened('/drawn');
    await say(material.id, true);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: material.version,
      link: web.address('/drawn?other'),
    });
    expect((await opensOf(material.id)).answer).toBeNull();
  });

  it('has nothing to say about words, which are in the code', async () => {
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [words('Who am I?')],
    });
    const response = await scene.server.as('Maren', 'PUT', `/api/materials/${materialIds[0] ?? ''}/person-answer`, {
      opens: true,
    });
    expect(response.status).toBe(400);
    expect(response.body).toMatchObject({ reason: 'invalid' });
  });
});
