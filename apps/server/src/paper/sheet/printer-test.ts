/**
 * A sheet that shows how far backs have to be moved: crosses on the front, scales in millimetres behind them. Held against a window with
 * the scales in front, the crosses show through; where they lie on the scales stands what the school's settings want.
 */
import {
  backOf,
  pageSize,
  pointsPerMm,
  type DuplexAdjustment,
  type DuplexEdge,
  type MmBox,
  type PaperFormat,
} from '@hapset/core';
import { startPdf } from '../picture/draw-pdf.js';
import { fontBytes } from '../../code/typeface/faces.js';

export interface PrinterTest {
  readonly paper: PaperFormat;
  readonly printerMarginMm: number;
  readonly edge: DuplexEdge;
  readonly adjustment: DuplexAdjustment;
}

interface Line {
  readonly sizePt: number;
  readonly widthMm: number;
  readonly align?: 'left' | 'center';
  readonly font?: string;
}

const armMm = 8;
const scaleMm = 10;

export async function printerTestPdf(test: PrinterTest): Promise<Buffer> {
  const page = pageSize(test.paper, false);
  const { document, finish } = startPdf({ title: 'Printer test, both sides', madeAt: new Date(0) });
  document.registerFont('text', fontBytes('text')).registerFont('heading', fontBytes('heading'));
  const pen = new Pen(document);
  const middles: readonly MmBox[] = [0.3, 0.7].map((share) => ({
    xMm: page.widthMm * share - 1,
    yMm: page.heightMm * 0.6 - 1,
    widthMm: 2,
    heightMm: 2,
  }));
  const root = document.struct('Document');
  document.addStructure(root);

  pen.addPage(page);
  root.add(document.struct('P', {}, () => writeSteps(pen, page, test.edge)));
  document.markContent('Artifact', { type: 'Layout' });
  pen.frame(page, test.printerMarginMm);
  for (const [x, y] of middles.map(centre)) pen.cross(x, y, armMm);
  document.endMarkedContent();

  pen.addPage(page);
  document.markContent('Artifact', { type: 'Layout' });
  for (const middle of middles) {
    const [x, y] = centre(backOf(page, middle, test.edge, test.adjustment).box);
    drawScale(pen, x, y, test.adjustment);
  }
  document.endMarkedContent();
  root.end();
  return finish();
}

type PageMm = Readonly<{ widthMm: number; heightMm: number }>;

/** Draws in millimetres from the upper left corner. */
class Pen {
  constructor(private readonly document: PDFKit.PDFDocument) {}

  addPage({ widthMm, heightMm }: PageMm): void {
    this.document.addPage({ size: [mm(widthMm), mm(heightMm)], margin: 0 });
  }

  line(from: readonly [number, number], to: readonly [number, number], widthMm = 0.2): void {
    this.document.lineWidth(mm(widthMm)).moveTo(mm(from[0]), mm(from[1])).lineTo(mm(to[0]), mm(to[1])).stroke('#000');
  }

  cross(x: number, y: number, arm: number, widthMm = 0.2): void {
    this.line([x - arm, y], [x + arm, y], widthMm);
    this.line([x, y - arm], [x, y + arm], widthMm);
  }

  frame({ widthMm, heightMm }: PageMm, marginMm: number): void {
    this.document
      .lineWidth(mm(0.2))
      .rect(mm(marginMm), mm(marginMm), mm(widthMm - 2 * marginMm), mm(heightMm - 2 * marginMm))
      .stroke('#000');
  }

  write(text: string, xMm: number, yMm: number, { sizePt, widthMm, align = 'left', font = 'text' }: Line): void {
    this.document
      .font(font)
      .fontSize(sizePt)
      .fillColor('#000')
      .text(text, mm(xMm), mm(yMm), { width: mm(widthMm), align });
  }
}

function writeSteps(pen: Pen, { widthMm }: PageMm, edge: DuplexEdge): void {
  const steps = [
    'Print this on both sides, at 100 %, without “fit to page”.',
    `Let the printer turn the paper about its ${edge} edge.`,
    'Hold it against a window with the scales towards you. The crosses of this side show through.',
    'Read where a cross lies on its scale, across and down. Write these figures into School, Printer.',
    'The frame is the printer’s margin. Where a side of it is missing, the margin is larger.',
  ];
  pen.write('Printer test', 25, 30, { sizePt: 20, widthMm: widthMm - 50, font: 'heading' });
  steps.forEach((step, index) =>
    pen.write(`${index + 1}.  ${step}`, 25, 45 + index * 11.5, { sizePt: 11, widthMm: widthMm - 50 }),
  );
}

/** A cross that shows to the right of the middle asks for backs further to the right: as far as it lies there, added to what is set now. */
function drawScale(pen: Pen, x: number, y: number, { rightMm, downMm }: DuplexAdjustment): void {
  pen.cross(x, y, scaleMm, 0.1);
  for (let at = -scaleMm; at <= scaleMm; at += 1) {
    const half = at % 5 === 0 ? 1.6 : 0.8;
    pen.line([x + at, y - half], [x + at, y + half], 0.1);
    pen.line([x - half, y + at], [x + half, y + at], 0.1);
    if (at === 0 || at % 5 !== 0) continue;
    // Figures of both scales would meet near the middle: across, the ends alone have some.
    if (Math.abs(at) === scaleMm)
      pen.write(signed(at + rightMm), x + at - 4, y + 2.2, { sizePt: 6.5, widthMm: 8, align: 'center' });
    pen.write(signed(at + downMm), x + 2.4, y + at - 1.2, { sizePt: 6.5, widthMm: 10 });
  }
  pen.write('to the right', x + scaleMm + 2, y - 1.3, { sizePt: 6.5, widthMm: 20 });
  pen.write('down', x - 5, y + scaleMm + 2, { sizePt: 6.5, widthMm: 10, align: 'center' });
}

function centre({ xMm, yMm, widthMm, heightMm }: MmBox): readonly [number, number] {
  return [xMm + widthMm / 2, yMm + heightMm / 2];
}

function mm(value: number): number {
  return value * pointsPerMm;
}

function signed(value: number): string {
  const rounded = Math.round(value * 10) / 10;
  return rounded > 0 ? `+${rounded}` : String(rounded);
}
