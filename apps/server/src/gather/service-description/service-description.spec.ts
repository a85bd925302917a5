import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { MaterialPage, Problem, ServiceTryoutView, ServiceView } from '@hapset/contract';
import { addressRoles, linkKinds, type ServiceDescription } from '@hapset/core';
import { link, Scene } from '../../test/scene.js';
import { SmallWeb, openPage } from '../../test/small-web.js';
import { demoServices, TestServer } from '../../test/test-server.js';
import { shapeProblems } from './description-shape.js';
import { readInstalledServices } from './installed-services.js';
import { DescribedService } from './service-description.entity.js';

const shellbox: ServiceDescription = {
  id: 'shellbox',
  name: 'Shellbox',
  hosts: ['school.localhost'],
  addresses: [
    { role: 'editor', kind: 'folder', path: '/box/{box}/inside', studentLink: '/box/{box}' },
    { role: 'student', kind: 'folder', pattern: '^/box/[^/]+$' },
  ],
  walls: [{ verdict: 'closed', words: ['The lid is on'] }],
  fixes: [{ verdicts: ['closed'], steps: ['In Shellbox lift **the lid**.'] }],
};

describe('the shape of a description', () => {
  it('is that of every description which comes along', () => {
    const installed = readInstalledServices(demoServices);
    expect(installed.map(({ description }) => description.id)).toEqual(
      readdirSync(demoServices)
        .map((name) => name.replace('.json', ''))
        .sort(),
    );
    expect(installed.flatMap(({ problems }) => problems)).toEqual([]);
  });

  it('names the same parts and kinds in the schema that people read as in the code', () => {
    const schema = JSON.parse(
      readFileSync(join(demoServices, '../../docs/service-description.schema.json'), 'utf8'),
    ) as { $defs: { address: { properties: { role: { enum: string[] }; kind: { enum: string[] } } } } };
    expect(schema.$defs.address.properties.role.enum).toEqual([...addressRoles]);
    expect(schema.$defs.address.properties.kind.enum).toEqual([...linkKinds]);
  });

  it.each<[string, unknown, string]>([
    ['no object', 'shellbox', ': wrong-kind'],
    ['a field too few', { ...shellbox, name: undefined }, 'name: missing'],
    ['a field too many', { ...shellbox, colour: 'red' }, 'colour: unknown-field'],
    [
      'an unknown part',
      { ...shellbox, addresses: [{ role: 'boss', kind: 'form', path: '/x' }] },
      'addresses.0.role: wrong-value',
    ],
    ['an id with blanks', { ...shellbox, id: 'shell box' }, 'id: wrong-value'],
    [
      'a script in the owner’s page',
      { ...shellbox, fixes: [{ verdicts: ['closed'], steps: ['x'], ownerPage: 'javascript:alert(1)' }] },
      'fixes.0.ownerPage: wrong-value',
    ],
    [
      'too many hosts',
      { ...shellbox, hosts: Array.from({ length: 51 }, (_, index) => `h${index}.example`) },
      'hosts: too-long',
    ],
  ])('is told from %s', (_, given, problem) => {
    const json: unknown = JSON.parse(JSON.stringify(given));
    expect(shapeProblems(json).map(({ path, reason }) => `${path}: ${reason}`)).toEqual([problem]);
  });
});

describe('the school’s services', () => {
  let scene: Scene;
  let web: SmallWeb;
  beforeAll(async () => {
    web = await SmallWeb.start();
    web.html('/box/shells', openPage);
    web.html('/box/shut', '<title>Shellbox</title><p>The lid is on.</p>');
    scene = await Scene.start({ trustedHosts: [web.host] });
  });
  afterAll(async () => {
    await scene.stop();
    await web.stop();
  });
  beforeEach(() => scene.server.dataSource.getRepository(DescribedService).clear());

  const services = (): Promise<readonly ServiceView[]> => scene.server.ok('Maren', 'GET', '/api/services');
  const keep = (description: unknown, version: number | null = null, id = 'shellbox') =>
    scene.server.as('Pell', 'PUT', `/api/services/${id}`, { description, version });
  const add = async (address: string): Promise<MaterialPage> => {
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [link(address)],
    });
    return scene.server.ok('Maren', 'GET', `/api/materials/${materialIds[0] ?? ''}`);
  };

  it('are read by teachers, and changed by the administrator alone', async () => {
    expect((await services()).map(({ id, origin }) => `${id} ${origin}`)).toEqual([
      'askleaf installed',
      'cofferlane installed',
      'glimreel installed',
      'hushtone installed',
    ]);
    expect(
      (await scene.server.as('Maren', 'PUT', '/api/services/shellbox', { description: shellbox, version: null }))
        .status,
    ).toBe(403);
    expect((await keep(shellbox)).status).toBe(200);
    expect((await services()).find(({ id }) => id === 'shellbox')).toEqual({
      id: 'shellbox',
      name: 'Shellbox',
      origin: 'school',
      replacesInstalled: false,
      description: shellbox,
      problems: [],
      version: 1,
    });
  });

  it('tell kind, part and student’s link of what is added from then on', async () => {
    expect((await add(web.address('/box/shells/inside'))).material).toMatchObject({ kind: 'web-page', at: null });
    await keep(shellbox);
    expect((await add(web.address('/box/shells/inside'))).material).toMatchObject({
      kind: 'folder',
      at: { service: 'Shellbox', role: 'editor', studentLink: web.address('/box/shells') },
    });
    expect((await add(web.address('/box/shells'))).material).toMatchObject({
      kind: 'folder',
      at: { role: 'student', studentLink: null },
    });
  });

  it('tell the walls and the steps of a check', async () => {
    await keep(shellbox);
    const lessonId = await scene.lesson();
    const [stationId = ''] = await scene.stations(lessonId, [link(web.address('/box/shut'))]);
    await scene.opened(lessonId);
    expect((await scene.page(stationId)).check).toMatchObject({
      verdict: 'closed',
      reasons: [{ reason: 'says-closed', detail: 'The lid is on' }],
      remedy: { service: 'Shellbox', steps: ['In Shellbox lift **the lid**.'] },
    });
  });

  it('are refused with the place of every problem', async () => {
    const response = await keep({
      ...shellbox,
      hosts: ['https://a.example'],
      addresses: [{ role: 'editor', kind: 'form', pattern: '(' }],
    });
    expect(response.status).toBe(400);
    const { reason, fields } = response.body as Problem;
    expect(reason).toBe('invalid');
    expect(fields).toEqual([
      { field: 'hosts.0', message: 'host-unusable', detail: 'https://a.example' },
      { field: 'addresses.0.pattern', message: 'pattern-unusable', detail: expect.stringContaining('(') as string },
    ]);
    expect((await keep(shellbox, null, 'other')).body).toMatchObject({ reason: 'invalid', fields: [{ field: 'id' }] });
    expect((await services()).some(({ id }) => id === 'shellbox')).toBe(false);
  });

  it('refuse a change of what somebody else changed meanwhile', async () => {
    await keep(shellbox);
    expect((await keep({ ...shellbox, name: 'Shell box' }, 1)).body).toMatchObject({ name: 'Shell box', version: 2 });
    expect((await keep(shellbox, 1)).body).toMatchObject({ reason: 'stale' });
    expect((await keep(shellbox, null)).body).toMatchObject({ reason: 'stale' });
  });

  it('stand in the place of an installed one until they are removed', async () => {
    const [askleaf] = await services();
    const changed = { ...askleaf?.description, name: 'Our Askleaf' };
    expect((await keep(changed, null, 'askleaf')).body).toMatchObject({ origin: 'school', replacesInstalled: true });
    expect((await services()).map(({ name }) => name)).toEqual(['Cofferlane', 'Glimreel', 'Hushtone', 'Our Askleaf']);
    await scene.server.ok('Pell', 'DELETE', '/api/services/askleaf');
    expect((await services()).map(({ name }) => name)).toEqual(['Askleaf', 'Cofferlane', 'Glimreel', 'Hushtone']);
    expect((await scene.server.as('Pell', 'DELETE', '/api/services/askleaf')).status).toBe(404);
  });

  it('spoil nothing when one in the table can’t be used: it is named and left out', async () => {
    await keep(shellbox);
    const rows = scene.server.dataSource.getRepository(DescribedService);
    await rows.insert({
      id: 'broken',
      description: { id: 'broken', name: 'Broken', hosts: 'school.localhost' } as never,
      version: 1,
      changedAt: new Date(),
    });
    await rows.insert({
      id: 'aaa-odd',
      description: { ...shellbox, id: 'aaa-odd', name: 'Odd', walls: [{ verdict: 'closed', pattern: '(?<=x)' }] },
      version: 1,
      changedAt: new Date(),
    });
    expect((await add(web.address('/box/shells'))).material.at?.service).toBe('Shellbox');
    const listed = await services();
    expect(listed.find(({ id }) => id === 'broken')).toMatchObject({
      name: 'Broken',
      problems: expect.arrayContaining([{ path: 'hosts', reason: 'wrong-kind', detail: '' }]) as unknown,
    });
    expect(listed.find(({ id }) => id === 'aaa-odd')?.problems).toMatchObject([
      { path: 'walls.0.pattern', reason: 'pattern-unusable' },
    ]);
  });

  it('are tried out on a link before they are kept', async () => {
    const tried = await scene.server.ok<ServiceTryoutView>('Pell', 'POST', '/api/service-tryouts', {
      description: { ...shellbox, tracking: ['lid'] },
      link: web.address('/box/shut?lid=2'),
    });
    expect(tried).toMatchObject({
      belongs: true,
      role: 'student',
      kind: 'folder',
      studentLink: null,
      tracking: ['lid'],
      verdict: 'closed',
      reasons: [{ reason: 'says-closed', detail: 'The lid is on' }],
      title: 'Shellbox',
      steps: ['In Shellbox lift **the lid**.'],
    });
    expect((await services()).some(({ id }) => id === 'shellbox')).toBe(false);
    const guarded = await scene.server.ok<ServiceTryoutView>('Pell', 'POST', '/api/service-tryouts', {
      description: shellbox,
      link: 'http://127.0.0.1:8080/x',
    });
    expect(guarded).toMatchObject({ belongs: false, verdict: 'refused' });
  });
});

describe('descriptions that come with the installation', () => {
  it('are named when they can’t be read, and the server starts all the same', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'services-'));
    writeFileSync(join(folder, 'good.json'), JSON.stringify({ ...shellbox, id: 'good' }));
    writeFileSync(join(folder, 'torn.json'), '{ "id": ');
    writeFileSync(join(folder, 'notes.txt'), 'nothing');
    const server = await TestServer.start({ servicesFolder: folder });
    await server.addAccount('Maren');
    const listed = await server.ok<readonly ServiceView[]>('Maren', 'GET', '/api/services');
    expect(listed.map(({ id, problems }) => [id, problems.map(({ reason }) => reason)])).toEqual([
      ['good', []],
      ['torn', ['not-readable']],
    ]);
    await server.stop();
  });

  it('may be none at all', async () => {
    const server = await TestServer.start({ servicesFolder: null });
    await server.addAccount('Maren');
    expect(await server.ok('Maren', 'GET', '/api/services')).toEqual([]);
    await server.stop();
  });
});
