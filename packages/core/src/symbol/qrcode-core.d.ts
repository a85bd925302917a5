// The pure parts of the `qrcode` package; its own types cover only the entry that draws on canvases and files.
declare module 'qrcode/lib/core/qrcode.js' {
  export function create(
    data: string,
    options: { version?: number; errorCorrectionLevel?: string },
  ): { modules: { size: number; data: Uint8Array }; version: number; maskPattern?: number };
}
declare module 'qrcode/lib/core/error-correction-level.js' {
  export interface Level {
    bit: number;
  }
  export function from(value: string): Level;
}
declare module 'qrcode/lib/core/segments.js' {
  export interface Segment {
    getLength(): number;
  }
  export function fromString(data: string, version: number): Segment[];
}
declare module 'qrcode/lib/core/version.js' {
  import type { Level } from 'qrcode/lib/core/error-correction-level.js';
  import type { Segment } from 'qrcode/lib/core/segments.js';
  export function getBestVersionForData(data: Segment[], level: Level): number | undefined;
}
