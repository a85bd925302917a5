import type { AskedRehearsalView, AskRehearsal, RehearsalAsked } from '@hapset/contract';
import { Scene } from '../../test/scene.js';
import { until } from '../../test/until.js';
import { AskedRehearsal } from './asked-rehearsal.entity.js';

describe('a rehearsal for scripts', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const camera = { widthPx: 640, fovDeg: 60, blurPx: 0.8, noise: 6, engine: 'zxing' as const };
  const request: AskRehearsal = { payload: 'https://a.example/leaf', sizeMm: 80, device: camera };
  const ask = (body: object) => scene.server.as('Maren', 'POST', '/api/rehearsals', body);
  const done = async (body: AskRehearsal): Promise<AskedRehearsalView> => {
    const { id } = await scene.server.ok<RehearsalAsked>('Maren', 'POST', '/api/rehearsals', body);
    return until(
      () => scene.server.ok<AskedRehearsalView>('Maren', 'GET', `/api/rehearsals/${id}`),
      ({ state }) => state !== 'working',
      40_000,
    );
  };

  it('answers at once with an id and a prediction, and then with reach, confidence and pass rates', async () => {
    const { id } = (await ask(request)).body as RehearsalAsked;
    const asked = await scene.server.ok<AskedRehearsalView>('Maren', 'GET', `/api/rehearsals/${id}`);
    expect(asked.id).toBe(id);
    expect(asked.predictedM).toBeGreaterThan(0.4);
    const { state, result, predictedM } = await done(request);
    expect(state).toBe('done');
    expect(Math.abs((result?.reachM ?? 0) / predictedM - 1)).toBeLessThan(0.15);
    expect(result).toMatchObject({ confidence: 0.95, misread: null });
    const rates = result?.passRates ?? [];
    expect(rates.map(({ distanceM }) => distanceM)).toEqual(
      [...rates.map(({ distanceM }) => distanceM)].sort((a, b) => a - b),
    );
    expect(rates.filter(({ distanceM }) => distanceM <= (result?.reachM ?? 0)).every(({ rate }) => rate >= 0.9)).toBe(
      true,
    );
    expect(rates.at(-1)?.rate).toBeLessThan(0.9);
  });

  it('asks the engine that is named, in the scene that is named', async () => {
    const older = await done({ ...request, device: { ...camera, engine: 'qr', noise: 10 } });
    const dim = await done({ ...request, scene: { technique: 'grey', surface: 'matte', light: 'dim', uneven: 0.2 } });
    const usual = await done(request);
    expect(older.result?.reachM).toBeLessThan(usual.result?.reachM ?? 0);
    expect(dim.result?.reachM).toBeLessThan(usual.result?.reachM ?? 0);
  });

  it.each([
    ['sizeMm', { ...request, sizeMm: 0 }],
    ['payload', { ...request, payload: '' }],
    ['device', { payload: 'x', sizeMm: 100 }],
    ['device.engine', { ...request, device: { ...camera, engine: 'eye' } }],
    ['device.widthPx', { ...request, device: { ...camera, widthPx: 20_000 } }],
    ['scene.light', { ...request, scene: { technique: 'laser', surface: 'matte', light: 'moon', uneven: 0 } }],
  ])('refuses a wrong %s', async (field, body) => {
    expect((await ask(body)).body).toMatchObject({ reason: 'invalid', fields: [{ field }] });
  });

  it('refuses what no code holds', async () => {
    expect((await ask({ ...request, payload: 'ä'.repeat(3000) })).body).toMatchObject({ reason: 'payload-too-long' });
  });

  it('is kept for a week', async () => {
    const { id } = (await ask(request)).body as RehearsalAsked;
    scene.server.clock.advance(8 * 24 * 3_600_000);
    await ask(request);
    expect(await scene.server.dataSource.getRepository(AskedRehearsal).existsBy({ id })).toBe(false);
  });
});
