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

export async function printerTestPdf({ paper, printerMarginMm, edge, adjustment }: PrinterTest): Promise<Buffer> {
  const page = pageSize(paper, false);
  const { document, finish } = startPdf({ title: 'Printer test, both sides', madeAt: new Date(0) });
  document.registerFont('text', fontBytes('text')).registerFont('heading', fontBytes('heading'));
  const mm = (value: number): number => value * pointsPerMm;
  const line = (x1: number, y1: number, x2: number, y2: number, widthMm = 0.2): void =>
    void document.lineWidth(mm(widthMm)).moveTo(mm(x1), mm(y1)).lineTo(mm(x2), mm(y2)).stroke('#000');
  const write = (
    text: string,
    xMm: number,
    yMm: number,
    { sizePt, widthMm, align = 'left', font = 'text' }: Line,
  ): void =>
    void document
      .font(font)
      .fontSize(sizePt)
      .fillColor('#000')
      .text(text, mm(xMm), mm(yMm), { width: mm(widthMm), align });
  const add = (): void => void document.addPage({ size: [mm(page.widthMm), mm(page.heightMm)], margin: 0 });
  const middles: readonly MmBox[] = [0.3, 0.7].map((share) => ({
    xMm: page.widthMm * share - 1,
    yMm: page.heightMm * 0.6 - 1,
    widthMm: 2,
    heightMm: 2,
  }));
  const centre = ({ xMm, yMm, widthMm, heightMm }: MmBox): readonly [number, number] => [
    xMm + widthMm / 2,
    yMm + heightMm / 2,
  ];
  const root = document.struct('Document');
  document.addStructure(root);

  add();
  root.add(
    document.struct('P', {}, () => {
      const steps = [
        'Print this on both sides, at 100 %, without “fit to page”.',
        `Let the printer turn the paper about its ${edge} edge.`,
        'Hold it against a window with the scales towards you. The crosses of this side show through.',
        'Read where a cross lies on its scale, across and down. Write these figures into School, Printer.',
        'The frame is the printer’s margin. Where a side of it is missing, the margin is larger.',
      ];
      write('Printer test', 25, 30, { sizePt: 20, widthMm: page.widthMm - 50, font: 'heading' });
      steps.forEach((step, index) =>
        write(`${index + 1}.  ${step}`, 25, 45 + index * 11.5, { sizePt: 11, widthMm: page.widthMm - 50 }),
      );
    }),
  );
  document.markContent('Artifact', { type: 'Layout' });
  frame();
  for (const middle of middles) {
    const [x, y] = centre(middle);
    line(x - armMm, y, x + armMm, y);
    line(x, y - armMm, x, y + armMm);
  }
  document.endMarkedContent();

  add();
  document.markContent('Artifact', { type: 'Layout' });
  for (const middle of middles) {
    const [x, y] = centre(backOf(page, middle, edge, adjustment).box);
    scale(x, y);
  }
  document.endMarkedContent();
  root.end();
  return finish();

  function frame(): void {
    document
      .lineWidth(mm(0.2))
      .rect(
        mm(printerMarginMm),
        mm(printerMarginMm),
        mm(page.widthMm - 2 * printerMarginMm),
        mm(page.heightMm - 2 * printerMarginMm),
      )
      .stroke('#000');
  }

  /** A cross that shows to the right of the middle asks for backs further to the right: as far as it lies there, added to what is set now. */
  function scale(x: number, y: number): void {
    line(x - scaleMm, y, x + scaleMm, y, 0.1);
    line(x, y - scaleMm, x, y + scaleMm, 0.1);
    for (let at = -scaleMm; at <= scaleMm; at += 1) {
      const half = at % 5 === 0 ? 1.6 : 0.8;
      line(x + at, y - half, x + at, y + half, 0.1);
      line(x - half, y + at, x + half, y + at, 0.1);
      if (at === 0 || at % 5 !== 0) continue;
      // Figures of both scales would meet near the middle: across, the ends alone have some.
      if (Math.abs(at) === scaleMm)
        write(signed(at + adjustment.rightMm), x + at - 4, y + 2.2, { sizePt: 6.5, widthMm: 8, align: 'center' });
      write(signed(at + adjustment.downMm), x + 2.4, y + at - 1.2, { sizePt: 6.5, widthMm: 10 });
    }
    write('to the right', x + scaleMm + 2, y - 1.3, { sizePt: 6.5, widthMm: 20 });
    write('down', x - 5, y + scaleMm + 2, { sizePt: 6.5, widthMm: 10, align: 'center' });
  }
}

function signed(value: number): string {
  const rounded = Math.round(value * 10) / 10;
  return rounded > 0 ? `+${rounded}` : String(rounded);
}
