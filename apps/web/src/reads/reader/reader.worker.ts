/** Reads and rehearses in a worker: camera model and reader engines never touch the page's own thread. */
import {
  attempt,
  firstDifference,
  flatFrame,
  limitsAt,
  planSymbol,
  readerEngineNames,
  rehearseDevice,
  type ReadFrame,
  type ReaderEngineName,
  type SymbolPlan,
} from '@hapset/core';
import {
  createFinder,
  createQrReader,
  createZbarReader,
  createZxingReader,
  type FindCodes,
  type ReaderEngine,
} from '@hapset/readers';
import zbarWasm from '@undecaf/zbar-wasm/dist/zbar.wasm?url';
import zxingWasm from 'zxing-wasm/reader/zxing_reader.wasm?url';
import type {
  AttemptRequest,
  LimitsRequest,
  ReaderMessage,
  ReaderRequest,
  RehearsalRequest,
  RehearsedCode,
  SeenReading,
} from './reader.messages.js';

const creators: Readonly<Record<ReaderEngineName, () => Promise<ReaderEngine>>> = {
  zxing: () => createZxingReader({ address: zxingWasm }),
  zbar: () => createZbarReader({ address: zbarWasm }),
  qr: () => Promise.resolve(createQrReader()),
};
const engines: Partial<Record<ReaderEngineName, Promise<ReaderEngine>>> = {};
let finder: Promise<FindCodes> | null = null;

function engine(name: ReaderEngineName): Promise<ReaderEngine> {
  engines[name] ??= creators[name]();
  return engines[name];
}

async function readerOf(name: ReaderEngineName): Promise<ReadFrame> {
  const reader = await engine(name);
  return async (frame) => (await reader.read(frame))?.text ?? null;
}

function tell(message: ReaderMessage): void {
  self.postMessage(message);
}

function planned({ payload, level }: RehearsedCode): SymbolPlan {
  const plan = planSymbol(payload, level);
  if (!plan.ok) throw new Error(plan.problem.reason);
  return plan.value;
}

async function rehearse({ devices, scene, like = null, ...code }: RehearsalRequest): Promise<void> {
  const plan = planned(code);
  for (const device of devices) {
    const result = await rehearseDevice(plan, code.sizeMm, device, await readerOf(device.engine), {
      look: code.look,
      like,
      ...(scene && { scene }),
    });
    if (result) tell({ kind: 'device', result: { ...result, others: [] } });
  }
  tell({ kind: 'end' });
}

/** Which engines can't read it even flat, straight and in even light. */
async function readFlat(code: RehearsedCode): Promise<void> {
  const frame = flatFrame({ ...planned(code), look: code.look }, code.sizeMm);
  const unreadBy: ReaderEngineName[] = [];
  for (const name of readerEngineNames)
    if ((await (await engine(name)).read(frame))?.text !== code.payload) unreadBy.push(name);
  tell({ kind: 'flat', unreadBy });
}

async function seenBy({ device, distanceM, tiltDeg, scene, ...code }: AttemptRequest): Promise<void> {
  const staging = { code: { ...planned(code), look: code.look }, sizeMm: code.sizeMm, device, scene, tiltDeg };
  const { first, read, of } = await attempt(staging, distanceM, await readerOf(device.engine));
  const readings: SeenReading[] = [];
  for (const name of readerEngineNames) {
    const reading = await (await engine(name)).read(first);
    readings.push({ engine: name, reading, difference: reading && firstDifference(code.payload, reading.text) });
  }
  tell({ kind: 'attempt', seen: { frame: first, read, of, readings } });
}

async function limits({ device, distanceM, ...code }: LimitsRequest): Promise<void> {
  tell({
    kind: 'limits',
    causes: await limitsAt(
      { plan: planned(code), look: code.look, sizeMm: code.sizeMm },
      device,
      distanceM,
      await readerOf(device.engine),
    ),
  });
}

async function work(request: ReaderRequest): Promise<void> {
  if (request.kind === 'rehearse') return rehearse(request.request);
  if (request.kind === 'flat') return readFlat(request.request);
  if (request.kind === 'attempt') return seenBy(request.request);
  if (request.kind === 'limits') return limits(request.request);
  finder ??= createFinder({ address: zxingWasm });
  const find = await finder;
  tell({ kind: 'codes', codes: await find(request.frame) });
}

self.onmessage = (event: MessageEvent<ReaderRequest>) => {
  work(event.data).catch((error: unknown) => tell({ kind: 'failed', message: String(error) }));
};
