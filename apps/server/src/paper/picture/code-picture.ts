/** A code in its look as a picture file. Modules always lie on whole pixels; where two colours say all, a pixel is a bit. */
import type { PictureFormat } from '@hapset/contract';
import {
  drawingSize,
  drawingSvg,
  isTwoColours,
  type CodeDrawing,
  type LookDesign,
  type SymbolPlan,
} from '@hapset/core';
import sharp, { type Sharp } from 'sharp';
import { codePdf, type PictureBytes } from './draw-pdf.js';
import { outlined } from './outlined.js';
import { pngOfBits } from './png-bits.js';

export interface CodeToDraw {
  readonly plan: SymbolPlan;
  readonly look: LookDesign;
  readonly drawing: CodeDrawing;
  readonly name: string;
  readonly pictures: PictureBytes;
  readonly madeAt: Date;
}

/** How large: millimetres of the symbol where it is printed, pixels a module, or both. */
export interface CodeSize {
  readonly sizeMm: number | null;
  readonly pixelsPerModule: number;
}

export const contentTypes: Readonly<Record<PictureFormat, string>> = {
  svg: 'image/svg+xml; charset=utf-8',
  pdf: 'application/pdf',
  png: 'image/png',
  jpeg: 'image/jpeg',
};
export const fileEndings: Readonly<Record<PictureFormat, string>> = { svg: 'svg', pdf: 'pdf', png: 'png', jpeg: 'jpg' };

const inchMm = 25.4;
const jpegQuality = 92;

/** Pixels that a module gets at that density, at least 1. */
export function pixelsAt(sizeMm: number, modules: number, dpi: number): number {
  return Math.max(1, Math.round((sizeMm / inchMm) * (dpi / modules)));
}

export function codePicture(code: CodeToDraw, format: PictureFormat, size: CodeSize): Promise<Buffer> {
  switch (format) {
    case 'svg':
      return Promise.resolve(
        Buffer.from(codeSvg(code, size.sizeMm === null ? null : { each: size.sizeMm / code.plan.modules, unit: 'mm' })),
      );
    case 'pdf':
      return codePdf(code.drawing, size.sizeMm ?? code.plan.modules, code.name, code.madeAt, code.pictures);
    case 'png':
      return codePng(code, size);
    case 'jpeg':
      return raster(code, size).jpeg({ quality: jpegQuality, chromaSubsampling: '4:4:4' }).toBuffer();
  }
}

async function codePng(code: CodeToDraw, size: CodeSize): Promise<Buffer> {
  const { plan, look } = code;
  const { pixelsPerModule } = size;
  if (isTwoColours(look))
    return pngOfBits(plan, {
      pixelsPerModule,
      ink: look.ink,
      ground: look.ground,
      density: densityOf(plan, size, 1000),
    });
  return raster(code, size).png().toBuffer();
}

/** From the very SVG that is handed out. */
function raster(code: CodeToDraw, size: CodeSize): Sharp {
  const image = sharp(Buffer.from(codeSvg(code, { each: size.pixelsPerModule, unit: '' })), {
    limitInputPixels: 200_000_000,
  }).flatten({ background: code.look.ground });
  const dpi = densityOf(code.plan, size, inchMm);
  return dpi === null ? image : image.withMetadata({ density: dpi });
}

/** Pixels in so many millimetres, so that the symbol has exactly its size where the file is placed. */
function densityOf({ modules }: SymbolPlan, { sizeMm, pixelsPerModule }: CodeSize, inMm: number): number | null {
  return sizeMm === null ? null : (pixelsPerModule * modules * inMm) / sizeMm;
}

function codeSvg(
  { drawing, name, pictures }: CodeToDraw,
  side: { readonly each: number; readonly unit: string } | null,
): string {
  const { width, height } = drawingSize(drawing);
  const long = (modules: number): string | null =>
    side === null ? null : `${Math.round(modules * side.each * 100) / 100}${side.unit}`;
  return drawingSvg(outlined(drawing), {
    width: long(width),
    height: long(height),
    title: name,
    pictureAddress: (id) => dataAddress(pictures.get(id)),
  });
}

function dataAddress(bytes: Buffer | undefined): string | null {
  return bytes ? `data:image/png;base64,${bytes.toString('base64')}` : null;
}
