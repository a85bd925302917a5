/** Asks the workers: for results of devices, for one attempt to be looked at, for what limits. Aborting ends a worker at once. */
import type { OtherReader, RehearsalResult } from '@hapset/contract';
import {
  chooseSize,
  readerEngineNames,
  type DeviceProfile,
  type LimitingCause,
  type ReadableRange,
  type ReaderEngineName,
  type Scene,
} from '@hapset/core';
import { askReader } from '../reader/reader-pool.js';
import type {
  AttemptRequest,
  LimitsRequest,
  ReaderMessage,
  ReaderRequest,
  RehearsalRequest,
  RehearsedCode,
  SeenAttempt,
} from '../reader/reader.messages.js';

/** Devices at once: one core is left for the page, but two are always at work. */
const atOnce = Math.min(4, Math.max(2, (globalThis.navigator?.hardwareConcurrency ?? 2) - 1));

/** What came of it: for each device how far, and which engines can't read it even flat. */
export interface Rehearsed {
  readonly results: readonly RehearsalResult[];
  readonly unreadBy: readonly ReaderEngineName[];
}

/** What is rehearsed, and what the same devices made of a code of the same shape before, as far as that is known. */
export interface CodeToRehearse extends Omit<RehearsalRequest, 'like'> {
  readonly like?: readonly RehearsalResult[];
}

/** @param onDevice hears of each device as it is done @returns devices in the order of the request */
export async function rehearse(
  { devices, like = [], ...code }: CodeToRehearse,
  signal: AbortSignal,
  onDevice: (result: RehearsalResult) => void,
): Promise<Rehearsed> {
  const reaches = several(devices, async (device) => {
    const before = like.find(({ deviceId }) => deviceId === device.id) ?? null;
    const result = await rehearseOne(code, device, before, signal);
    if (result) onDevice(result);
    return result;
  });
  // Together, so that one that is stopped is nobody's loose end.
  const [unreadBy, results] = await Promise.all([readFlat(code, signal), reaches]);
  return { results: results.flatMap((result) => result ?? []), unreadBy };
}

async function rehearseOne(
  code: Omit<CodeToRehearse, 'devices' | 'like'>,
  device: DeviceProfile,
  before: ReadableRange | null,
  signal: AbortSignal,
): Promise<RehearsalResult | null> {
  const shape = shapeOf(code, device);
  const result = await askFor(
    { kind: 'rehearse', request: { ...code, devices: [device], like: knownShapes.get(shape) ?? before } },
    signal,
    (message) => (message.kind === 'device' ? message.result : null),
    'end',
  );
  if (!result) return null;
  if (knownShapes.size >= mostShapes) knownShapes.clear();
  knownShapes.set(shape, result);
  return result;
}

/** Which engines can't read the code flat and straight. */
async function readFlat(code: RehearsedCode, signal: AbortSignal): Promise<readonly ReaderEngineName[]> {
  const { payload, level, look, sizeMm } = code;
  const unreadBy = await askFor(
    { kind: 'flat', request: { payload, level, look, sizeMm } },
    signal,
    (message) => (message.kind === 'flat' ? message.unreadBy : null),
    'flat',
  );
  return unreadBy ?? [];
}

/** Results by shape: a code of the same version, level, look and size reads as far, which a few trials confirm. */
const knownShapes = new Map<string, RehearsalResult>();
const mostShapes = 300;

function shapeOf(
  { payload, level, look, sizeMm, scene }: RehearsedCode & { readonly scene?: Scene },
  device: DeviceProfile,
): string {
  const size = chooseSize(payload, level);
  return JSON.stringify([size.ok ? size.value.version : 0, level, look, sizeMm, scene ?? null, device]);
}

/** What the other engines make of it: shown, not decisive. */
export async function rehearseOthers(
  { devices, like = [], ...code }: CodeToRehearse,
  results: readonly RehearsalResult[],
  signal: AbortSignal,
): Promise<readonly RehearsalResult[]> {
  const cells = results.flatMap((result) => {
    const device = devices.find(({ id }) => id === result.deviceId);
    const before = like.find(({ deviceId }) => deviceId === result.deviceId);
    return device
      ? readerEngineNames
          .filter((engine) => engine !== device.engine)
          .map((engine) => ({ device: { ...device, engine }, before: rangeOfOther(before, engine) }))
      : [];
  });
  const found = await several(
    cells,
    async ({ device, before }): Promise<(OtherReader & { readonly deviceId: string }) | null> => {
      const result = await rehearseOne(code, device, before, signal);
      return result && { deviceId: device.id, engine: device.engine, reachM: result.reachM, misread: result.misread };
    },
  );
  return results.map((result) => ({
    ...result,
    others: found.flatMap((other) =>
      other?.deviceId === result.deviceId
        ? [{ engine: other.engine, reachM: other.reachM, misread: other.misread }]
        : [],
    ),
  }));
}

/** Of other engines only the reach is kept; near by they read where the device's own does. */
function rangeOfOther(before: RehearsalResult | undefined, engine: ReaderEngineName): ReadableRange | null {
  const reachM = before?.others.find((other) => other.engine === engine)?.reachM;
  return before && reachM !== undefined ? { fromM: before.fromM, reachM, hitAndMissM: reachM } : null;
}

export async function lookAtAttempt(request: AttemptRequest, signal: AbortSignal): Promise<SeenAttempt | null> {
  return askFor(
    { kind: 'attempt', request },
    signal,
    (message) => (message.kind === 'attempt' ? message.seen : null),
    'attempt',
  );
}

export async function findLimits(request: LimitsRequest, signal: AbortSignal): Promise<readonly LimitingCause[]> {
  return (
    (await askFor(
      { kind: 'limits', request },
      signal,
      (message) => (message.kind === 'limits' ? message.causes : null),
      'limits',
    )) ?? []
  );
}

async function askFor<T>(
  request: ReaderRequest,
  signal: AbortSignal,
  pick: (message: ReaderMessage) => T | null,
  last: ReaderMessage['kind'],
): Promise<T | null> {
  let found: T | null = null;
  await askReader(request, signal, (message) => {
    found = pick(message) ?? found;
    return message.kind === last;
  });
  return found;
}

/** Works on so many at once, in order. */
async function several<Item, Result>(
  items: readonly Item[],
  work: (item: Item) => Promise<Result>,
): Promise<readonly Result[]> {
  const results: Result[] = [];
  let next = 0;
  const lane = async (): Promise<void> => {
    while (next < items.length) {
      const index = next;
      next += 1;
      results[index] = await work(items[index] as Item);
    }
  };
  await Promise.all(Array.from({ length: atOnce }, lane));
  return results;
}
