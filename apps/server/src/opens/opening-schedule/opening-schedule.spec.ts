import type { NewsItem } from '@hapset/contract';
import { AccessCheck } from '../access-check/access-check.entity.js';
import { link, Scene } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';
import { TestServer } from '../../test/test-server.js';
import { OpeningScheduleService } from './opening-schedule.service.js';

const locked =
  '<title>Sign in</title><form method="post"><input name="user"><input type="password"><button>Sign in</button></form>';

describe('opening coming lessons by the clock, and the news of it', () => {
  let web: SmallWeb;
  let scene: Scene;
  let lessonId: string;
  const schedule = (server = scene.server): Promise<readonly string[]> =>
    server.app.get(OpeningScheduleService).openWhatIsDue();
  const news = (who = 'Maren'): Promise<readonly NewsItem[]> =>
    scene.server.ok<readonly NewsItem[]>(who, 'GET', '/api/news');
  const at = (time: string): void => scene.server.clock.advance(Date.parse(time) - scene.server.clock.now().getTime());

  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/bank', openPage);
    web.html('/guide', openPage);
    scene = await Scene.start({ trustedHosts: [web.host] });
    lessonId = await scene.lesson('Maren', { date: '2026-11-22', startsAt: '09:40' });
    await scene.stations(lessonId, [link(web.address('/bank')), link(web.address('/guide'))]);
    await scene.opened(lessonId);
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  it('says nothing while nothing changed', async () => expect(await news()).toEqual([]));

  it('opens them the evening before, once, whichever of two servers comes first', async () => {
    const second = await TestServer.start({ trustedHosts: [web.host], database: scene.server.database });
    at('2026-11-21T17:59:00Z');
    expect(await schedule()).toEqual([]);
    web.html('/bank', locked);
    at('2026-11-21T18:01:00Z');
    second.clock.advance(scene.server.clock.now().getTime() - second.clock.now().getTime());
    const opened = await Promise.all([schedule(), schedule(second), schedule(), schedule(second)]);
    expect(opened.flat()).toEqual([lessonId]);
    await scene.opened(lessonId);
    await second.stop();
    expect(await scene.server.dataSource.getRepository(AccessCheck).countBy({ state: 'done' })).toBe(4);
  });

  it('tells its owner what does not open any more, and nobody else', async () => {
    expect(await news()).toMatchObject([
      {
        name: 'Field guide to limpets',
        lessonId,
        lessonName: 'Life between the tides',
        before: 'open',
        now: 'sign-in',
        noticedAt: scene.server.clock.now().toISOString(),
      },
    ]);
    expect(await news('Tobiah')).toEqual([]);
  });

  it('opens them an hour before once more, and the news ends when it opens again', async () => {
    web.html('/bank', openPage);
    at('2026-11-22T08:41:00Z');
    expect(await schedule()).toEqual([lessonId]);
    await scene.opened(lessonId);
    expect(await news()).toEqual([]);
    expect(await schedule()).toEqual([]);
  });

  it('leaves lessons alone that have begun, are removed or far away', async () => {
    const far = await scene.lesson('Maren', { date: '2026-12-10' });
    const removed = await scene.lesson('Maren', { date: '2026-11-22', startsAt: '10:30' });
    await scene.server.ok('Maren', 'DELETE', `/api/lessons/${removed}`);
    at('2026-11-22T09:45:00Z');
    expect(await schedule()).toEqual([]);
    expect(far).toBeTruthy();
  });
});
