import { until } from '../../test/until.js';
import type { LinkCheckAsked, LinkCheckView } from '@hapset/contract';
import { Scene } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';

describe('checking any link', () => {
  let web: SmallWeb;
  let scene: Scene;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/open', openPage);
    web.redirect('/short', '/open');
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  async function checked(link: string): Promise<LinkCheckView> {
    const asked = await scene.server.as('Maren', 'POST', '/api/link-checks', { link });
    expect(asked.status).toBe(202);
    const { id } = asked.body as LinkCheckAsked;
    const view = await until(
      async () => {
        const seen = await scene.server.ok<LinkCheckView>('Maren', 'GET', `/api/link-checks/${id}`);
        if (seen.state !== 'done') expect(seen).toMatchObject({ verdict: null, reasons: [], evidence: null });
        return seen;
      },
      ({ state }) => state === 'done',
      10_000,
    );
    expect(view.state).toBe('done');
    return view;
  }

  it('answers with verdict, reasons, rights and evidence with its hops', async () => {
    const view = await checked(web.address('/short'));
    expect(view).toMatchObject({
      verdict: 'open',
      reasons: [{ reason: 'shows-content' }],
      rights: { look: true },
      doubts: [],
      evidence: {
        ending: 'answered',
        status: 200,
        title: 'Field guide to limpets',
        finalAddress: web.address('/open'),
      },
    });
    expect(view.evidence?.hops.map(({ status }) => status)).toEqual([302, 200]);
  });

  it.each([
    ['http://192.168.4.10/plan', 'refused', 'guarded-address'],
    ['not a link at all', 'refused', 'not-a-web-address'],
    ['http://no-such-name.invalid/', 'failing', 'name-not-found'],
  ])('%s is %s', async (given, verdict, reason) =>
    expect(await checked(given)).toMatchObject({ verdict, reasons: [{ reason }] }),
  );

  it('refuses a body that holds no link, and shows nobody another’s check', async () => {
    expect((await scene.server.as('Maren', 'POST', '/api/link-checks', { link: '' })).status).toBe(400);
    expect((await scene.server.as('Maren', 'POST', '/api/link-checks', { link: 'x'.repeat(9000) })).status).toBe(400);
    const { id } = await scene.server.ok<LinkCheckAsked>('Maren', 'POST', '/api/link-checks', {
      link: web.address('/open'),
    });
    expect((await scene.server.as('Tobiah', 'GET', `/api/link-checks/${id}`)).status).toBe(404);
  });
});
