import type { CreatedMaterials, DeviceView, MaterialPage } from '@hapset/contract';
import { Scene } from '../test/scene.js';

describe('devices', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  it('are listed for all staff, with what their scanners act on', async () => {
    const devices = await scene.server.ok<DeviceView[]>('Maren', 'GET', '/api/devices');
    expect(devices.map(({ name, count }) => [name, count])).toEqual([['Tablets', 10], ['Laptops', 20]]);
    expect(devices[0]?.actsOn).toContain('event');
  });

  it('are told by the administrator what their scanners act on, and codes are judged by it', async () => {
    const [id = ''] = scene.deviceIds;
    const changed = await scene.server.ok<DeviceView>('Pell', 'PATCH', `/api/devices/${id}`, { actsOn: ['network', 'link'] });
    // In the order of the list of acts, so that it always reads the same.
    expect(changed).toMatchObject({ name: 'Tablets', actsOn: ['link', 'network'] });
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', { items: [{ content: { kind: 'phone', number: '112', name: '' }, pasted: 'x', repairs: [] }] });
    const page = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${materialIds[0] ?? ''}`);
    expect(page.readiness.carries.ignoredBy).toEqual(['Tablets']);
    expect((await scene.server.ok<DeviceView>('Pell', 'PATCH', `/api/devices/${id}`, { actsOn: [] })).actsOn).toEqual([]);
  });

  it.each([[{ actsOn: ['spell'] }], [{ actsOn: ['link', 'link'] }], [{ actsOn: 'link' }], [{}], [{ actsOn: [], name: 'x' }]])('refuse %o', async (body) => {
    const response = await scene.server.as('Pell', 'PATCH', `/api/devices/${scene.deviceIds[0] ?? ''}`, body);
    expect([response.status, (response.body as { reason: string }).reason]).toEqual([400, 'invalid']);
  });
});
