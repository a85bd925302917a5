/**
 * Pages of sheets as PDF: codes as vectors, text in embedded and subset fonts that can be searched and copied, a structure for those who
 * have it read aloud: texts as paragraphs, codes as figures with what they carry.
 */
import {
  baselineMm,
  layoutPage,
  lineHeightMm,
  pagesOf,
  pointsPerMm,
  type MmBox,
  type PageArrow,
  type PageBand,
  type PageLine,
  type PageText,
  type SheetPage,
} from '@hapset/core';
import { drawOnPdf, startPdf, type PictureBytes } from '../picture/draw-pdf.js';
import { fontBytes, type Face } from '../../code/typeface/faces.js';
import { measureIn, shapeLine, type HanForms } from '../../code/typeface/shaped-line.js';
import { lineColours, lineWidthsMm, toneColour } from './sheet-colours.js';
import { pictureId, type Drawable, type SheetOrder } from './sheet-order.js';

/** @param onPage hears how many pages are drawn; the drawing pauses there, so that it can be stopped */
export async function drawSheetsPdf(
  drawable: Drawable,
  order: SheetOrder,
  pictures: PictureBytes,
  onPage: (drawn: number) => Promise<void> | void = () => undefined,
): Promise<Buffer> {
  const { composition } = drawable;
  const pages = pagesOf(composition);
  const measure = measureIn(order.han);
  const { document, finish } = startPdf({ title: order.title, madeAt: new Date(order.madeAt) });
  const root = document.struct('Document');
  document.addStructure(root);
  const drawing = new PageDrawing(document, root, { drawable, order, pictures });
  for (let index = 0; index < pages; index += 1) {
    const page = layoutPage(composition, index, measure);
    document.addPage({ size: [page.widthMm * pointsPerMm, page.heightMm * pointsPerMm], margin: 0 });
    drawing.draw(page);
    await onPage(index + 1);
  }
  root.end();
  return finish();
}

interface Drawn {
  readonly drawable: Drawable;
  readonly order: SheetOrder;
  readonly pictures: PictureBytes;
}

class PageDrawing {
  private readonly registered = new Set<Face>();

  constructor(
    private readonly document: PDFKit.PDFDocument,
    private readonly root: PDFKit.PDFStructureElement,
    private readonly drawn: Drawn,
  ) {}

  draw(page: SheetPage): void {
    const { document } = this;
    document.markContent('Artifact', { type: 'Layout' });
    for (const band of page.bands) drawBand(document, band);
    for (const line of page.lines) drawLine(document, line);
    for (const arrow of page.arrows) drawArrow(document, arrow);
    document.endMarkedContent();
    for (const text of page.texts) this.root.add(document.struct('P', {}, () => this.drawText(text)));
    for (const code of page.codes) this.drawCode(code);
    for (const picture of page.pictures) this.drawPicture(picture);
  }

  private drawCode(code: SheetPage['codes'][number]): void {
    const { drawable, order, pictures } = this.drawn;
    const drawing = drawable.drawingOf(code.item);
    const content = order.contents[code.item];
    if (!content) return;
    const box = { ...code, widthMm: code.sizeMm, heightMm: code.sizeMm };
    this.addFigure(`QR code of ${content.title}: ${content.payload}`, () =>
      this.turned(code.turned, box, () => drawOnPdf(this.document, drawing, code, pictures)),
    );
  }

  private drawPicture(picture: SheetPage['pictures'][number]): void {
    const { drawable, order, pictures } = this.drawn;
    const id = pictureId(picture, order.contents, drawable.composition.setup.design.header);
    const bytes = pictures.get(id ?? '');
    if (!bytes) return;
    this.addFigure(pictureWords[picture.which], () =>
      this.turned(
        picture.turned,
        picture,
        () =>
          void this.document.image(bytes, picture.xMm * pointsPerMm, picture.yMm * pointsPerMm, {
            width: picture.widthMm * pointsPerMm,
            height: picture.heightMm * pointsPerMm,
          }),
      ),
    );
  }

  private addFigure(alt: string, draw: () => void): void {
    this.root.add(this.document.struct('Figure', { alt }, draw));
  }

  private turned(isTurned: boolean, { xMm, yMm, widthMm, heightMm }: MmBox, draw: () => void): void {
    if (!isTurned) return draw();
    const origin: [number, number] = [(xMm + widthMm / 2) * pointsPerMm, (yMm + heightMm / 2) * pointsPerMm];
    this.document.save().rotate(180, { origin });
    draw();
    this.document.restore();
  }

  private drawText(text: PageText): void {
    const { drawable, order } = this.drawn;
    this.turned(text.turned, text, () => {
      this.document.fillColor(toneColour(text.tone, drawable.composition.setup.design.accent));
      for (const line of placedLines(text, order.han)) this.drawRuns(line, text.sizePt);
    });
  }

  private drawRuns({ runs, xMm, baselineMm: baseline }: PlacedLine, sizePt: number): void {
    const { document } = this;
    for (const run of runs) {
      this.useFace(run.face);
      document.fontSize(sizePt);
      const at: [number, number] = [(xMm + (run.xEm * sizePt) / pointsPerMm) * pointsPerMm, baseline * pointsPerMm];
      if (run.actual !== null) document.markContent('Span', { actual: run.actual });
      document.text(run.text, ...at, { lineBreak: false, baseline: 'alphabetic', features: [] });
      if (run.actual !== null) document.endMarkedContent();
    }
  }

  private useFace(face: Face): void {
    if (!this.registered.has(face)) this.document.registerFont(face, fontBytes(face));
    this.registered.add(face);
    this.document.font(face);
  }
}

const pictureWords = { header: 'The school', material: 'What opens', photo: 'Photo of the student' } as const;

export interface PlacedLine {
  readonly runs: ReturnType<typeof shapeLine>['runs'];
  /** Of its left edge. */
  readonly xMm: number;
  readonly baselineMm: number;
  readonly text: string;
}

/** Where each line of a text box lies: in the middle, or at the side where its script begins. */
export function placedLines(
  { lines, font, sizePt, align, xMm, yMm, widthMm }: PageText,
  han: HanForms,
): readonly PlacedLine[] {
  return lines.map((line, index) => {
    const { runs, widthEm, fromRight } = shapeLine(line, font, han);
    const restMm = widthMm - (widthEm * sizePt) / pointsPerMm;
    const aside = align === 'middle' ? restMm / 2 : fromRight ? restMm : 0;
    return { runs, xMm: xMm + aside, baselineMm: yMm + index * lineHeightMm(sizePt) + baselineMm(sizePt), text: line };
  });
}

function drawLine(document: PDFKit.PDFDocument, { from, to, kind }: PageLine): void {
  document
    .save()
    .lineWidth(lineWidthsMm[kind] * pointsPerMm)
    .strokeColor(lineColours[kind]);
  if (kind === 'fold') document.dash(2 * pointsPerMm, { space: 1.5 * pointsPerMm });
  document
    .moveTo(from[0] * pointsPerMm, from[1] * pointsPerMm)
    .lineTo(to[0] * pointsPerMm, to[1] * pointsPerMm)
    .stroke()
    .restore();
}

function drawBand(document: PDFKit.PDFDocument, { xMm, yMm, widthMm, heightMm, colour }: PageBand): void {
  document
    .save()
    .rect(xMm * pointsPerMm, yMm * pointsPerMm, widthMm * pointsPerMm, heightMm * pointsPerMm)
    .fill(colour)
    .restore();
}

function drawArrow(document: PDFKit.PDFDocument, arrow: PageArrow): void {
  document
    .save()
    .translate(arrow.xMm * pointsPerMm, arrow.yMm * pointsPerMm)
    .scale(pointsPerMm)
    .path(arrowPath(arrow))
    .fill('#000')
    .restore();
}

/** A shaft with a head, filling its box; from its upper left corner, in mm. */
export function arrowPath({ widthMm, heightMm, to, turned }: PageArrow): string {
  // In a unit square, pointing up.
  const corners: readonly (readonly [number, number])[] = [
    [0.5, 0],
    [0.92, 0.46],
    [0.62, 0.46],
    [0.62, 1],
    [0.38, 1],
    [0.38, 0.46],
    [0.08, 0.46],
  ];
  const placed = corners.map(([x, y]) => {
    const [across, down] = to === 'left' ? [y, 1 - x] : [x, y];
    return turned ? [1 - across, 1 - down] : [across, down];
  });
  return `M${placed.map(([x = 0, y = 0]) => `${round(x * widthMm)} ${round(y * heightMm)}`).join('L')}Z`;
}

function round(value: number): number {
  return Math.round(value * 1000) / 1000;
}
