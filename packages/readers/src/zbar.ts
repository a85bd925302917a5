/**
 * zbar-wasm, what older scanners resemble. It is asked for raw bytes, which are decoded here: its own text mode
 * guesses the encoding and garbles UTF-8 text that names no encoding.
 */
import { ZBarConfigType, ZBarImage, ZBarScanner, ZBarSymbolType, setModuleArgs } from '@undecaf/zbar-wasm';
import { decodeBytes } from './decode-bytes.js';
import type { ReaderEngine, WasmSource } from './engine.js';

/** @param wasm null in Node, where the package finds its own file */
export async function createZbarReader(wasm: WasmSource | null): Promise<ReaderEngine> {
  if (wasm && 'address' in wasm) setModuleArgs({ locateFile: () => wasm.address });
  const scanner = await ZBarScanner.create();
  scanner.setConfig(ZBarSymbolType.ZBAR_NONE, ZBarConfigType.ZBAR_CFG_ENABLE, 0);
  scanner.setConfig(ZBarSymbolType.ZBAR_QRCODE, ZBarConfigType.ZBAR_CFG_ENABLE, 1);
  scanner.setConfig(ZBarSymbolType.ZBAR_QRCODE, ZBarConfigType.ZBAR_CFG_BINARY, 1);
  scanner.enableCache(false);
  return {
    name: 'zbar',
    async read({ widthPx, heightPx, grey }) {
      const began = performance.now();
      const image = await ZBarImage.createFromGrayBuffer(
        widthPx,
        heightPx,
        grey.buffer.slice(grey.byteOffset, grey.byteOffset + grey.length) as ArrayBuffer,
      );
      try {
        if (scanner.scan(image) <= 0) return null;
        const [symbol] = image.getSymbols();
        if (!symbol) return null;
        const bytes = Uint8Array.from(symbol.data);
        const [upperLeft, lowerLeft, lowerRight, upperRight] = symbol.points;
        const corners =
          upperLeft && upperRight && lowerRight && lowerLeft
            ? ([upperLeft, upperRight, lowerRight, lowerLeft] as const)
            : null;
        return {
          engine: 'zbar',
          text: decodeBytes(bytes),
          bytes,
          version: null,
          corners,
          tookMs: performance.now() - began,
        };
      } finally {
        image.destroy();
      }
    },
  };
}
