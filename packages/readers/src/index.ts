export type { ReaderEngine, Reading, WasmSource } from './engine.js';
export { createZxingReader } from './zxing.js';
export { createZbarReader, decodeBytes } from './zbar.js';
export { createFinder, type FindCodes, type FoundCode } from './find-codes.js';
