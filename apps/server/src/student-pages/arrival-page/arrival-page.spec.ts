import type { ArrivalMade, SetupSteps } from '@hapset/contract';
import request from 'supertest';
import { student } from '../../test/route-bodies.js';
import { Scene } from '../../test/scene.js';

const phone =
  'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Mobile/15E148 Safari/604.1';
const hourMs = 3600 * 1000;

describe('the setup of a school', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start({ proxies: ['127.0.0.1'] });
  });
  afterAll(() => scene.stop());

  const steps = () => scene.server.ok<SetupSteps>('Pell', 'GET', '/api/setup-steps');
  const make = async (): Promise<string> => (await scene.server.ok<ArrivalMade>('Pell', 'POST', '/api/arrivals')).token;
  const scan = (token: string, userAgent = phone, language = 'en') =>
    request(scene.server.app.getHttpServer()).get(`/p/arrivals/${token}`).set({
      'User-Agent': userAgent,
      Host: 'hapset.school.example',
      'X-Forwarded-Proto': 'https',
      'Accept-Language': language,
    });

  it('shows that a phone reached the server, by which address, in the phone’s language', async () => {
    expect((await steps()).arrival).toBeNull();
    const token = await make();
    const page = await scan(token, phone, 'de').expect(200);
    expect(page.text).toContain('Dieses Handy hat den Server der Schule erreicht');
    expect(page.headers['set-cookie']).toBeUndefined();
    expect((await steps()).arrival).toEqual({
      arrivedAt: scene.server.clock.now().toISOString(),
      address: 'https://hapset.school.example',
      device: 'Safari on iOS',
    });
  });

  it('does not count the device that shows the code', async () => {
    const before = (await steps()).arrival;
    scene.server.clock.advance(1000);
    const token = await make();
    expect((await scan(token, '').expect(200)).text).toContain('Scan the code with another device');
    expect((await steps()).arrival).toEqual(before);
    await scan(token).expect(200);
    expect((await steps()).arrival?.arrivedAt).toBe(scene.server.clock.now().toISOString());
  });

  it('takes a code for an hour, and none that was not made', async () => {
    const token = await make();
    const newer = await make();
    await scan(token).expect(404);
    await scan('nonsense').expect(404);
    scene.server.clock.advance(hourMs);
    await scan(newer).expect(404);
  });

  it('counts what is there', async () => {
    const before = await steps();
    expect(before).toMatchObject({
      devices: 2,
      colleagues: 3,
      students: 0,
      shortLinkHost: null,
      printerTestedAt: null,
    });
    await scene.importRoster([student]);
    await scene.server.file('Maren', '/api/printer-test');
    expect(await steps()).toMatchObject({ students: 1, printerTestedAt: scene.server.clock.now().toISOString() });
  });
});
