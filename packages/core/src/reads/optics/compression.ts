/** What JPEG (ITU-T T.81) loses of a grey picture: blocks of 8 x 8 through the cosine transform, rounded by annex K's table. */

/** T.81, table K.1: luminance. */
const luminance: readonly number[] = [
  16, 11, 10, 16, 24, 40, 51, 61, 12, 12, 14, 19, 26, 58, 60, 55, 14, 13, 16, 24, 40, 57, 69, 56, 14, 17, 22, 29, 51,
  87, 80, 62, 18, 22, 37, 56, 68, 109, 103, 77, 24, 35, 55, 64, 81, 104, 113, 92, 49, 64, 78, 87, 103, 121, 120, 101,
  72, 92, 95, 98, 112, 100, 103, 99,
];

/** Orthonormal DCT-II: row k, sample n. */
const basis = Float32Array.from({ length: 64 }, (_, at) => {
  const [k, n] = [at >> 3, at & 7];
  return (k === 0 ? Math.SQRT1_2 : 1) * 0.5 * Math.cos(((2 * n + 1) * k * Math.PI) / 16);
});

/** In place. @param quality 1 to 100, scaled as the reference software does it. @throws RangeError for another */
export function loseAsJpeg(grey: Uint8Array, width: number, height: number, quality: number): void {
  if (!(quality >= 1 && quality <= 100)) throw new RangeError(`quality must be 1 to 100, got ${quality}`);
  const percent = quality < 50 ? 5000 / quality : 200 - 2 * quality;
  const steps = Float32Array.from(luminance, (step) =>
    Math.min(255, Math.max(1, Math.floor((step * percent + 50) / 100))),
  );
  const block = new Float32Array(64);
  const turned = new Float32Array(64);
  for (let top = 0; top < height; top += 8) {
    for (let left = 0; left < width; left += 8) {
      // A block that reaches over the edge repeats the last row and column, as encoders do.
      const at = (index: number): number =>
        Math.min(height - 1, top + (index >> 3)) * width + Math.min(width - 1, left + (index & 7));
      for (let index = 0; index < 64; index += 1) block[index] = (grey[at(index)] as number) - 128;
      transform(block, turned, true);
      for (let index = 0; index < 64; index += 1)
        block[index] = Math.round((block[index] as number) / (steps[index] as number)) * (steps[index] as number);
      transform(block, turned, false);
      for (let index = 0; index < 64; index += 1) {
        if (top + (index >> 3) < height && left + (index & 7) < width)
          grey[at(index)] = Math.min(255, Math.max(0, (block[index] as number) + 128.5));
      }
    }
  }
}

/** B x B' forwards, B' x B back; columns first, then rows. */
function transform(block: Float32Array, between: Float32Array, forwards: boolean): void {
  const weight = (k: number, n: number): number => (forwards ? basis[k * 8 + n] : basis[n * 8 + k]) as number;
  for (let k = 0; k < 8; k += 1) {
    for (let x = 0; x < 8; x += 1) {
      let sum = 0;
      for (let n = 0; n < 8; n += 1) sum += weight(k, n) * (block[n * 8 + x] as number);
      between[k * 8 + x] = sum;
    }
  }
  for (let y = 0; y < 8; y += 1) {
    for (let k = 0; k < 8; k += 1) {
      let sum = 0;
      for (let n = 0; n < 8; n += 1) sum += weight(k, n) * (between[y * 8 + n] as number);
      block[y * 8 + k] = sum;
    }
  }
}
