/** zxing-wasm, the engine that reads best of all; what current phones resemble. */
import { prepareZXingModule, readBarcodes, type ReaderOptions } from 'zxing-wasm/reader';
import type { GreyFrame } from '@hapset/core';
import type { ReaderEngine, WasmSource } from './engine.js';

const options: ReaderOptions = { formats: ['QRCode'], tryHarder: true, tryRotate: true, tryInvert: false, tryDownscale: true, maxNumberOfSymbols: 1 };

/** Loads the engine; later calls share the first module. */
export async function prepareZxing(wasm: WasmSource): Promise<void> {
  // Left to itself the package would fetch its wasm from a server outside.
  const overrides =
    'bytes' in wasm
      ? { wasmBinary: wasm.bytes.buffer.slice(wasm.bytes.byteOffset, wasm.bytes.byteOffset + wasm.bytes.byteLength) as ArrayBuffer }
      : { locateFile: () => wasm.address };
  await prepareZXingModule({ overrides, fireImmediately: true });
}

export async function createZxingReader(wasm: WasmSource): Promise<ReaderEngine> {
  await prepareZxing(wasm);
  return {
    name: 'zxing',
    async read(frame) {
      const [result] = await readBarcodes(toImage(frame), options);
      return result?.isValid ? { engine: 'zxing', text: result.text } : null;
    },
  };
}

export function toImage({ widthPx, heightPx, grey }: GreyFrame): ImageData {
  const data = new Uint8ClampedArray(grey.length * 4);
  const words = new Uint32Array(data.buffer);
  for (let index = 0; index < grey.length; index += 1) words[index] = ((grey[index] as number) * 0x010101) | 0xff000000;
  return { data, width: widthPx, height: heightPx, colorSpace: 'srgb' } as ImageData;
}
