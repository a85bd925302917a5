/** All codes in a picture, several, turned, light on dark, with what can be told of each: for reading, not for rehearsing. */
import { measureSymbol, modulesOf, type Corners, type ErrorCorrectionLevel, type GreyFrame, type MeasuredSymbol } from '@hapset/core';
import { readBarcodes, type ReaderOptions } from 'zxing-wasm/reader';
import { prepareZxing, toImage } from './zxing.js';
import type { WasmSource } from './engine.js';

export interface FoundCode {
  readonly text: string;
  /** In the order in which the symbol stands: upper left, upper right, lower right, lower left. Pixels. */
  readonly corners: Corners;
  /** Null where the reader does not say. */
  readonly version: number | null;
  readonly level: ErrorCorrectionLevel | null;
  /** What the reader left of the error correction, 0 to 1; null where it does not say. */
  readonly unusedRepair: number | null;
  /** Null where it lies partly outside or is too small to be measured. */
  readonly measured: MeasuredSymbol | null;
}

export type FindCodes = (frame: GreyFrame) => Promise<readonly FoundCode[]>;

const options: ReaderOptions = { formats: ['QRCode'], tryHarder: true, tryRotate: true, tryInvert: true, tryDownscale: true, maxNumberOfSymbols: 40 };
const levels: readonly string[] = ['L', 'M', 'Q', 'H'] satisfies readonly ErrorCorrectionLevel[];

export async function createFinder(wasm: WasmSource): Promise<FindCodes> {
  await prepareZxing(wasm);
  return async (frame) => {
    const results = await readBarcodes(toImage(frame), options);
    const found = results
      .filter(({ isValid }) => isValid)
      .map(({ text, position: { topLeft, topRight, bottomRight, bottomLeft }, extra }) => {
        const corners: Corners = [topLeft, topRight, bottomRight, bottomLeft];
        const { version, level, unusedRepair } = readExtra(extra);
        return { text, corners, version, level, unusedRepair, measured: version === null ? null : measureSymbol(frame, corners, modulesOf(version)) };
      });
    return inReadingOrder(found);
  };
}

/** Row by row, as people count them; codes of about the same height make a row. */
function inReadingOrder(codes: readonly FoundCode[]): readonly FoundCode[] {
  const middle = ({ corners }: FoundCode, axis: 'x' | 'y'): number => corners.reduce((sum, corner) => sum + corner[axis], 0) / corners.length;
  const heights = codes.map(({ corners }) => Math.max(...corners.map(({ y }) => y)) - Math.min(...corners.map(({ y }) => y)));
  const rowPx = Math.max(1, ...heights);
  const row = (code: FoundCode): number => Math.round(middle(code, 'y') / rowPx);
  return [...codes].sort((one, other) => row(one) - row(other) || middle(one, 'x') - middle(other, 'x'));
}

function readExtra(extra: string): Pick<FoundCode, 'version' | 'level' | 'unusedRepair'> {
  const facts = (extra === '' ? {} : JSON.parse(extra)) as { readonly Version?: unknown; readonly ECLevel?: unknown; readonly UEC?: unknown };
  const version = Number(facts.Version);
  const unused = Number(facts.UEC);
  return {
    version: Number.isInteger(version) && version >= 1 && version <= 40 ? version : null,
    level: levels.includes(String(facts.ECLevel)) ? (String(facts.ECLevel) as ErrorCorrectionLevel) : null,
    unusedRepair: facts.UEC !== undefined && unused >= 0 && unused <= 1 ? unused : null,
  };
}
