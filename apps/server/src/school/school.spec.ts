import type { AddressesOnPaper, CreatedMaterials, DeviceView, HealthView, SchoolClassView, SchoolView, WelcomeView } from '@hapset/contract';
import { writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { link, Scene } from '../test/scene.js';

describe('the school', () => {
  let scene: Scene;
  const webFolder = mkdtempSync(join(tmpdir(), 'web-'));
  beforeAll(async () => {
    writeFileSync(join(webFolder, 'index.html'), '<title>Hapset</title>');
    scene = await Scene.start({ webFolder });
  });
  afterAll(() => scene.stop());

  const wish = { name: 'Fernhollow School', timeZone: 'Europe/Dublin', paper: 'Letter', printerMarginMm: 4.5, duplexEdge: 'short', duplexRightMm: -0.5, duplexDownMm: 1.2, publicAddress: 'https://hapset.fernhollow.example', shortLinkHost: 'k.fernhollow.example', visitorNetworks: ['10.20.0.0/16'] };

  it('is changed by its administrator, under a version', async () => {
    const { version } = await scene.server.ok<SchoolView>('Maren', 'GET', '/api/school');
    expect(await scene.server.ok<SchoolView>('Pell', 'PATCH', '/api/school', { ...wish, version })).toEqual({ ...wish, version: version + 1 });
    expect((await scene.server.as('Pell', 'PATCH', '/api/school', { ...wish, version })).body).toMatchObject({ reason: 'stale' });
    expect((await scene.server.ok<WelcomeView>('Maren', 'GET', '/api/welcome')).schoolName).toBe('Fernhollow School');
  });

  it('counts the sheets that a change of its addresses would touch, and keeps old hosts of short links', async () => {
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items: [link('https://a.example/x'), link('https://a.example/y')] });
    const [first = '', second = ''] = materialIds;
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${first}`, { version: 1, carry: 'short-link' });
    for (const id of [first, second]) await scene.server.ok('Maren', 'POST', `/api/materials/${id}/sheets`, { kind: 'poster', paper: 'A4', goAhead: ['locked', 'not-opened-yet'] });
    expect(await scene.server.ok<AddressesOnPaper>('Pell', 'GET', '/api/school/on-paper')).toEqual({ shortLinks: 1, pages: 0 });
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, shortLinkHost: 'k.other.example' });
    expect(await scene.server.ok<AddressesOnPaper>('Pell', 'GET', '/api/school/on-paper')).toEqual({ shortLinks: 0, pages: 0 });
    expect(await scene.server.dataSource.query('SELECT former_short_hosts AS hosts FROM schools')).toEqual([{ hosts: ['k.fernhollow.example'] }]);
    const { version } = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, version });
  });

  it.each([
    ['timeZone', 'Middle/Earth'],
    ['paper', 'A9'],
    ['publicAddress', 'hapset.example'],
    ['shortLinkHost', 'http://k.example/x'],
    ['name', ''],
    ['printerMarginMm', 30],
    ['duplexEdge', 'left'],
    ['duplexDownMm', -11],
    ['visitorNetworks', ['10.20.0.0/99']],
    ['visitorNetworks', ['0.0.0.0/0']],
  ])('refuses a wrong %s', async (field, value) => {
    const response = await scene.server.as('Pell', 'PATCH', '/api/school', { ...wish, [field]: value, version: 4 });
    expect(response.body).toMatchObject({ reason: 'invalid', fields: [{ field }] });
  });

  it('has classes with devices of its own list', async () => {
    const made = await scene.server.ok<SchoolClassView>('Tobiah', 'POST', '/api/classes', { name: '5 Heron', studentAccounts: 'school', deviceIds: [...scene.deviceIds] });
    const changed = await scene.server.ok<SchoolClassView>('Maren', 'PATCH', `/api/classes/${made.id}`, { name: '5 Heron', studentAccounts: 'none', deviceIds: [], version: 1 });
    expect(changed).toEqual({ id: made.id, name: '5 Heron', studentAccounts: 'none', deviceIds: [], version: 2 });
    expect((await scene.server.as('Maren', 'PATCH', `/api/classes/${made.id}`, { name: 'x', studentAccounts: 'none', deviceIds: [], version: 1 })).body).toMatchObject({ reason: 'stale' });
    expect((await scene.server.ok<SchoolClassView[]>('Maren', 'GET', '/api/classes')).map((each) => each.name)).toEqual(['5 Heron', '6 Kestrel']);
  });

  it('lists its devices', async () => {
    expect((await scene.server.ok<DeviceView[]>('Maren', 'GET', '/api/devices')).map((device) => [device.name, device.count])).toEqual([['Tablets', 10], ['Laptops', 20]]);
  });

  it('says how it is', async () => {
    const response = await scene.server.as(null, 'GET', '/api/health');
    expect(response.body as HealthView).toEqual({ version: '0.1.0', database: 'up' });
    expect(response.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('answers pages with the application, and missing files with 404', async () => {
    for (const path of ['/', '/lessons/some-id', '/shelf?x=1']) expect((await scene.server.as(null, 'GET', path)).text).toContain('<title>Hapset</title>');
    expect((await scene.server.as(null, 'GET', '/assets/missing.js')).status).toBe(404);
    const page = await scene.server.as(null, 'GET', '/');
    expect(page.headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(page.headers['x-content-type-options']).toBe('nosniff');
    expect(page.headers['x-powered-by']).toBeUndefined();
  });
});
