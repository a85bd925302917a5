import type { CreatedMaterials, DeviceView, MaterialPage, SchoolClassView } from '@hapset/contract';
import { genericFigures } from '@hapset/core';
import { Scene, words } from '../../test/scene.js';

describe('devices', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  it('are listed for all staff, with what their scanners act on', async () => {
    const devices = await scene.server.ok<DeviceView[]>('Maren', 'GET', '/api/devices');
    expect(devices.map(({ name, count }) => [name, count])).toEqual([
      ['Tablets', 10],
      ['Laptops', 20],
    ]);
    expect(devices[0]?.actsOn).toContain('event');
  });

  it('are told by the administrator what their scanners act on, and codes are judged by it', async () => {
    const [id = ''] = scene.deviceIds;
    const changed = await scene.server.ok<DeviceView>('Pell', 'PATCH', `/api/devices/${id}`, {
      actsOn: ['network', 'link'],
    });
    // In the order of the list of acts, so that it always reads the same.
    expect(changed).toMatchObject({ name: 'Tablets', actsOn: ['link', 'network'] });
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', {
      items: [{ content: { kind: 'phone', number: '112', name: '' }, pasted: 'x', repairs: [] }],
    });
    const page = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${materialIds[0] ?? ''}`);
    expect(page.readiness.carries.ignoredBy).toEqual(['Tablets']);
    expect((await scene.server.ok<DeviceView>('Pell', 'PATCH', `/api/devices/${id}`, { actsOn: [] })).actsOn).toEqual(
      [],
    );
  });

  it('are added from a generic one, changed and removed by the administrator; classes lose what is removed', async () => {
    const added = await scene.server.ok<DeviceView>('Pell', 'POST', '/api/devices', {
      name: ' Loan tablets ',
      count: 6,
      ...genericFigures['old-tablet'],
    });
    expect(added).toMatchObject({ name: 'Loan tablets', count: 6, ...genericFigures['old-tablet'] });
    expect((await scene.server.ok<DeviceView[]>('Maren', 'GET', '/api/devices')).at(-1)).toEqual(added);
    const changed = await scene.server.ok<DeviceView>('Pell', 'PATCH', `/api/devices/${added.id}`, {
      count: null,
      blurPx: 1.3,
      jpegQuality: 70,
    });
    expect(changed).toEqual({ ...added, count: null, blurPx: 1.3, jpegQuality: 70 });
    const { id } = await scene.server.ok<SchoolClassView>('Maren', 'POST', '/api/classes', {
      name: '7 Tern',
      studentAccounts: 'none',
      deviceIds: [added.id, scene.deviceIds[0]],
    });
    await scene.server.ok('Pell', 'DELETE', `/api/devices/${added.id}`);
    const classes = await scene.server.ok<SchoolClassView[]>('Maren', 'GET', '/api/classes');
    expect(classes.find((each) => each.id === id)?.deviceIds).toEqual([scene.deviceIds[0]]);
    expect((await scene.server.ok<DeviceView[]>('Maren', 'GET', '/api/devices')).map(({ name }) => name)).toEqual([
      'Tablets',
      'Laptops',
    ]);
  });

  it('change what is rehearsed: another camera makes another rehearsal', async () => {
    const {
      materialIds: [id = ''],
    } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', {
      items: [words('one foot and no legs')],
    });
    const key = async (): Promise<string> =>
      (await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${id}`)).rehearsal.key;
    const before = await key();
    await scene.server.ok('Pell', 'PATCH', `/api/devices/${scene.deviceIds[0] ?? ''}`, { name: 'Other name' });
    expect(await key()).toBe(before);
    await scene.server.ok('Pell', 'PATCH', `/api/devices/${scene.deviceIds[0] ?? ''}`, { jpegQuality: 60 });
    expect(await key()).not.toBe(before);
  });

  it.each([
    [{ actsOn: ['spell'] }],
    [{ actsOn: ['link', 'link'] }],
    [{ actsOn: 'link' }],
    [{ name: '' }],
    [{ name: null }],
    [{ blurPx: null }],
    [{ count: 0 }],
    [{ previewWidthPx: 50 }],
    [{ horizontalFovDeg: 200 }],
    [{ engine: 'eye' }],
    [{ jpegQuality: 101 }],
    [{ position: 1 }],
  ])('refuse %o', async (body) => {
    const response = await scene.server.as('Pell', 'PATCH', `/api/devices/${scene.deviceIds[0] ?? ''}`, body);
    expect([response.status, (response.body as { reason: string }).reason]).toEqual([400, 'invalid']);
  });
});
