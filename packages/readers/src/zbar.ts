/**
 * zbar-wasm, what older scanners resemble. It is asked for raw bytes, which are decoded here: its own text mode
 * guesses the encoding and garbles UTF-8 text that names no encoding.
 */
import { ZBarConfigType, ZBarImage, ZBarScanner, ZBarSymbolType, setModuleArgs } from '@undecaf/zbar-wasm';
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
      const image = await ZBarImage.createFromGrayBuffer(widthPx, heightPx, grey.buffer.slice(grey.byteOffset, grey.byteOffset + grey.length) as ArrayBuffer);
      try {
        if (scanner.scan(image) <= 0) return null;
        const [symbol] = image.getSymbols();
        return symbol ? { engine: 'zbar', text: decodeBytes(Uint8Array.from(symbol.data)) } : null;
      } finally {
        image.destroy();
      }
    },
  };
}

/** UTF-8 where the bytes are valid UTF-8, otherwise ISO 8859-1 (the default of ISO/IEC 18004). */
export function decodeBytes(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true, ignoreBOM: true }).decode(bytes);
  } catch {
    return Array.from(bytes, (byte) => String.fromCharCode(byte)).join('');
  }
}
