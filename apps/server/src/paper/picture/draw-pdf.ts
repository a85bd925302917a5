/** A code's drawing on a PDF page: the same shapes as everywhere, as vectors. */
import { drawingSize, pointsPerMm, type CodeDrawing, type DrawnShape, type Paint } from '@hapset/core';
import PDFDocument from 'pdfkit';
import { outlined } from './outlined.js';

export interface DrawnAt {
  /** Corner of the symbol itself, mm from the page's upper left. */
  readonly xMm: number;
  readonly yMm: number;
  /** Side of the symbol, mm. */
  readonly sizeMm: number;
}

export type PictureBytes = ReadonlyMap<string, Buffer>;

export function drawOnPdf(
  document: PDFKit.PDFDocument,
  drawing: CodeDrawing,
  { xMm, yMm, sizeMm }: DrawnAt,
  pictures: PictureBytes,
): void {
  document
    .save()
    .translate(xMm * pointsPerMm, yMm * pointsPerMm)
    .scale((sizeMm * pointsPerMm) / drawing.modules);
  for (const shape of outlined(drawing).shapes) drawShape(document, shape, pictures);
  document.restore();
}

/** A page as large as the code with all that is around it. */
export async function codePdf(
  drawing: CodeDrawing,
  sizeMm: number,
  title: string,
  madeAt: Date,
  pictures: PictureBytes,
): Promise<Buffer> {
  const { width, height } = drawingSize(drawing);
  const moduleMm = sizeMm / drawing.modules;
  return writePdf({ widthMm: width * moduleMm, heightMm: height * moduleMm, title, madeAt }, (document) =>
    drawOnPdf(
      document,
      drawing,
      { xMm: drawing.surround.left * moduleMm, yMm: drawing.surround.top * moduleMm, sizeMm },
      pictures,
    ),
  );
}

export interface PdfProperties {
  readonly title: string;
  /** In the file's properties. */
  readonly madeAt: Date;
  /** BCP 47, of all texts that name no other; English where absent. */
  readonly language?: string;
}

export interface PdfPage extends PdfProperties {
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface StartedPdf {
  readonly document: PDFKit.PDFDocument;
  /** Ends the document. */
  readonly finish: () => Promise<Buffer>;
}

/** A document without pages yet, with title and language, and a structure for those who have it read aloud. */
export function startPdf({ title, madeAt, language = 'en' }: PdfProperties): StartedPdf {
  const document = new PDFDocument({
    margin: 0,
    autoFirstPage: false,
    displayTitle: true,
    tagged: true,
    lang: language,
    pdfVersion: '1.7',
    info: { Title: title, Creator: 'Hapset', Producer: 'Hapset', CreationDate: madeAt, ModDate: madeAt },
  });
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const ended = new Promise<void>((resolve, reject) => document.on('end', resolve).on('error', reject));
  return {
    document,
    finish: async () => {
      document.end();
      await ended;
      return Buffer.concat(chunks);
    },
  };
}

/** One page with one figure, which its title describes. */
export async function writePdf(
  { widthMm, heightMm, ...properties }: PdfPage,
  draw: (document: PDFKit.PDFDocument) => void,
): Promise<Buffer> {
  const { document, finish } = startPdf(properties);
  document.addPage({ size: [widthMm * pointsPerMm, heightMm * pointsPerMm], margin: 0 });
  document.addStructure(document.struct('Figure', { alt: properties.title }, () => draw(document)));
  return finish();
}

function drawShape(document: PDFKit.PDFDocument, shape: DrawnShape, pictures: PictureBytes): void {
  switch (shape.kind) {
    case 'fill':
      document.path(shape.path).fill(pdfPaint(document, shape.paint), 'even-odd');
      return;
    case 'stroke':
      document
        .save()
        .translate(...shape.at)
        .scale(shape.scale)
        .lineWidth(shape.width)
        .lineCap('round')
        .lineJoin('round')
        .path(shape.path)
        .stroke(pdfPaint(document, shape.paint))
        .restore();
      return;
    case 'picture': {
      const bytes = pictures.get(shape.pictureId);
      if (bytes) document.image(bytes, shape.x, shape.y, { width: shape.width, height: shape.height });
      return;
    }
    case 'text':
      throw new TypeError('text must be outlines before it is drawn');
  }
}

function pdfPaint(document: PDFKit.PDFDocument, paint: Paint): PDFKit.Mixins.ColorValue {
  switch (paint.kind) {
    case 'colour':
      return paint.colour;
    case 'linear':
      return document
        .linearGradient(...paint.from, ...paint.to)
        .stop(0, paint.colours[0])
        .stop(1, paint.colours[1]);
    case 'radial':
      return document
        .radialGradient(...paint.centre, 0, ...paint.centre, paint.radius)
        .stop(0, paint.colours[0])
        .stop(1, paint.colours[1]);
  }
}
