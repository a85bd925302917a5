/** Made-up media for the journeys: a drawn picture, a synthesised sound, a recorded film. */
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';

/** A picture of one colour with a diagonal. */
export function picture(
  widthPx: number,
  heightPx: number,
  [red, green, blue]: readonly [number, number, number],
): Buffer {
  const png = new PNG({ width: widthPx, height: heightPx });
  for (let y = 0; y < heightPx; y += 1) {
    for (let x = 0; x < widthPx; x += 1) {
      const at = (y * widthPx + x) * 4;
      const line = Math.abs(x * heightPx - y * widthPx) < 6 * widthPx;
      png.data.set(line ? [29, 35, 46, 255] : [red, green, blue, 255], at);
    }
  }
  return PNG.sync.write(png);
}

/** A tone as WAV, mono, 16 bits, 8,000 samples a second. */
export function tone(seconds: number, hertz = 440): Buffer {
  const rate = 8000;
  const samples = Math.round(rate * seconds);
  const wav = Buffer.alloc(44 + samples * 2);
  wav.write('RIFF', 0);
  wav.writeUInt32LE(36 + samples * 2, 4);
  wav.write('WAVEfmt ', 8);
  wav.writeUInt32LE(16, 16);
  wav.writeUInt16LE(1, 20);
  wav.writeUInt16LE(1, 22);
  wav.writeUInt32LE(rate, 24);
  wav.writeUInt32LE(rate * 2, 28);
  wav.writeUInt16LE(2, 32);
  wav.writeUInt16LE(16, 34);
  wav.write('data', 36);
  wav.writeUInt32LE(samples * 2, 40);
  for (let index = 0; index < samples; index += 1)
    wav.writeInt16LE(Math.round(9000 * Math.sin((index / rate) * 2 * Math.PI * hertz)), 44 + index * 2);
  return wav;
}

/** A film as WebM, 160 by 120 pixels, recorded by the browser from a canvas on which a bar moves. */
export async function film(page: Page, seconds: number): Promise<Buffer> {
  const base64 = await page.evaluate(async (length) => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [160, 120];
    const context = canvas.getContext('2d');
    const recorder = new MediaRecorder(canvas.captureStream(15), { mimeType: 'video/webm;codecs=vp8' });
    const parts: Blob[] = [];
    recorder.ondataavailable = ({ data }) => parts.push(data);
    const ended = new Promise((resolve) => (recorder.onstop = resolve));
    recorder.start();
    for (
      const began = performance.now();
      performance.now() - began < length * 1000;
      await new Promise((resolve) => setTimeout(resolve, 60))
    ) {
      context?.fillRect(0, 0, ((performance.now() - began) / (length * 1000)) * 160, 120);
    }
    recorder.stop();
    await ended;
    const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
    return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
  }, seconds);
  return Buffer.from(base64, 'base64');
}
