import { readFileSync } from 'node:fs';
import { codePixels, finderShapes, gradientWays, judgeLook, moduleShapes, plainLook, planSymbol, rehearseDevice, renderFrame, type DeviceProfile, type LookDesign, type SymbolPlan } from '@hapset/core';
import jsqr from 'jsqr';
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

  describe('meet looks', () => {
    const symbol = plan('https://cofferlane.example/leaf/field-guide');
    /** Frames of ten that each engine reads, at five pixels a module, turned and shifted a little from frame to frame. */
    const readOfTen = async (look: LookDesign): Promise<readonly number[]> => {
      const distanceM = (camera.previewWidthPx / (2 * Math.tan(Math.PI / 6))) * (120 / (symbol.modules * 5)) / 1000;
      const counts = engines.map(() => 0);
      for (let at = 0; at < 10; at += 1) {
        const frame = renderFrame({ ...symbol, look }, 120, camera, { distanceM: distanceM * (1 + at * 0.004), tiltDeg: (at * 3) % 25, rollDeg: at - 5, shiftXPx: at * 1.3, shiftYPx: at * -0.7, seed: at + 1 });
        for (const [index, engine] of engines.entries()) if ((await engine.read(frame))?.text === symbol.payload) counts[index] = (counts[index] ?? 0) + 1;
      }
      return counts;
    };

    it('and read every form in nearly every frame', async () => {
      for (const [index, modules] of moduleShapes.entries()) {
        for (const finders of finderShapes) {
          const look: LookDesign = { ...plainLook, modules, finders, ink: '#123a6b', inkTo: index % 2 === 0 ? '#7a1f3d' : null, way: gradientWays[index % 4] ?? 'down', centre: { sort: 'icon', icon: 'shell', side: null } };
          expect(judgeLook(symbol, look).state).toBe('done');
          const read = await readOfTen(look);
          expect([modules, finders, Math.min(...read) >= 8]).toEqual([modules, finders, true]);
        }
      }
    });

    // Each is called unreadable; each is lost on at least one of the engines in more than half of the frames.
    const unreadable: readonly (readonly [string, Partial<LookDesign>])[] = [
      ...['#e0e0e0', '#e8e8e8', '#f0f0f0', '#ffe680', '#ffef9a', '#d8f0d8', '#cfe8ff', '#ffe0e8', '#f5e6ff', '#e6fffa'].map((ink) => [`${ink} on white`, { ink }] as const),
      ...['#000000', '#181818', '#202020', '#303030', '#401020', '#102040'].map((ground) => [`white on ${ground}`, { ink: '#ffffff', ground }] as const),
      ...['#303030', '#404040', '#502030', '#203050', '#505050'].map((ground) => [`black on ${ground}`, { ink: '#000000', ground }] as const),
      ...([['#d02020', '#3a8f3a'], ['#2b7fbf', '#7a7a7a'], ['#a05a00', '#008080'], ['#c04080', '#609060'], ['#7050c0', '#5a7a30']] as const).map(([ink, ground]) => [`${ink} on ${ground}`, { ink, ground }] as const),
      ...gradientWays.map((way) => [`${way} from light to lighter`, { ink: '#d8d8d8', inkTo: '#ffffff', way }] as const),
      ...[0.42, 0.46, 0.5].map((side) => [`a centre of ${side}`, { centre: { sort: 'icon' as const, icon: 'shell', side } }] as const),
    ];
    it.each(unreadable)('and lose %s, which is called unreadable', async (_, change) => {
      const look: LookDesign = { ...plainLook, ...change };
      expect(judgeLook(symbol, look).state).toBe('stop');
      expect(Math.min(...(await readOfTen(look)))).toBeLessThan(5);
    });
    it('more than thirty such', () => expect(unreadable.length).toBeGreaterThanOrEqual(30));

    it('and refuse light on dark, which an independent reader takes', async () => {
      const frame = codePixels(symbol, 4);
      const grey = frame.grey.map((level) => 255 - level);
      for (const engine of engines) expect(await engine.read({ widthPx: frame.widthPx, heightPx: frame.widthPx, grey })).toBeNull();
      const rgba = Uint8ClampedArray.from({ length: grey.length * 4 }, (_, index) => (index % 4 === 3 ? 255 : (grey[index >> 2] ?? 0)));
      expect(jsqr(rgba, frame.widthPx, frame.widthPx)?.data).toBe(symbol.payload);
    });
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
