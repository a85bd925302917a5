import { fillPath, routes, type Route, type RouteName } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import type { Router } from 'express';
import { newId } from '../../platform/database/columns.js';
import { makeOneOfEach } from '../../test/one-of-each.js';
import { bodies, lesson, onlyMaterial } from '../../test/route-bodies.js';
import { Scene } from '../../test/scene.js';
import { confirmedMs } from '../account/session.service.js';
import { Session } from '../account/session.entity.js';
import { OwnedIds } from './owned-ids.js';

const all = Object.entries(routes) as unknown as readonly (readonly [RouteName, Route<unknown, unknown>])[];
/** Ids that belong to the school are everybody's. */
const schoolIds = new Set([
  'classId',
  'deviceId',
  'lookId',
  'lookPictureId',
  'sheetTemplateId',
  'studentId',
  'rosterImportId',
  'accountId',
  'invitationId',
]);
/** Words among the caller's own things, and what a description calls itself: nobody else's can be named by them. */
const ownWords = new Set(['tag', 'serviceId', 'pageNumber', 'formerHost']);
const namesIn = (path: string): readonly string[] => [...path.matchAll(/:([a-zA-Z]+)/g)].map(([, name]) => name ?? '');

describe('who may call what', () => {
  let scene: Scene;
  let ids: Record<string, string>;
  /** Tobiah's. */
  let theirs: Record<string, string>;

  beforeAll(async () => {
    scene = await Scene.start();
    theirs = await makeOneOfEach(scene, 'Tobiah');
    ids = await makeOneOfEach(scene);
  });
  afterAll(() => scene.stop());

  const call = async (
    who: string | null,
    [name, route]: readonly [RouteName, Route<unknown, unknown>],
    params: Record<string, string> = ids,
  ) => scene.server.as(who, route.method, fillPath(route.path, params), bodies[name]?.(params));

  it('the server has exactly the routes of the contract', () => {
    const { router } = scene.server.app.getHttpAdapter().getInstance() as { router: Router };
    const served = router.stack.flatMap(({ route }) =>
      route
        ? Object.keys((route as unknown as { methods: Record<string, boolean> }).methods).map(
            (method) => `${method.toUpperCase()} ${route.path}`,
          )
        : [],
    );
    expect(served.sort()).toEqual(all.map(([, route]) => `${route.method} ${route.path}`).sort());
  });

  it.each(all.filter(([, route]) => route.access !== 'anyone'))('%s is closed to strangers', async (name, route) => {
    const response = await call(null, [name, route]);
    expect(response.status).toBe(401);
    if (route.method !== 'HEAD') expect(response.body).toMatchObject({ reason: 'not-signed-in' });
  });

  it.each(all.filter(([, route]) => route.access === 'administrator' || route.access === 'office'))(
    '%s is closed to teachers',
    async (name, route) => {
      const response = await call('Maren', [name, route]);
      expect(response.status).toBe(403);
      expect(response.body).toMatchObject({ reason: 'not-allowed' });
    },
  );

  it.each(all.filter(([, route]) => route.access === 'administrator'))(
    '%s is closed to the office',
    async (name, route) => {
      expect((await call('Hesper', [name, route])).status).toBe(403);
    },
  );

  const allSessions = (change: Pick<Session, 'confirmedAt'>) =>
    scene.server.dataSource.createQueryBuilder().update(Session).set(change).execute();
  const asking = all.filter(([, route]) => route.confirmed);
  it.each(asking)('%s asks for the password again', async (name, route) => {
    const who = route.access === 'staff' ? 'Maren' : 'Pell';
    await allSessions({ confirmedAt: new Date(scene.server.clock.now().getTime() - confirmedMs) });
    const response = await call(who, [name, route]);
    await allSessions({ confirmedAt: scene.server.clock.now() });
    expect(response.status).toBe(403);
    expect(response.body).toMatchObject({ reason: 'password-needed' });
  });

  it('no other route asks for the password again', async () => {
    await allSessions({ confirmedAt: null });
    for (const [name, route] of all.filter(([, { confirmed, method }]) => !confirmed && method === 'GET')) {
      if (name === 'events') continue;
      const response = await call('Pell', [name, route]);
      expect([name, (response.body as { reason?: string }).reason]).not.toEqual([name, 'password-needed']);
    }
    await allSessions({ confirmedAt: scene.server.clock.now() });
  });

  it('an import belongs to its importer and the administrator', async () => {
    const path = `/api/roster-imports/${ids.rosterImportId}/undo`;
    await scene.server.addAccount('Corin', 'office');
    expect((await scene.server.as('Corin', 'GET', path)).status).toBe(404);
    expect((await scene.server.as('Corin', 'DELETE', `/api/roster-imports/${ids.rosterImportId}`)).status).toBe(404);
    for (const who of ['Hesper', 'Pell']) expect((await scene.server.as(who, 'GET', path)).status).toBe(200);
  });

  const owned = all.filter(
    ([, route]) =>
      route.access !== 'anyone' && namesIn(route.path).some((name) => !schoolIds.has(name) && !ownWords.has(name)),
  );
  it.each(owned)('%s hides another teacher’s things, also from the administrator', async (name, route) => {
    for (const who of ['Tobiah', 'Pell']) {
      const response = await call(who, [name, route]);
      expect(response.status).toBe(404);
      if (route.method !== 'HEAD') expect(response.body).toMatchObject({ reason: 'not-found' });
    }
  });

  it.each(all.filter(([, route]) => namesIn(route.path).some((name) => !ownWords.has(name))))(
    '%s answers 404 for ids that don’t exist',
    async (name, route) => {
      const nothing = Object.fromEntries(namesIn(route.path).map((param) => [param, newId()]));
      const who = route.access === 'administrator' || route.access === 'office' ? 'Pell' : 'Maren';
      expect((await call(who, [name, route], nothing)).status).toBe(404);
      const nonsense = Object.fromEntries(namesIn(route.path).map((param) => [param, "' OR 1=1 --"]));
      expect((await call(who, [name, route], nonsense)).status).toBe(404);
    },
  );

  it('every name in a path of the staff is decided about', () => {
    const undecided = all
      .filter(([, route]) => route.access !== 'anyone')
      .flatMap(([name, route]) => namesIn(route.path).map((param) => [name, param] as const))
      .filter(([, param]) => !scene.server.app.get(OwnedIds).decides(param));
    expect(undecided).toEqual([]);
  });

  const isSomebodys = (name: string): boolean => !schoolIds.has(name) && !ownWords.has(name) && name !== 'rehearsalKey';
  const nested = all
    .filter(([, route]) => route.access !== 'anyone')
    .flatMap(([name, route]) =>
      namesIn(route.path)
        .filter(isSomebodys)
        .map((param) => [name, param, route] as const),
    );
  it.each(nested)('%s hides another teacher’s %s among one’s own ids', async (name, param, route) => {
    const others = theirs[param] ?? '';
    expect(others).not.toBe('');
    expect((await call('Maren', [name, route], { ...ids, [param]: others })).status).toBe(404);
  });

  it.each(['stationIds', 'materialIds'] as const)(
    'own %s are not printed together with another teacher’s',
    async (field) => {
      const param = field === 'stationIds' ? 'stationId' : 'materialId';
      const places = {
        lessonId: null,
        stationIds: [],
        materialIds: [],
        tag: null,
        [field]: [ids[param], theirs[param]],
      };
      const printed = async (): Promise<unknown> => await scene.server.ok('Maren', 'GET', '/api/prints');
      const before = await printed();
      for (const name of ['previewSheets', 'makePrint'] as const) {
        const body = { ...(bodies[name]?.(ids) as object), places };
        expect((await scene.server.as('Maren', 'POST', routes[name].path, body)).status).toBe(404);
      }
      expect(await printed()).toEqual(before);
    },
  );

  it('nothing of Maren’s was changed by all those calls', async () => {
    const bench = await scene.bench(ids.lessonId ?? '');
    expect(bench.lesson.version).toBe(1);
    expect(bench.rows.map((row) => row.version)).toEqual([1]);
  });

  it('ids in bodies are checked as well', async () => {
    const own = theirs;
    const theirLesson = await scene.lesson('Tobiah', { classId: null });
    expect(
      (
        await scene.server.as('Tobiah', 'POST', `/api/lessons/${theirLesson}/stations`, {
          items: [],
          materialIds: [ids.materialId],
        })
      ).status,
    ).toBe(404);
    expect(
      (
        await scene.server.as('Tobiah', 'PUT', `/api/lessons/${theirLesson}/station-order`, {
          stationIds: [ids.stationId],
        })
      ).status,
    ).toBe(409);
    expect((await scene.server.as('Tobiah', 'POST', '/api/lessons', { ...lesson, classId: newId() })).status).toBe(404);
    for (const path of ['/api/sheet-previews', '/api/prints']) {
      for (const places of [
        onlyMaterial(ids.materialId ?? ''),
        { ...onlyMaterial(''), materialIds: [], stationIds: [ids.stationId] },
        // One's own among them opens nothing.
        { ...onlyMaterial(''), materialIds: [], stationIds: [own.stationId, ids.stationId] },
        { ...onlyMaterial(''), materialIds: [own.materialId, ids.materialId] },
        { ...onlyMaterial(''), materialIds: [], lessonId: ids.lessonId },
      ]) {
        expect(
          (
            await scene.server.as('Tobiah', 'POST', path, {
              places,
              choices: plainChoices('poster', 'A4'),
              ...(path === '/api/prints' ? { goAhead: [] } : { page: 0 }),
            })
          ).status,
        ).toBe(404);
      }
    }
    // Another teacher's upload makes no picture of one's own.
    expect((await scene.server.as('Tobiah', 'POST', '/api/look-pictures', { uploadId: ids.uploadId })).status).toBe(
      404,
    );
    expect(
      (
        await scene.server.as('Tobiah', 'POST', '/api/classes', {
          name: 'x',
          studentAccounts: 'none',
          deviceIds: [newId()],
        })
      ).status,
    ).toBe(400);
  });

  it('an id under a name that nobody decided about is refused', async () => {
    const [maren] = (await scene.server.dataSource.query('SELECT id FROM accounts WHERE name = ?', ['Maren'])) as {
      id: string;
    }[];
    await expect(
      scene.server.app.get(OwnedIds).mayUse('secretId', newId(), { id: maren?.id } as never),
    ).rejects.toThrow('nobody decided');
  });

  it('unknown addresses of the API are answered as problems, not as pages', async () => {
    const response = await scene.server.as('Maren', 'GET', '/api/nothing-here');
    expect(response.status).toBe(404);
    expect(response.body).toMatchObject({ reason: 'not-found' });
  });
});
