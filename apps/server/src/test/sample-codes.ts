import { planSymbol, type SymbolPlan } from '@hapset/core';
import jsQR from 'jsqr';
import sharp from 'sharp';
import { pdfPages } from './pdf-pages.js';

/** What the independent reader finds in a picture, on white paper. */
export async function decode(picture: Buffer): Promise<string | null> {
  const { data, info } = await sharp(picture, { limitInputPixels: false })
    .flatten({ background: '#ffffff' })
    .resize({ width: 700, withoutEnlargement: true })
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data ?? null;
}

/** The same of the only page of a PDF that is sound. */
export function decodePdf(pdf: Buffer): Promise<string | null> {
  return decode(pdfPages(pdf, 200)[0] ?? Buffer.of());
}

/** @throws Error where no code holds it */
export function planned(payload: string): SymbolPlan {
  const plan = planSymbol(payload);
  if (!plan.ok) throw new Error(plan.problem.reason);
  return plan.value;
}
