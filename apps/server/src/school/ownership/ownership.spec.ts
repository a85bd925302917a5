import {
  fillPath,
  routes,
  type FileView,
  type LinkCheckAsked,
  type PrintView,
  type ReadCardView,
  type RehearsalAsked,
  type RosterImportView,
  type LookPictureView,
  type LookView,
  type Route,
  type RouteName,
  type SheetTemplateView,
  type SheetView,
  type StudentsPage,
  type TryoutView,
} from '@hapset/contract';
import { plainChoices, genericFigures, plainLook } from '@hapset/core';
import type { Router } from 'express';
import { newId } from '../../platform/database/columns.js';
import { link, Scene, words } from '../../test/scene.js';
import { smallPng } from '../../test/small-png.js';
import { uploaded } from '../../test/upload.js';
import { OwnedIds } from './owned-ids.js';

/** A body that each writing route would take from its rightful caller; ids stand for Maren's things. */
type Bodies = Partial<Record<RouteName, (ids: Readonly<Record<string, string>>) => object>>;
const onlyMaterial = (materialId: string) => ({ lessonId: null, stationIds: [], materialIds: [materialId], tag: null });
const student = { schoolId: '00123', prefix: '', given: 'Ann', middle: '', family: 'Lee', className: '6', year: '' };
const cards = {
  classNames: [],
  studentIds: [],
  onlyNew: false,
  code: 'token',
  perPage: 10,
  paper: 'A4',
  fields: ['class'],
  symbol: null,
  backs: false,
  templateId: null,
};
const lesson = { name: 'x', classId: null, date: null, startsAt: null, place: '', viewingDistanceM: 2 };
const bodies: Bodies = {
  signIn: () => ({ email: 'maren@test.example', password: 'no' }),
  changeSchool: () => ({
    name: 'x',
    timeZone: 'UTC',
    paper: 'A4',
    printerMarginMm: 5,
    duplexEdge: 'long',
    duplexRightMm: 0,
    duplexDownMm: 0,
    publicAddress: 'http://a.example',
    shortLinkHost: null,
    visitorNetworks: [],
    version: 1,
  }),
  createClass: () => ({ name: 'x', studentAccounts: 'none', deviceIds: [] }),
  changeClass: () => ({ name: 'x', studentAccounts: 'none', deviceIds: [], version: 1 }),
  createDevice: () => ({ name: 'x', count: null, ...genericFigures['current-phone'] }),
  changeDevice: () => ({ actsOn: ['link'] }),
  keepService: ({ serviceId = '' }) => ({
    description: { id: serviceId, name: 'x', hosts: ['a.example'], addresses: [], walls: [], mending: [] },
    version: null,
  }),
  tryService: () => ({
    description: { id: 'x', name: 'x', hosts: ['a.example'], addresses: [], walls: [], mending: [] },
    link: 'ftp://a.example',
  }),
  createLesson: () => lesson,
  changeLesson: () => ({ ...lesson, version: 1 }),
  addStations: () => ({ items: [words('x')], materialIds: [] }),
  orderStations: ({ stationId = '' }) => ({ stationIds: [stationId] }),
  changeStation: () => ({ version: 1, name: 'x' }),
  saveStationRehearsal: () => ({ results: [] }),
  makeStationSheet: () => ({ kind: 'poster', paper: 'A4', goAhead: [] }),
  createMaterials: () => ({ items: [words('x')] }),
  changeMaterial: () => ({ version: 1, title: 'x' }),
  saveWrittenPage: () => ({ version: 1, document: { type: 'doc', content: [] }, over: false }),
  bringFile: ({ uploadId = '' }) => ({ uploadId, name: 'x' }),
  renameFile: () => ({ name: 'x', version: 1 }),
  replaceFile: ({ uploadId = '' }) => ({ uploadId }),
  changeShortLink: () => ({ opening: { from: null, until: null, hours: [] } }),
  tellTryout: () => ({ deviceId: null, outcome: 'as-meant' }),
  changeTryout: () => ({ deviceId: null }),
  previewSymbol: () => ({ payload: 'x' }),
  askRehearsal: () => ({
    payload: 'x',
    sizeMm: 100,
    device: { widthPx: 640, fovDeg: 60, blurPx: 0.8, noise: 6, engine: 'zxing' },
  }),
  inspectCode: () => ({ payload: 'x' }),
  createLook: () => ({ name: 'x', design: plainLook }),
  changeLook: () => ({ name: 'x', design: plainLook, version: 1 }),
  allowLook: () => ({ allowed: false }),
  changeLookRules: () => ({ defaultLookId: null, madeBy: 'staff' }),
  bringLookPicture: ({ uploadId = '' }) => ({ uploadId }),
  chooseLessonLook: () => ({ look: 'plain' }),
  showWebPicture: () => ({ shown: true }),
  askLinkCheck: () => ({ link: 'ftp://a.example' }),
  saveMaterialRehearsal: () => ({ results: [] }),
  previewSheets: ({ materialId = '' }) => ({
    places: onlyMaterial(materialId),
    choices: plainChoices('poster', 'A4'),
    page: 0,
  }),
  makePrint: ({ materialId = '' }) => ({
    places: onlyMaterial(materialId),
    choices: plainChoices('poster', 'A4'),
    goAhead: [],
  }),
  changeStudent: () => ({ version: 1, className: '6' }),
  changeTeacherClasses: () => ({ limited: null }),
  eraseStudents: () => ({ className: 'nobody is in this one' }),
  leaveClass: () => ({ className: 'nobody is in this one' }),
  compareRoster: () => ({ students: [student] }),
  importRoster: () => ({ students: [student], leave: false, fileName: 'x.csv' }),
  previewCards: () => ({ wish: cards, page: 0 }),
  makeCards: () => ({ wish: cards }),
  readCard: () => ({ text: '00123' }),
  createSheetTemplate: () => ({ name: 'x', kind: 'poster', accent: '#112233', header: null }),
  changeSheetTemplate: () => ({ name: 'x', accent: '#112233', header: null, version: 1 }),
  chooseUsualSheetTemplate: () => ({ usual: false }),
  makeMaterialSheet: () => ({ kind: 'poster', paper: 'A4', goAhead: [] }),
};
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
]);
/** Words among the caller's own things, and what a description calls itself: nobody else's can be named by them. */
const ownWords = new Set(['tag', 'serviceId', 'pageNumber', 'formerHost']);
const namesIn = (path: string): readonly string[] => [...path.matchAll(/:([a-zA-Z]+)/g)].map(([, name]) => name ?? '');

describe('who may call what', () => {
  let scene: Scene;
  let ids: Record<string, string>;

  beforeAll(async () => {
    scene = await Scene.start();
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link('https://a.example/leaf/x')]);
    const { material, rehearsal } = await scene.page(stationId);
    const sheet = await scene.server.ok<SheetView>('Maren', 'POST', `/api/stations/${stationId}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: ['locked', 'not-opened-yet'],
    });
    const print = await scene.server.ok<PrintView>('Maren', 'POST', '/api/prints', {
      places: onlyMaterial(material.id),
      choices: plainChoices('poster', 'A4'),
      goAhead: ['locked', 'not-opened-yet'],
    });
    const imported = await scene.server.ok<RosterImportView>('Hesper', 'POST', '/api/roster-imports', {
      students: [student],
      leave: false,
      fileName: 'x.csv',
    });
    const [ann] = (await scene.server.ok<StudentsPage>('Maren', 'GET', '/api/students')).rows;
    const reading = await scene.server.ok<ReadCardView>('Maren', 'POST', '/api/card-readings', { text: '00123' });
    const template = await scene.server.ok<SheetTemplateView>('Maren', 'POST', '/api/sheet-templates', {
      name: 'Ours',
      kind: 'poster',
      accent: '#112233',
      header: null,
    });
    const uploadId = await uploaded(scene, 'a few words', 'Maren', false);
    const file = await scene.server.ok<FileView>('Maren', 'POST', '/api/files', {
      uploadId: await uploaded(scene, 'a few words'),
      name: 'words.txt',
    });
    await scene.server.ok('Maren', 'POST', `/api/materials/${material.id}/tryouts`, {
      deviceId: null,
      outcome: 'as-meant',
    });
    const [tryout] = await scene.server.ok<TryoutView[]>('Maren', 'GET', `/api/materials/${material.id}/tryouts`);
    const look = await scene.server.ok<LookView>('Maren', 'POST', '/api/looks', { name: 'Ours', design: plainLook });
    const lookPicture = await scene.server.ok<LookPictureView>('Maren', 'POST', '/api/look-pictures', {
      uploadId: await uploaded(scene, await smallPng()),
    });
    const { id: linkCheckId } = await scene.server.ok<LinkCheckAsked>('Maren', 'POST', '/api/link-checks', {
      link: 'ftp://a.example',
    });
    const { id: rehearsalId } = await scene.server.ok<RehearsalAsked>('Maren', 'POST', '/api/rehearsals', {
      payload: 'x',
      sizeMm: 100,
      device: { widthPx: 640, fovDeg: 60, blurPx: 0.8, noise: 6, engine: 'zxing' },
    });
    const [check] = (await scene.server.dataSource.query('SELECT id FROM access_checks WHERE material_id = ?', [
      material.id,
    ])) as { id: string }[];
    ids = {
      visitorInspectionId: newId(),
      pictureName: 'x.png',
      lookId: look.id,
      lookPictureId: lookPicture.id,
      linkCheckId,
      rehearsalId,
      accessCheckId: check?.id ?? '',
      uploadId,
      fileId: file.id,
      fileToken: 'x',
      variant: 'x',
      pageToken: 'x',
      tag: 'shells',
      formerHost: 'old.example',
      serviceId: 'shellbox',
      lessonId,
      stationId,
      materialId: material.id,
      sheetId: sheet.id,
      printId: print.id,
      pageNumber: '1',
      sheetTemplateId: template.id,
      studentId: ann?.id ?? '',
      rosterImportId: imported.id,
      cardReadingId: reading.readingId ?? '',
      tryoutId: tryout?.id ?? '',
      classId: scene.classId,
      deviceId: scene.deviceIds[0] ?? '',
      rehearsalKey: rehearsal.key,
    };
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

  it('nothing of Maren’s was changed by all those calls', async () => {
    const bench = await scene.bench(ids.lessonId ?? '');
    expect(bench.lesson.version).toBe(1);
    expect(bench.rows.map((row) => row.version)).toEqual([1]);
  });

  it('ids in bodies are checked as well', async () => {
    const theirs = await scene.lesson('Tobiah', { classId: null });
    expect(
      (
        await scene.server.as('Tobiah', 'POST', `/api/lessons/${theirs}/stations`, {
          items: [],
          materialIds: [ids.materialId],
        })
      ).status,
    ).toBe(404);
    expect(
      (await scene.server.as('Tobiah', 'PUT', `/api/lessons/${theirs}/station-order`, { stationIds: [ids.stationId] }))
        .status,
    ).toBe(409);
    expect((await scene.server.as('Tobiah', 'POST', '/api/lessons', { ...lesson, classId: newId() })).status).toBe(404);
    for (const path of ['/api/sheet-previews', '/api/prints']) {
      for (const places of [
        onlyMaterial(ids.materialId ?? ''),
        { ...onlyMaterial(''), materialIds: [], stationIds: [ids.stationId] },
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
