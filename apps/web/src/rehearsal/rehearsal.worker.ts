/** Rehearses in a worker: camera model and reader engines never touch the page's own thread. */
import { planSymbol, rehearseDevice, type ReaderEngineName } from '@hapset/core';
import { createZbarReader, createZxingReader, type ReaderEngine } from '@hapset/readers';
import zbarWasm from '@undecaf/zbar-wasm/dist/zbar.wasm?url';
import zxingWasm from 'zxing-wasm/reader/zxing_reader.wasm?url';
import type { RehearsalMessage, RehearsalWish } from './rehearsal.messages.js';

const engines: Partial<Record<ReaderEngineName, Promise<ReaderEngine>>> = {};

function engine(name: ReaderEngineName): Promise<ReaderEngine> {
  engines[name] ??= name === 'zbar' ? createZbarReader({ address: zbarWasm }) : createZxingReader({ address: zxingWasm });
  return engines[name];
}

function tell(message: RehearsalMessage): void {
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

self.onmessage = (event: MessageEvent<RehearsalWish>) => {
  rehearse(event.data).catch((error: unknown) => tell({ sort: 'failed', message: String(error) }));
};
