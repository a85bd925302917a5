/** The camera model against an independent renderer: sharp's (libvips') affine mapping and Gaussian blur, on the same print. */
import { focalLengthPx, planSymbol, renderFrame, usualScene, type DeviceProfile, type GreyFrame } from '@hapset/core';
import sharp from 'sharp';

const planned = planSymbol('https://a.example/leaf/field-guide');
if (!planned.ok) throw new Error('the test needs a symbol');
const plan = planned.value;
const scene = { ...usualScene, uneven: 0 };
/** Texels a module of the print that sharp is given. */
const texels = 32;
const [paper, ink] = [0.82, 0.05];
const quiet = 4;

/** Linear reflectance at 32 texels a module, quiet zone included, with toner spread by a sixteenth of a module. */
function printed(): { readonly side: number; readonly light: Float32Array } {
  const { modules, matrix } = plan;
  const side = (modules + 2 * quiet) * texels;
  const light = new Float32Array(side * side).fill(paper);
  const spread = texels / 16;
  for (let row = 0; row < modules; row += 1) {
    for (let column = 0; column < modules; column += 1) {
      if (matrix[row * modules + column] !== 1) continue;
      const [left, top] = [(column + quiet) * texels - spread, (row + quiet) * texels - spread];
      for (
        let y = Math.max(quiet * texels, top);
        y < Math.min(side - quiet * texels, top + texels + 2 * spread);
        y += 1
      ) {
        light.fill(
          ink,
          y * side + Math.max(quiet * texels, left),
          y * side + Math.min(side - quiet * texels, left + texels + 2 * spread),
        );
      }
    }
  }
  return { side, light };
}

const srgb = (linear: number): number =>
  255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055);

const sizeMm = 120;

interface Levels {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly levels: Float32Array;
}

/** Differs least of all shifts by eighths of a pixel: each renderer places its grid its own way. Grey levels rms over the symbol. */
function leastRms(other: Levels, pixels: number, blurPx: number, rollDeg: number): number {
  const device: DeviceProfile = {
    id: 'd',
    name: 'd',
    previewWidthPx: 1280,
    previewHeightPx: 720,
    horizontalFovDeg: 60,
    nearestFocusM: 0.1,
    blurPx,
    noiseGrey: 0,
    engine: 'zxing',
  };
  const distanceM = (focalLengthPx(device) * sizeMm) / (plan.modules * pixels * 1000);
  let least = Number.POSITIVE_INFINITY;
  for (let shiftXPx = 0; shiftXPx < 1; shiftXPx += 1 / 8) {
    for (let shiftYPx = 0; shiftYPx < 1; shiftYPx += 1 / 8) {
      const seen = renderFrame(
        plan,
        sizeMm,
        device,
        { distanceM, tiltDeg: 0, rollDeg, shiftXPx, shiftYPx, seed: 1 },
        scene,
      );
      for (const across of [-1, 0, 1])
        for (const down of [-1, 0, 1]) least = Math.min(least, rmsOverSymbol(seen, other, pixels, across, down));
    }
  }
  return least;
}

/** Both have the code in their middle, but for a pixel or so. */
function rmsOverSymbol(seen: GreyFrame, other: Levels, pixels: number, across: number, down: number): number {
  const half = Math.floor((plan.modules * pixels) / 2);
  const middle = ({ widthPx, heightPx }: { widthPx: number; heightPx: number }): readonly [number, number] => [
    Math.floor(widthPx / 2),
    Math.floor(heightPx / 2),
  ];
  const [[seenX, seenY], [otherX, otherY]] = [middle(seen), middle(other)];
  let sum = 0;
  for (let y = -half; y < half; y += 1) {
    for (let x = -half; x < half; x += 1)
      sum +=
        ((seen.grey[(seenY + y) * seen.widthPx + seenX + x] ?? 0) -
          (other.levels[(otherY + y + down) * other.widthPx + otherX + x + across] ?? 0)) **
        2;
  }
  return Math.sqrt(sum / (4 * half * half));
}

/** Lens and pixel are blurred before the mapping, since the mapping itself only interpolates. */
async function bySharp(pixels: number, blurPx: number, rollDeg: number): Promise<Levels> {
  const { side, light } = printed();
  const scale = pixels / texels;
  const angle = (rollDeg * Math.PI) / 180;
  const raw = { width: side, height: side, channels: 1 } as const;
  const sigma = Math.sqrt(blurPx ** 2 + 1 / 12) / scale;
  const unsharp = await sharp(
    Uint8Array.from(light, (value) => Math.round(value * 255)),
    { raw },
  )
    .blur({ sigma, precision: 'float', minAmplitude: 0.001 })
    .toColourspace('b-w')
    .raw()
    .toBuffer();
  const ground = paper * 255;
  const { data, info } = await sharp(unsharp, { raw })
    .affine(
      [
        [scale * Math.cos(angle), -scale * Math.sin(angle)],
        [scale * Math.sin(angle), scale * Math.cos(angle)],
      ],
      { interpolator: 'bicubic', background: { r: ground, g: ground, b: ground } },
    )
    .toColourspace('b-w')
    .raw()
    .toBuffer({ resolveWithObject: true });
  return {
    widthPx: info.width,
    heightPx: info.height,
    levels: Float32Array.from({ length: info.width * info.height }, (_, at) =>
      srgb((data[at * info.channels] ?? 0) / 255),
    ),
  };
}

describe('the camera model against an independent renderer', () => {
  it.each([
    [2, 0.7, 0],
    [3, 0.8, 0],
    [4, 1.2, 0],
    [3, 0.8, 7],
  ])(
    'sees the same at %d pixels a module, blur %d, turned by %d degrees, to 3 grey levels rms',
    async (pixels, blurPx, rollDeg) => {
      expect(leastRms(await bySharp(pixels, blurPx, rollDeg), pixels, blurPx, rollDeg)).toBeLessThan(3);
    },
  );

  it('would notice a blur that is left out, and a wrong scale', async () => {
    expect(leastRms(await bySharp(3, 0.4, 0), 3, 0.8, 0)).toBeGreaterThan(5);
    expect(leastRms(await bySharp(3.15, 0.8, 0), 3, 0.8, 0)).toBeGreaterThan(5);
  });
});
