/** Reads and rehearses in a worker: camera model and reader engines never touch the page's own thread. */
import { planSymbol, rehearseDevice, type ReaderEngineName } from '@hapset/core';
import { createFinder, createZbarReader, createZxingReader, type FindCodes, type ReaderEngine } from '@hapset/readers';
import zbarWasm from '@undecaf/zbar-wasm/dist/zbar.wasm?url';
import zxingWasm from 'zxing-wasm/reader/zxing_reader.wasm?url';
import type { ReaderMessage, ReaderWish, RehearsalWish } from './reader.messages.js';

const engines: Partial<Record<ReaderEngineName, Promise<ReaderEngine>>> = {};
let finder: Promise<FindCodes> | null = null;

function engine(name: ReaderEngineName): Promise<ReaderEngine> {
  engines[name] ??= name === 'zbar' ? createZbarReader({ address: zbarWasm }) : createZxingReader({ address: zxingWasm });
  return engines[name];
}

function tell(message: ReaderMessage): void {
  self.postMessage(message);
}

async function rehearse({ payload, level, look, sizeMm, devices }: RehearsalWish): Promise<void> {
  const planned = planSymbol(payload, level);
  if (!planned.ok) throw new Error(planned.problem.reason);
  for (const device of devices) {
    const reader = await engine(device.engine);
    const result = await rehearseDevice(planned.value, sizeMm, device, async (frame) => (await reader.read(frame))?.text ?? null, { look });
    if (result) tell({ sort: 'device', result });
  }
  tell({ sort: 'end' });
}

async function work(wish: ReaderWish): Promise<void> {
  if (wish.sort === 'rehearse') return rehearse(wish.wish);
  finder ??= createFinder({ address: zxingWasm });
  const find = await finder;
  tell({ sort: 'codes', codes: await find(wish.frame) });
}

self.onmessage = (event: MessageEvent<ReaderWish>) => {
  work(event.data).catch((error: unknown) => tell({ sort: 'failed', message: String(error) }));
};
