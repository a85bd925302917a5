export type { ReaderEngine, Reading, WasmSource } from './engine.js';
export { createZxingReader } from './zxing.js';
export { createZbarReader, decodeBytes } from './zbar.js';
