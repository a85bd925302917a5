/** zxing-wasm, the engine that reads best of all; what current phones resemble. */
import { prepareZXingModule, readBarcodes, type ReaderOptions, type ReadResult } from 'zxing-wasm/reader';
import type { Corners, ErrorCorrectionLevel, GreyFrame } from '@hapset/core';
import type { ReaderEngine, WasmSource } from './engine.js';

const options: ReaderOptions = {
  formats: ['QRCodeModel2'],
  tryHarder: true,
  tryRotate: true,
  tryInvert: false,
  tryDownscale: true,
  maxNumberOfSymbols: 1,
};

/** Loads the engine; later calls share the first module. */
export async function prepareZxing(wasm: WasmSource): Promise<void> {
  // Left to itself the package would fetch its wasm from a server outside.
  const overrides =
    'bytes' in wasm
      ? {
          wasmBinary: wasm.bytes.buffer.slice(
            wasm.bytes.byteOffset,
            wasm.bytes.byteOffset + wasm.bytes.byteLength,
          ) as ArrayBuffer,
        }
      : { locateFile: () => wasm.address };
  await prepareZXingModule({ overrides, fireImmediately: true });
}

export async function createZxingReader(wasm: WasmSource): Promise<ReaderEngine> {
  await prepareZxing(wasm);
  return {
    name: 'zxing',
    async read(frame) {
      const began = performance.now();
      const [result] = await readBarcodes(toImage(frame), options);
      if (!result?.isValid) return null;
      const { text, bytes } = result;
      return {
        engine: 'zxing',
        text,
        bytes,
        version: factsOf(result).version,
        corners: cornersOf(result),
        tookMs: performance.now() - began,
      };
    },
  };
}

/** In the order in which the symbol stands. */
export function cornersOf({ position: { topLeft, topRight, bottomRight, bottomLeft } }: ReadResult): Corners {
  return [topLeft, topRight, bottomRight, bottomLeft];
}

export interface SymbolFacts {
  /** Null where the reader does not say. */
  readonly version: number | null;
  readonly level: ErrorCorrectionLevel | null;
  /** What the reader left of the error correction, 0 to 1; null where it does not say. */
  readonly unusedRepair: number | null;
}

const levels: readonly string[] = ['L', 'M', 'Q', 'H'] satisfies readonly ErrorCorrectionLevel[];

export function factsOf({ extra }: ReadResult): SymbolFacts {
  const facts = (extra === '' ? {} : JSON.parse(extra)) as {
    readonly Version?: unknown;
    readonly ECLevel?: unknown;
    readonly UEC?: unknown;
  };
  const version = Number(facts.Version);
  const unused = Number(facts.UEC);
  return {
    version: Number.isInteger(version) && version >= 1 && version <= 40 ? version : null,
    level: levels.includes(String(facts.ECLevel)) ? (String(facts.ECLevel) as ErrorCorrectionLevel) : null,
    unusedRepair: facts.UEC !== undefined && unused >= 0 && unused <= 1 ? unused : null,
  };
}

export function toImage({ widthPx, heightPx, grey }: GreyFrame): ImageData {
  const data = new Uint8ClampedArray(grey.length * 4);
  const words = new Uint32Array(data.buffer);
  for (let index = 0; index < grey.length; index += 1) words[index] = ((grey[index] as number) * 0x010101) | 0xff000000;
  return { data, width: widthPx, height: heightPx, colorSpace: 'srgb' } as ImageData;
}
