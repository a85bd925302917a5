/** Photographs made up from the camera model: codes on a table, each turned its own way, with noise. */
import { planSymbol, renderFrame, type DeviceProfile, type GreyFrame } from '@hapset/core';
import { PNG } from 'pngjs';

const camera: DeviceProfile = {
  id: 'x',
  name: 'x',
  previewWidthPx: 1280,
  previewHeightPx: 720,
  horizontalFovDeg: 60,
  nearestFocusM: 0.15,
  blurPx: 0.7,
  noiseGrey: 7,
  engine: 'zxing',
};

export interface Laid {
  readonly payload: string;
  readonly tiltDeg: number;
  readonly rollDeg: number;
}

/** @param distanceM of the camera from each code, which is 80 mm wide */
export function photograph(codes: readonly Laid[], distanceM = 0.4): GreyFrame {
  const frames = codes.map(({ payload, tiltDeg, rollDeg }, index) => {
    const plan = planSymbol(payload);
    if (!plan.ok) throw new Error(plan.problem.reason);
    return renderFrame(plan.value, 80, camera, {
      distanceM,
      tiltDeg,
      rollDeg,
      shiftXPx: 0.4,
      shiftYPx: 0.7,
      seed: index + 1,
    });
  });
  const gap = 24;
  const widthPx = frames.reduce((sum, frame) => sum + frame.widthPx + gap, gap);
  const heightPx = Math.max(...frames.map((frame) => frame.heightPx)) + 2 * gap;
  const grey = new Uint8Array(widthPx * heightPx).fill(150);
  let left = gap;
  for (const frame of frames) {
    for (let y = 0; y < frame.heightPx; y += 1)
      grey.set(frame.grey.subarray(y * frame.widthPx, (y + 1) * frame.widthPx), (y + gap) * widthPx + left);
    left += frame.widthPx + gap;
  }
  return { widthPx, heightPx, grey };
}

export function toPng({ widthPx, heightPx, grey }: GreyFrame): Buffer {
  const png = new PNG({ width: widthPx, height: heightPx });
  grey.forEach((level, index) => png.data.set([level, level, level, 255], index * 4));
  return PNG.sync.write(png);
}

/** A film for the browser's fake camera, which plays it round and round: frame headers, Y plane, then grey U and V. */
export function toY4m(frames: readonly GreyFrame[], widthPx = 1280, heightPx = 720): Buffer {
  const chroma = Buffer.alloc((widthPx * heightPx) / 2, 128);
  const parts = frames.flatMap((frame) => {
    const luma = Buffer.alloc(widthPx * heightPx, 150);
    const [left, top] = [Math.floor((widthPx - frame.widthPx) / 2), Math.floor((heightPx - frame.heightPx) / 2)];
    for (let y = 0; y < Math.min(frame.heightPx, heightPx); y += 1)
      luma.set(
        frame.grey.subarray(y * frame.widthPx, y * frame.widthPx + Math.min(frame.widthPx, widthPx)),
        (y + Math.max(0, top)) * widthPx + Math.max(0, left),
      );
    return [Buffer.from('FRAME\n'), luma, chroma];
  });
  return Buffer.concat([Buffer.from(`YUV4MPEG2 W${widthPx} H${heightPx} F10:1 Ip A1:1 C420\n`), ...parts]);
}

/** Films keep luma from 16 to 235 (Rec. 601); what plays them stretches that again. */
export function asFilmed(frame: GreyFrame): GreyFrame {
  return { ...frame, grey: frame.grey.map((level) => 16 + (level * 219) / 255) };
}
