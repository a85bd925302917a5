/** A rehearsal in a thread of its own: camera model and reader engines keep a processor busy for seconds. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { parentPort, workerData } from 'node:worker_threads';
import type { AskRehearsal } from '@hapset/contract';
import { planSymbol, rehearseDevice, usualScene, type ReaderEngineName } from '@hapset/core';
import { createQrReader, createZbarReader, createZxingReader, type ReaderEngine } from '@hapset/readers';
import { profileOf, toResult, type WorkerAnswer } from './asked-rehearsal.work.js';

const creators: Readonly<Record<ReaderEngineName, () => Promise<ReaderEngine>>> = {
  zxing: () =>
    createZxingReader({
      bytes: readFileSync(createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm')),
    }),
  zbar: () => createZbarReader(null),
  qr: () => Promise.resolve(createQrReader()),
};

async function rehearse({ payload, sizeMm, device, scene }: AskRehearsal): Promise<WorkerAnswer> {
  const planned = planSymbol(payload);
  if (!planned.ok) return { failure: planned.problem.reason };
  const engine = await creators[device.engine]();
  const found = await rehearseDevice(
    planned.value,
    sizeMm,
    profileOf(device),
    async (frame) => (await engine.read(frame))?.text ?? null,
    { scene: scene ?? usualScene },
  );
  return found ? { result: toResult(found) } : { failure: 'stopped' };
}

const answer = await rehearse(workerData as AskRehearsal).catch((error: unknown): WorkerAnswer => ({
  failure: String(error),
}));
parentPort?.postMessage(answer);
process.exit(0);
