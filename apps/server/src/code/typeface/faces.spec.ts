import { sheetFonts } from '@hapset/core';
import { families, fontBytes, type Face } from './faces.js';

const faces: readonly Face[] = [
  ...sheetFonts,
  ...families.flatMap((family) => [`${family}-regular`, `${family}-bold`] as const),
];

// The installation leaves out weights that nothing uses; a new face must not be among them.
it.each(faces)('the font file of %s is installed', (face) => {
  // A TrueType file says so in its first four bytes.
  expect(fontBytes(face).subarray(0, 4).toString('hex')).toBe('00010000');
});
