import type { SymbolPreview } from '@hapset/contract';
import { Scene } from '../../test/scene.js';

describe('previewing a symbol', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());
  const preview = (body: object): Promise<SymbolPreview> =>
    scene.server.ok<SymbolPreview>('Maren', 'POST', '/api/symbols/preview', body);

  it('answers version, level, mask, segments, growth and a picture', async () => {
    const answer = await preview({ payload: 'Rätsel 12345678901234567890' });
    expect(answer).toMatchObject({
      version: 2,
      modules: 25,
      eci: true,
      segments: [
        { mode: 'byte', text: 'Rätsel ' },
        { mode: 'numeric', text: '12345678901234567890' },
      ],
    });
    expect(answer.mask).toBeGreaterThanOrEqual(0);
    expect(answer.svg).toMatch(/^<svg [^>]*viewBox="-4 -4 33 33"/);
    expect((await preview({ payload: 'x'.repeat(14) })).charactersUntilGrowth).toBe(0);
    expect(await preview({ payload: 'x'.repeat(15) })).toMatchObject({ version: 2, charactersToShrink: 1 });
  });

  it('keeps a level that is chosen, with what it costs', async () => {
    expect(await preview({ payload: 'x'.repeat(20), level: 'L' })).toMatchObject({ version: 2, level: 'L' });
    expect(await preview({ payload: 'x'.repeat(20), level: 'H' })).toMatchObject({ version: 3, level: 'H' });
  });

  it('refuses what no symbol holds, and levels that don’t exist', async () => {
    for (const body of [
      { payload: '' },
      { payload: 'x'.repeat(2332) },
      { payload: 'x'.repeat(1274), level: 'H' },
      { payload: 'x', level: 'X' },
      { payload: 7 },
    ]) {
      const response = await scene.server.as('Maren', 'POST', '/api/symbols/preview', body);
      expect([response.status, (response.body as { reason: string }).reason]).toEqual([400, 'invalid']);
    }
  });
});
