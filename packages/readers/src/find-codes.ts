/** All codes in a picture, several, turned, light on dark, with what can be told of each: for reading, not for rehearsing. */
import { measureSymbol, modulesOf, type Corners, type GreyFrame, type MeasuredSymbol } from '@hapset/core';
import { readBarcodes, type ReaderOptions } from 'zxing-wasm/reader';
import { cornersOf, factsOf, prepareZxing, toImage, type SymbolFacts } from './zxing.js';
import type { WasmSource } from './engine.js';

export interface FoundCode extends SymbolFacts {
  readonly text: string;
  /** In the order in which the symbol stands: upper left, upper right, lower right, lower left. Pixels. */
  readonly corners: Corners;
  /** Null where it lies partly outside or is too small to be measured. */
  readonly measured: MeasuredSymbol | null;
}

export type FindCodes = (frame: GreyFrame) => Promise<readonly FoundCode[]>;

const options: ReaderOptions = {
  formats: ['QRCodeModel2'],
  tryHarder: true,
  tryRotate: true,
  tryInvert: true,
  tryDownscale: true,
  maxNumberOfSymbols: 40,
};

export async function createFinder(wasm: WasmSource): Promise<FindCodes> {
  await prepareZxing(wasm);
  return async (frame) => {
    const results = await readBarcodes(toImage(frame), options);
    const found = results
      .filter(({ isValid }) => isValid)
      .map((result) => {
        const [corners, facts] = [cornersOf(result), factsOf(result)];
        return {
          text: result.text,
          corners,
          ...facts,
          measured: facts.version === null ? null : measureSymbol(frame, corners, modulesOf(facts.version)),
        };
      });
    return inReadingOrder(found);
  };
}

/** Row by row, as people count them; codes of about the same height make a row. */
function inReadingOrder(codes: readonly FoundCode[]): readonly FoundCode[] {
  const middle = ({ corners }: FoundCode, axis: 'x' | 'y'): number =>
    corners.reduce((sum, corner) => sum + corner[axis], 0) / corners.length;
  const heights = codes.map(
    ({ corners }) => Math.max(...corners.map(({ y }) => y)) - Math.min(...corners.map(({ y }) => y)),
  );
  const rowPx = Math.max(1, ...heights);
  const row = (code: FoundCode): number => Math.round(middle(code, 'y') / rowPx);
  return [...codes].sort((one, other) => row(one) - row(other) || middle(one, 'x') - middle(other, 'x'));
}
