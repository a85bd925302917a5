import request from 'supertest';
import { sheetWarnings, type MaterialPage, type PrintView } from '@hapset/contract';
import { plainChoices, slugOf } from '@hapset/core';
import { readConfiguration } from '../configuration/configuration.js';
import { DatabaseGate } from '../../test/database-gate.js';
import { link, Scene } from '../../test/scene.js';
import { until } from '../../test/until.js';
import { TestServer } from '../../test/test-server.js';

const realSocket = readConfiguration().database.socket ?? '';

describe('while the database is away', () => {
  let gate: DatabaseGate;
  let scene: Scene;
  let rejections = 0;
  const count = (): void => void (rejections += 1);
  beforeAll(async () => {
    process.on('unhandledRejection', count);
    gate = await DatabaseGate.start(realSocket);
    scene = await Scene.start({ databaseSocket: gate.socket });
  });
  afterAll(async () => {
    await scene.stop();
    await gate.stop();
    process.off('unhandledRejection', count);
  });

  const get = (path: string) => request(scene.server.app.getHttpServer()).get(path);

  it('the server lives, says so, keeps redirecting, and goes on by itself afterwards', async () => {
    const lesson = await scene.lesson();
    const [station = ''] = await scene.stations(lesson, [link('https://a.example/tides')]);
    const { material } = await scene.page(station);
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${material.id}`, { version: 1, carry: 'short-link' });
    const { shortLink } = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${material.id}`);
    const cookie = await scene.server.cookieOf('Maren');
    const manyTimes = { ...plainChoices('poster', 'A4'), copies: 25 };
    const print = await scene.server.ok<PrintView>('Maren', 'POST', '/api/prints', {
      places: { lessonId: null, stationIds: [], materialIds: [material.id], tag: null },
      choices: manyTimes,
      goAhead: sheetWarnings,
    });
    await scene.server.ok('Maren', 'POST', `/api/lessons/${lesson}/access-checks`);

    await gate.shut();
    expect((await get('/api/health')).body).toMatchObject({ database: 'down' });
    expect((await get('/api/health')).status).toBe(200);
    const ready = await get('/api/ready');
    expect([ready.status, ready.body.reason, ready.headers['retry-after']]).toEqual([503, 'unavailable', '5']);
    const staff = await get('/api/lessons').set('Cookie', cookie);
    expect([staff.status, staff.body.reason]).toEqual([503, 'unavailable']);
    for (const path of ['/p/abcdefgh23456789', '/k/abcdefgh23456789', `/K/${slugOf([1, 2, 3, 4, 5, 6, 7])}`]) {
      const page = await get(path);
      expect([page.status, page.headers['content-type']]).toEqual([503, 'text/html; charset=utf-8']);
      expect(page.text).toContain('can’t be shown right now');
    }
    const redirect = await get(`/K/${shortLink?.slug}`);
    expect([redirect.status, redirect.headers.location]).toEqual([302, 'https://a.example/tides']);

    // Another server changes the target meanwhile. This server must see it after any length of outage.
    const other = await TestServer.start({ database: scene.server.database });
    const now = await other.ok<MaterialPage>('Maren', 'GET', `/api/materials/${material.id}`);
    await other.ok('Maren', 'PATCH', `/api/materials/${material.id}`, {
      version: now.material.version,
      link: 'https://a.example/new',
    });
    await other.dataSource.query('UPDATE short_links SET changed_at = NOW(3) - INTERVAL 1 HOUR');
    await other.stop();

    await gate.restore();
    await until(
      async () => (await get('/api/ready')).status,
      (status) => status === 200,
    );
    expect((await get('/api/lessons').set('Cookie', cookie)).status).toBe(200);
    await until(
      async () => (await get(`/K/${shortLink?.slug}`)).headers.location,
      (location) => location === 'https://a.example/new',
      40_000,
    );
    // What was being drawn is not lost: it is done, or waits to be tried again.
    const drawn = async (): Promise<string> => {
      await scene.server.waitingJobsAreDue();
      return (await scene.server.ok<PrintView>('Maren', 'GET', `/api/prints/${print.id}`)).state;
    };
    await until(drawn, (state) => state === 'done');
    expect(rejections).toBe(0);
  });
});
