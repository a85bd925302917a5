/**
 * Repeatable numbers for simulated noise and movement: the same seed gives the same frame in a worker and on the
 * server. Not for secrets.
 */

/** mulberry32: uniform in [0, 1). */
export function uniformSource(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
}

const tableSize = 65536;
/** Standard normal deviates by Box-Muller, drawn once: noise looks them up instead of computing logarithms a pixel. */
const normalTable = (() => {
  const uniform = uniformSource(20261);
  const table = new Float32Array(tableSize);
  for (let index = 0; index < tableSize; index += 2) {
    const radius = Math.sqrt(-2 * Math.log(1 - uniform()));
    const angle = 2 * Math.PI * uniform();
    table[index] = radius * Math.cos(angle);
    table[index + 1] = radius * Math.sin(angle);
  }
  return table;
})();
/** The widest frame. */
const longestRow = 8192;

/** Rows of normal deviates with mean 0 and sigma 1, `longestRow` long at least: stretches of the table that begin anywhere. */
export function noiseSource(seed: number): () => Float32Array {
  const uniform = uniformSource(seed);
  return () => {
    const from = (uniform() * (tableSize - longestRow)) | 0;
    return normalTable.subarray(from, from + longestRow);
  };
}
