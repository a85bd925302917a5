/**
 * The decoder of the `qr` package: made for live frames, strict about contrast, what the scanner of a web page resembles. Its limit on
 * retries is one of time, which would make its verdicts depend on the machine; here it may take as long as it needs.
 */
import { decodeQR, type FinderPoints } from 'qr/decode.js';
import { decodeBytes } from './decode-bytes.js';
import type { ReaderEngine } from './engine.js';

export function createQrReader(): ReaderEngine {
  return {
    name: 'qr',
    read({ widthPx, heightPx, grey }) {
      const began = performance.now();
      let seen: FinderPoints | null = null;
      try {
        const text = decodeQR(
          { width: widthPx, height: heightPx, data: inPlanes(grey, widthPx, heightPx) },
          {
            format: 'I444',
            timeLimit: Infinity,
            textDecoder: decodeBytes,
            pointsOnDetect: (points) => (seen = points),
          },
        );
        return Promise.resolve({
          engine: 'qr',
          text,
          bytes: null,
          version: null,
          corners: cornersOf(seen),
          tookMs: performance.now() - began,
        });
      } catch {
        // It throws where it finds nothing.
        return Promise.resolve(null);
      }
    },
  };
}

function cornersOf(points: FinderPoints | null): FinderPoints['bounds'] | null {
  return points?.bounds ?? null;
}

/** It wants whole planes and looks at the first alone. */
function inPlanes(grey: Uint8Array, widthPx: number, heightPx: number): Uint8Array {
  const planes = new Uint8Array(widthPx * heightPx * 3);
  planes.set(grey);
  return planes;
}
