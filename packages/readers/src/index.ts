export type { ReaderEngine, Reading, WasmSource } from './engine.js';
export { createZxingReader } from './zxing.js';
export { createZbarReader } from './zbar.js';
export { createQrReader } from './qr.js';
export { decodeBytes } from './decode-bytes.js';
export { createFinder, type FindCodes, type FoundCode } from './find-codes.js';
