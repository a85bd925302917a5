import { readFileSync } from 'node:fs';
import {
  codePixels,
  finderShapes,
  gradientWays,
  judgeLook,
  moduleShapes,
  plainLook,
  planSymbol,
  rehearseDevice,
  renderFrame,
  type DeviceProfile,
  type GreyFrame,
  type LookDesign,
  type SymbolPlan,
} from '@hapset/core';
import jsqr from 'jsqr';
import {
  createFinder,
  createQrReader,
  createZbarReader,
  createZxingReader,
  decodeBytes,
  type FindCodes,
  type ReaderEngine,
} from './index.js';
import { unreadOf } from './test/random-payloads.js';

const camera: DeviceProfile = {
  id: 'd',
  name: 'Tablet',
  previewWidthPx: 1280,
  previewHeightPx: 720,
  horizontalFovDeg: 60,
  nearestFocusM: 0.15,
  blurPx: 0.7,
  noiseGrey: 5,
  engine: 'zxing',
};

function plan(payload: string): SymbolPlan {
  const planned = planSymbol(payload);
  if (!planned.ok) throw new Error(planned.problem.reason);
  return planned.value;
}

function frameOf(symbol: SymbolPlan, distanceM: number): ReturnType<typeof renderFrame> {
  return renderFrame(symbol, 120, camera, {
    distanceM,
    tiltDeg: 8,
    rollDeg: 4,
    shiftXPx: 3.3,
    shiftYPx: -2.1,
    seed: 5,
  });
}

describe('reader engines', () => {
  let engines: readonly ReaderEngine[];
  beforeAll(async () => {
    engines = [
      await createZxingReader({ bytes: readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm')) }),
      await createZbarReader(null),
      createQrReader(),
    ];
  });

  it.each([
    'http://cofferlane.localhost:4310/leaf/field-guide',
    'HTTPS://K.EXAMPLE/9VDRT',
    'Rätsel: wer hat nur einen Fuß? 🐚',
    '0123456789012',
  ])('read %j letter by letter', async (payload) => {
    for (const engine of engines)
      expect(await engine.read(frameOf(plan(payload), 1))).toMatchObject({ engine: engine.name, text: payload });
  });

  it('read random payloads of every kind, in every size up to version 25', async () => {
    expect(await unreadOf(120, engines)).toEqual([]);
  });

  describe('meet looks', () => {
    const symbol = plan('https://cofferlane.example/leaf/field-guide');
    /** Frames of ten that each engine reads, at five pixels a module, turned and shifted a little from frame to frame. */
    const readOfTen = async (look: LookDesign, by: readonly ReaderEngine[]): Promise<readonly number[]> => {
      const distanceM = ((camera.previewWidthPx / (2 * Math.tan(Math.PI / 6))) * (120 / (symbol.modules * 5))) / 1000;
      const counts = by.map(() => 0);
      for (let at = 0; at < 10; at += 1) {
        const frame = renderFrame({ ...symbol, look }, 120, camera, {
          distanceM: distanceM * (1 + at * 0.004),
          tiltDeg: (at * 3) % 25,
          rollDeg: at - 5,
          shiftXPx: at * 1.3,
          shiftYPx: at * -0.7,
          seed: at + 1,
        });
        for (const [index, engine] of by.entries())
          if ((await engine.read(frame))?.text === symbol.payload) counts[index] = (counts[index] ?? 0) + 1;
      }
      return counts;
    };

    it('and read every form in nearly every frame', async () => {
      for (const [index, modules] of moduleShapes.entries()) {
        for (const finders of finderShapes) {
          const look: LookDesign = {
            ...plainLook,
            modules,
            finders,
            ink: '#123a6b',
            inkTo: index % 2 === 0 ? '#7a1f3d' : null,
            way: gradientWays[index % 4] ?? 'down',
            centre: { kind: 'icon', icon: 'shell', side: null },
          };
          expect(judgeLook(symbol, look).state).toBe('done');
          const read = await readOfTen(look, engines);
          expect([modules, finders, Math.min(...read) >= 8]).toEqual([modules, finders, true]);
        }
      }
    });

    // Each is called unreadable; each is lost on at least one of the engines in more than half of the frames.
    const unreadable: readonly (readonly [string, Partial<LookDesign>])[] = [
      ...[
        '#e0e0e0',
        '#e8e8e8',
        '#f0f0f0',
        '#ffe680',
        '#ffef9a',
        '#d8f0d8',
        '#cfe8ff',
        '#ffe0e8',
        '#f5e6ff',
        '#e6fffa',
      ].map((ink) => [`${ink} on white`, { ink }] as const),
      ...['#000000', '#181818', '#202020', '#303030', '#401020', '#102040'].map(
        (ground) => [`white on ${ground}`, { ink: '#ffffff', ground }] as const,
      ),
      ...['#303030', '#404040', '#502030', '#203050', '#505050'].map(
        (ground) => [`black on ${ground}`, { ink: '#000000', ground }] as const,
      ),
      ...(
        [
          ['#d02020', '#3a8f3a'],
          ['#2b7fbf', '#7a7a7a'],
          ['#a05a00', '#008080'],
          ['#c04080', '#609060'],
          ['#7050c0', '#5a7a30'],
        ] as const
      ).map(([ink, ground]) => [`${ink} on ${ground}`, { ink, ground }] as const),
      ...gradientWays.map(
        (way) => [`${way} from light to lighter`, { ink: '#d8d8d8', inkTo: '#ffffff', way }] as const,
      ),
      ...[0.42, 0.46, 0.5].map(
        (side) => [`a centre of ${side}`, { centre: { kind: 'icon' as const, icon: 'shell', side } }] as const,
      ),
    ];
    it.each(unreadable)('and lose %s, which is called unreadable', async (_, change) => {
      const look: LookDesign = { ...plainLook, ...change };
      expect(judgeLook(symbol, look).state).toBe('stop');
      expect(Math.min(...(await readOfTen(look, engines.slice(0, 2))))).toBeLessThan(5);
    });
    it('more than thirty such', () => expect(unreadable.length).toBeGreaterThanOrEqual(30));

    it('and refuse light on dark, which others take', async () => {
      const frame = codePixels(symbol, 4);
      const grey = frame.grey.map((level) => 255 - level);
      for (const engine of engines)
        expect((await engine.read({ widthPx: frame.widthPx, heightPx: frame.widthPx, grey }))?.text ?? null).toBe(
          engine.name === 'qr' ? symbol.payload : null,
        );
      const rgba = Uint8ClampedArray.from({ length: grey.length * 4 }, (_, index) =>
        index % 4 === 3 ? 255 : (grey[index >> 2] ?? 0),
      );
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
    const pixelsAtReach =
      ((camera.previewWidthPx / (2 * Math.tan(Math.PI / 6))) * 60) / (symbol.modules * (result?.reachM ?? 0) * 1000);
    expect(pixelsAtReach).toBeGreaterThan(1.2);
    expect(pixelsAtReach).toBeLessThan(3);
    expect(result?.misread).toBeNull();
  });
});

describe('finding all codes of a picture', () => {
  let find: FindCodes;
  beforeAll(async () => {
    find = await createFinder({ bytes: readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm')) });
  });

  /** Frames laid on one grey table, side by side. */
  function table(frames: readonly GreyFrame[]): GreyFrame {
    const widthPx = frames.reduce((sum, frame) => sum + frame.widthPx + 20, 20);
    const heightPx = Math.max(...frames.map((frame) => frame.heightPx)) + 40;
    const grey = new Uint8Array(widthPx * heightPx).fill(150);
    let left = 20;
    for (const frame of frames) {
      for (let y = 0; y < frame.heightPx; y += 1)
        grey.set(frame.grey.subarray(y * frame.widthPx, (y + 1) * frame.widthPx), (y + 20) * widthPx + left);
      left += frame.widthPx + 20;
    }
    return { widthPx, heightPx, grey };
  }
  const photographed = (payload: string, tiltDeg: number, rollDeg: number): GreyFrame =>
    renderFrame(
      plan(payload),
      100,
      { ...camera, noiseGrey: 8 },
      { distanceM: 0.45, tiltDeg, rollDeg, shiftXPx: 0.3, shiftYPx: 0.6, seed: 3 },
    );
  const inverted = (frame: GreyFrame): GreyFrame => ({ ...frame, grey: frame.grey.map((level) => 255 - level) });

  it('reads several, turned, tilted and light on dark, with version, level, contrast and quiet zone', async () => {
    const payloads = ['https://a.example/leaf/rock-pools', 'Wer hat nur einen Fuß?', 'HTTPS://K.EXAMPLE/CD3F7'];
    const [first = '', second = '', third = ''] = payloads;
    const found = await find(
      table([photographed(first, 25, 12), photographed(second, 5, 100), inverted(photographed(third, 10, -8))]),
    );
    // From left to right, as they lie.
    expect(found.map(({ text }) => text)).toEqual(payloads);
    for (const { text, version, level, unusedRepair, measured } of found) {
      expect([version, level]).toEqual([plan(text).version, plan(text).level]);
      expect(unusedRepair).toBeGreaterThan(0.3);
      expect(measured?.contrast).toBeGreaterThan(0.7);
      expect(measured?.quietZone).toBeGreaterThanOrEqual(3);
      expect(measured?.lightOnDark).toBe(text === third);
    }
  });

  it('names the corners as the symbol stands, also upside down', async () => {
    const upright = codePixels(plan('https://a.example/leaf/x'), 5);
    const frame: GreyFrame = {
      widthPx: upright.widthPx,
      heightPx: upright.widthPx,
      grey: upright.grey.slice().reverse(),
    };
    const [code] = await find(frame);
    const [topLeft, , bottomRight] = code?.corners ?? [];
    expect((topLeft?.x ?? 0) > (bottomRight?.x ?? 0) && (topLeft?.y ?? 0) > (bottomRight?.y ?? 0)).toBe(true);
  });

  it('finds nothing where there is nothing', async () =>
    expect(await find({ widthPx: 300, heightPx: 200, grey: new Uint8Array(60_000).fill(200) })).toEqual([]));
});

describe('bytes of a reader', () => {
  it('are UTF-8 where they can be, ISO 8859-1 otherwise', () => {
    expect(decodeBytes(new TextEncoder().encode('Rätsel 🐚'))).toBe('Rätsel 🐚');
    expect(decodeBytes(Uint8Array.from([0x52, 0xe4, 0x74]))).toBe('Rät');
  });
});

describe('a finder pattern', () => {
  it('is taken for no small code of another kind', async () => {
    const zxing = await createZxingReader({
      bytes: readFileSync(require.resolve('zxing-wasm/reader/zxing_reader.wasm')),
    });
    const phone = {
      ...camera,
      previewWidthPx: 1920,
      previewHeightPx: 1080,
      horizontalFovDeg: 65,
      nearestFocusM: 0.12,
      blurPx: 0.6,
      noiseGrey: 4,
    };
    const symbol = plan('http://cofferlane.localhost:5410/leaf/field-guide-to-limpets');
    // In one of these frames a finder pattern was read as Micro QR, M1: "487646".
    const { misread, reachM } =
      (await rehearseDevice(symbol, 130, phone, async (frame) => (await zxing.read(frame))?.text ?? null)) ?? {};
    expect(misread).toBeNull();
    expect(reachM).toBeGreaterThan(3);
  });
});
