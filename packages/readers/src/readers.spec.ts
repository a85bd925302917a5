import { readFileSync } from 'node:fs';
import { planSymbol, rehearseDevice, renderFrame, type DeviceProfile, type SymbolPlan } from '@hapset/core';
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

describe('reader engines', () => {
  let engines: readonly ReaderEngine[];
  beforeAll(async () => {
    engines = [await createZxingReader({ bytes: readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm')) }), await createZbarReader(null)];
  });

  it.each(['http://cofferlane.localhost:4310/leaf/field-guide', 'HTTPS://K.EXAMPLE/9VDRT', 'Rätsel: wer hat nur einen Fuß? 🐚', '0123456789012'])('both read %j letter by letter', async (payload) => {
    for (const engine of engines) expect(await engine.read(frameOf(plan(payload), 1))).toEqual({ engine: engine.name, text: payload });
  });

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
