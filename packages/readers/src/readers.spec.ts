import { readFileSync } from 'node:fs';
import { codePixels, planSymbol, rehearseDevice, renderFrame, type DeviceProfile, type SymbolPlan } from '@hapset/core';
import { createZbarReader, createZxingReader, decodeBytes, type ReaderEngine } from './index.js';

const camera: DeviceProfile = { id: 'd', name: 'Tablet', previewWidthPx: 1280, previewHeightPx: 720, horizontalFovDeg: 60, nearestFocusM: 0.15, blurPx: 0.7, noiseGrey: 5, engine: 'zxing' };

function plan(payload: string): SymbolPlan {
  const planned = planSymbol(payload);
  if (!planned.ok) throw new Error(planned.problem.reason);
  return planned.value;
}

function frameOf(symbol: SymbolPlan, distanceM: number): ReturnType<typeof renderFrame> {
  return renderFrame(symbol, 120, camera, { distanceM, tiltDeg: 8, rollDeg: 4, shiftXPx: 3.3, shiftYPx: -2.1, seed: 5 });
}

/** Numbers from 0 to 1, the same in each run (mulberry32). */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

describe('reader engines', () => {
  let engines: readonly ReaderEngine[];
  beforeAll(async () => {
    engines = [await createZxingReader({ bytes: readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm')) }), await createZbarReader(null)];
  });

  it.each(['http://cofferlane.localhost:4310/leaf/field-guide', 'HTTPS://K.EXAMPLE/9VDRT', 'Rätsel: wer hat nur einen Fuß? 🐚', '0123456789012'])('both read %j letter by letter', async (payload) => {
    for (const engine of engines) expect(await engine.read(frameOf(plan(payload), 1))).toEqual({ engine: engine.name, text: payload });
  });

  it('read two thousand random payloads of every kind, in every size up to version 25', async () => {
    const next = seeded(20261125);
    const letters = ['0123456789', 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789 $%*+-./:', 'abcdefghijklmnopqrstuvwxyz/?=&_%', 'äöüßéèñçøåčğ', '潮海岸貝魚', '🐚🦀🌊'];
    const failed: string[] = [];
    for (let count = 0; count < 2000; count += 1) {
      const alphabets = letters.filter(() => next() < 0.4);
      const units = [...(alphabets.length > 0 ? alphabets : letters.slice(0, 1)).join('')];
      const payload = Array.from({ length: 1 + Math.floor(next() ** 3 * 400) }, () => units[Math.floor(next() * units.length)] ?? '').join('');
      if (/^\s|\s$/.test(payload)) continue;
      const symbol = plan(payload);
      if (symbol.version > 25) continue;
      const frame = codePixels(symbol, 3);
      for (const engine of engines) if ((await engine.read({ widthPx: frame.widthPx, heightPx: frame.widthPx, grey: frame.grey }))?.text !== payload) failed.push(`${engine.name}, version ${symbol.version}${symbol.level}: ${payload.slice(0, 60)}`);
    }
    expect(failed).toEqual([]);
  }, 240_000);

  it('find nothing in a frame without a code', async () => {
    const grey = new Uint8Array(320 * 240).fill(180);
    for (const engine of engines) expect(await engine.read({ widthPx: 320, heightPx: 240, grey })).toBeNull();
  });

  it('find nothing far beyond reach', async () => {
    for (const engine of engines) expect(await engine.read(frameOf(plan('https://a.example/leaf/x'), 9))).toBeNull();
  });

  it('rehearse to a plausible reach: between 1.2 and 3 pixels a module', async () => {
    const symbol = plan('https://a.example/leaf/x');
    const [zxing] = engines;
    const result = await rehearseDevice(symbol, 60, camera, async (frame) => (await zxing?.read(frame))?.text ?? null);
    const pixelsAtReach = ((camera.previewWidthPx / (2 * Math.tan(Math.PI / 6))) * 60) / (symbol.modules * (result?.reachM ?? 0) * 1000);
    expect(pixelsAtReach).toBeGreaterThan(1.2);
    expect(pixelsAtReach).toBeLessThan(3);
    expect(result?.misread).toBeNull();
  });
});

describe('bytes of a reader', () => {
  it('are UTF-8 where they can be, ISO 8859-1 otherwise', () => {
    expect(decodeBytes(new TextEncoder().encode('Rätsel 🐚'))).toBe('Rätsel 🐚');
    expect(decodeBytes(Uint8Array.from([0x52, 0xe4, 0x74]))).toBe('Rät');
  });
});
