/** Codes of random payloads, read by every engine: each must say exactly what was put in. */
import { codePixels, planSymbol } from '@hapset/core';
import type { ReaderEngine } from '../index.js';

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

/** @returns what was not read, by whom */
export async function unreadOf(payloads: number, engines: readonly ReaderEngine[]): Promise<readonly string[]> {
  const next = seeded(20261125);
  const letters = [
    '0123456789',
    'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789 $%*+-./:',
    'abcdefghijklmnopqrstuvwxyz/?=&_%',
    'äöüßéèñçøåčğ',
    '潮海岸貝魚',
    '🐚🦀🌊',
  ];
  const failed: string[] = [];
  for (let count = 0; count < payloads; count += 1) {
    const alphabets = letters.filter(() => next() < 0.4);
    const units = [...(alphabets.length > 0 ? alphabets : letters.slice(0, 1)).join('')];
    const payload = Array.from(
      { length: 1 + Math.floor(next() ** 3 * 400) },
      () => units[Math.floor(next() * units.length)] ?? '',
    ).join('');
    if (/^\s|\s$/.test(payload)) continue;
    const planned = planSymbol(payload);
    if (!planned.ok || planned.value.version > 25) continue;
    const symbol = planned.value;
    const frame = codePixels(symbol, 3);
    for (const engine of engines)
      if ((await engine.read({ widthPx: frame.widthPx, heightPx: frame.widthPx, grey: frame.grey }))?.text !== payload)
        failed.push(`${engine.name}, version ${symbol.version}${symbol.level}: ${payload.slice(0, 60)}`);
  }
  return failed;
}
