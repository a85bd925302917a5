import { until } from '../../test/until.js';
import type { LiveEvent } from '@hapset/contract';
import { get, type IncomingMessage } from 'node:http';
import { SessionService } from './session.service.js';
import { link, Scene } from '../../test/scene.js';
import { openPage, SmallWeb } from '../../test/small-web.js';
import { TestServer } from '../../test/test-server.js';

describe('live events', () => {
  let web: SmallWeb;
  let scene: Scene;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/open', openPage);
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });

  /** Listens until it is closed. */
  async function listen(
    who: string,
    server = scene.server,
  ): Promise<{ events: LiveEvent[]; response: IncomingMessage; ended: Promise<void> }> {
    const { url, cookie } = await server.listening(who);
    const response = await new Promise<IncomingMessage>((resolve, reject) =>
      get(`${url}/api/events`, { headers: { Cookie: cookie } }, resolve).on('error', reject),
    );
    expect(response.headers['content-type']).toContain('text/event-stream');
    const events: LiveEvent[] = [];
    let text = '';
    response.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const block = text.slice(0, end);
        text = text.slice(end + 2);
        if (block.includes('event: check'))
          events.push(JSON.parse(/^data: (.*)$/m.exec(block)?.[1] ?? 'null') as LiveEvent);
      }
    });
    return { events, response, ended: new Promise((resolve) => response.on('close', () => resolve())) };
  }

  it('tell the owner how checks move on, also from another server, and nobody else', async () => {
    const second = await TestServer.start({ trustedHosts: [web.host], database: scene.server.database });
    const [own, other, atSecond] = [await listen('Maren'), await listen('Tobiah'), await listen('Maren', second)];
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/open'))]);
    const { material } = await scene.page(stationId);
    const isDone = (events: readonly LiveEvent[]): boolean =>
      events.some((event) => event.type === 'check' && event.state === 'done');
    const done = { type: 'check', materialId: material.id, state: 'done' };
    await until(() => Promise.resolve(isDone(own.events) && isDone(atSecond.events)), Boolean);
    expect(own.events).toContainEqual(done);
    expect(atSecond.events).toContainEqual(done);
    expect(own.events.filter((event) => event.type === 'check' && event.state === 'done')).toHaveLength(1);
    expect(other.events).toEqual([]);
    // A page that asked before and listens only now has not seen the change.
    const late = await listen('Maren');
    await until(() => Promise.resolve(isDone(late.events)), Boolean);
    expect(late.events).toContainEqual(done);
    late.response.destroy();
    own.response.destroy();
    other.response.destroy();
    await second.stop();
    await atSecond.ended;
  });

  it('end with the session, also where it was ended at another server', async () => {
    const second = await TestServer.start({ database: scene.server.database });
    const [here, there] = [await listen('Tobiah'), await listen('Tobiah', second)];
    const ended = Promise.all([here.ended, there.ended]);
    // Each server has a session of its own for Tobiah; both are signed out at the first.
    for (const server of [scene.server, second])
      await scene.server.app
        .get(SessionService)
        .signOut(/hapset_session=([^;]+)/.exec(await server.cookieOf('Tobiah'))?.[1] ?? '');
    await ended;
    await second.stop();
  });
});
