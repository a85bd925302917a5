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
  type PageBand,
  type PageCode,
  type PageLine,
  type PagePicture,
  type PageTapSign,
  type PageText,
  type SheetPage,
} from '@hapset/core';
import { drawOnPdf, startPdf, type PictureBytes } from '../picture/draw-pdf.js';
import { fontBytes, type Face } from '../../code/typeface/faces.js';
import { measureIn, shapeLine, type HanForms } from '../../code/typeface/shaped-line.js';
import { extractAsTyped } from './extract-as-typed.js';
import { languageOfText } from './language-of-text.js';
import { accentOf, bandShape, lineColours, lineWidthsMm, outlineMm, toneColour } from './sheet-colours.js';
import { pictureId, type Drawable, type SheetOrder } from './sheet-order.js';
import { TextMarks } from './text-marks.js';
import { tapSignLine, tapSignScale, tapSignStrokes } from './tap-sign.js';

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
  const [language = 'en'] = order.contents[0]?.more?.languages ?? [];
  const { document, finish } = startPdf({ title: order.title, madeAt: new Date(order.madeAt), language });
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

  /** Each code is a section, in the order in which it is read. What is printed twice is read once. */
  draw(page: SheetPage): void {
    const { document } = this;
    const { composition } = this.drawn.drawable;
    document.markContent('Artifact', { type: 'Layout' });
    for (const band of page.bands) drawBand(document, band, accentOf(composition, band.item));
    for (const line of page.lines) drawLine(document, line);
    for (const sign of page.tapSigns) this.turned(sign.turned, sign, () => drawTapSign(document, sign));
    document.endMarkedContent();
    for (const text of page.texts) if (text.item === null) this.root.add(this.textElement(text));
    for (const group of partsByItem(page)) this.drawItem(group, page.side === 'front' && group.turned);
  }

  private drawItem({ texts, codes, pictures }: ItemParts, isRepeated: boolean): void {
    if (isRepeated) {
      this.document.markContent('Artifact', { type: 'Layout' });
      for (const text of texts) this.drawText(text);
      for (const code of codes) this.drawCode(code);
      for (const picture of pictures) this.drawPicture(picture);
      this.document.endMarkedContent();
      return;
    }
    const section = this.document.struct('Sect');
    this.root.add(section);
    const beforeCode = texts.filter(({ field }) => readBeforeCode.includes(field));
    for (const picture of pictures.filter(({ which }) => which !== 'header')) section.add(this.pictureElement(picture));
    for (const text of beforeCode) section.add(this.textElement(text));
    for (const code of codes) section.add(this.codeElement(code));
    for (const text of texts.filter((each) => !beforeCode.includes(each))) section.add(this.textElement(text));
    for (const picture of pictures.filter(({ which }) => which === 'header')) section.add(this.pictureElement(picture));
    section.end();
  }

  private textElement(text: PageText): PDFKit.PDFStructureElement {
    const { order } = this.drawn;
    const lang = this.languageOf(text);
    // Where letters are drawn in another order than they are read, the order of reading is told.
    const isDrawnOtherwise = text.lines.some((line) =>
      shapeLine(line, text.font, order.han).runs.some(({ isReversed, actual: own }) => isReversed || own !== null),
    );
    const actual = isDrawnOtherwise ? { actual: text.lines.join(' ') } : {};
    const role = roleOf(text, order.setup.kind);
    const element = this.document.struct(role, { lang, ...actual });
    this.drawText(text, new TextMarks(this.document, role, element));
    element.end();
    return element;
  }

  private languageOf({ item, field, lines }: PageText): string {
    const { order } = this.drawn;
    const languages = order.contents[item ?? 0]?.more?.languages ?? ['en'];
    const isSecond = field === 'point-2' || field === 'tap-2';
    const own = languages[isSecond ? 1 : 0] ?? 'en';
    return languageOfText(lines.join(' '), own, order.han);
  }

  private codeElement(code: SheetPage['codes'][number]): PDFKit.PDFStructureElement {
    const content = this.drawn.order.contents[code.item];
    const alt = `QR code of ${content?.title ?? ''}: ${content?.payload ?? ''}`;
    const figure = { alt, bbox: bboxOf({ ...code, widthMm: code.sizeMm, heightMm: code.sizeMm }) };
    return this.document.struct('Figure', figure, () => this.drawCode(code));
  }

  private pictureElement(picture: SheetPage['pictures'][number]): PDFKit.PDFStructureElement {
    const figure = { alt: pictureWords[picture.which], bbox: bboxOf(picture) };
    return this.document.struct('Figure', figure, () => this.drawPicture(picture));
  }

  private drawCode(code: SheetPage['codes'][number]): void {
    const { drawable, order, pictures } = this.drawn;
    if (!order.contents[code.item]) return;
    const drawing = drawable.drawingOf(code.item);
    const box = { ...code, widthMm: code.sizeMm, heightMm: code.sizeMm };
    this.turned(code.turned, box, () => drawOnPdf(this.document, drawing, code, pictures));
  }

  private drawPicture(picture: SheetPage['pictures'][number]): void {
    const { drawable, order, pictures } = this.drawn;
    const id = pictureId(picture, order.contents, drawable.composition.setup.design.header);
    const bytes = pictures.get(id ?? '');
    if (!bytes) return;
    this.turned(
      picture.turned,
      picture,
      () =>
        void this.document.image(bytes, picture.xMm * pointsPerMm, picture.yMm * pointsPerMm, {
          width: picture.widthMm * pointsPerMm,
          height: picture.heightMm * pointsPerMm,
        }),
    );
  }

  private turned(isTurned: boolean, { xMm, yMm, widthMm, heightMm }: MmBox, draw: () => void): void {
    if (!isTurned) return draw();
    const origin: [number, number] = [(xMm + widthMm / 2) * pointsPerMm, (yMm + heightMm / 2) * pointsPerMm];
    this.document.save().rotate(180, { origin });
    draw();
    this.document.restore();
  }

  /** @param marks null for what is not read aloud */
  private drawText(text: PageText, marks: TextMarks | null = null): void {
    const { drawable, order } = this.drawn;
    const lines = placedLines(text, order.han);
    this.turned(text.turned, text, () => {
      this.document.fillColor(toneColour(text.tone, accentOf(drawable.composition, text.item)));
      lines.forEach((line, index) => this.drawLine(line, text.sizePt, { goesOn: index < lines.length - 1, marks }));
      marks?.end();
    });
  }

  /** @param goesOn a line follows: a blank keeps its first word apart for those who copy the text or have it read aloud */
  private drawLine(
    line: PlacedLine,
    sizePt: number,
    { goesOn, marks }: { readonly goesOn: boolean; readonly marks: TextMarks | null },
  ): void {
    // In the order in which they are read; where they lie is another thing.
    const runs = [...line.runs].sort((one, other) => one.place - other.place);
    for (const [index, run] of runs.entries()) {
      marks?.begin(run.actual);
      this.useFace(run.face);
      this.drawAt(run.text, line, run.xEm, sizePt);
      const isLast = index === runs.length - 1;
      if (isLast && goesOn) this.drawAt(' ', line, run.isReversed ? run.xEm : run.xEm + run.widthEm, sizePt);
    }
  }

  private drawAt(text: string, { xMm, baselineMm: baseline }: PlacedLine, xEm: number, sizePt: number): void {
    const x = (xMm + (xEm * sizePt) / pointsPerMm) * pointsPerMm;
    this.document.fontSize(sizePt).text(text, x, baseline * pointsPerMm, {
      lineBreak: false,
      baseline: 'alphabetic',
      features: [],
    });
  }

  private useFace(face: Face): void {
    if (!this.registered.has(face)) this.document.registerFont(face, fontBytes(face));
    this.document.font(face);
    if (!this.registered.has(face)) extractAsTyped(this.document);
    this.registered.add(face);
  }
}

/** What is on a page for one code, on one of its faces. */
interface ItemParts {
  readonly turned: boolean;
  readonly texts: readonly PageText[];
  readonly codes: SheetPage['codes'];
  readonly pictures: SheetPage['pictures'];
}

/** Of a figure, from the upper left corner of its page, in points. */
function bboxOf({ xMm, yMm, widthMm, heightMm }: MmBox): [number, number, number, number] {
  return [xMm * pointsPerMm, yMm * pointsPerMm, (xMm + widthMm) * pointsPerMm, (yMm + heightMm) * pointsPerMm];
}

const readBeforeCode: readonly PageText['field'][] = ['number', 'title', 'what', 'instruction', 'point', 'point-2'];

function partsByItem({ texts, codes, pictures }: SheetPage): readonly ItemParts[] {
  const faces = new Map<string, { turned: boolean; texts: PageText[]; codes: PageCode[]; pictures: PagePicture[] }>();
  const faceOf = ({ item, turned }: { readonly item: number; readonly turned: boolean }) => {
    const key = `${item} ${turned}`;
    const known = faces.get(key) ?? { turned, texts: [], codes: [], pictures: [] };
    faces.set(key, known);
    return known;
  };
  for (const text of texts) if (text.item !== null) faceOf({ ...text, item: text.item }).texts.push(text);
  for (const code of codes) faceOf(code).codes.push(code);
  for (const picture of pictures) faceOf(picture).pictures.push(picture);
  return [...faces.values()];
}

/** Headings by which somebody jumps from code to code. */
function roleOf({ field }: PageText, kind: SheetOrder['setup']['kind']): string {
  if (field === 'head') return 'H1';
  if (field === 'title' || field === 'what') return kind === 'handout' ? 'H2' : 'H1';
  return 'P';
}

const pictureWords = { header: 'The school', material: 'What opens', photo: 'Photo of the student' } as const;

export interface PlacedLine {
  readonly runs: ReturnType<typeof shapeLine>['runs'];
  /** Of its left edge. */
  readonly xMm: number;
  readonly baselineMm: number;
  readonly text: string;
}

/** Where each line of a text box lies: in the middle, at one side, or at the side where its script begins. */
export function placedLines(
  { lines, font, sizePt, align, xMm, yMm, widthMm }: PageText,
  han: HanForms,
): readonly PlacedLine[] {
  return lines.map((line, index) => {
    const { runs, widthEm, fromRight } = shapeLine(line, font, han);
    const restMm = widthMm - (widthEm * sizePt) / pointsPerMm;
    const isRight = align === 'right' || (align === 'start' && fromRight);
    const aside = align === 'middle' ? restMm / 2 : isRight ? restMm : 0;
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

function drawBand(document: PDFKit.PDFDocument, band: PageBand, accent: string): void {
  const { box, cornerMm, fill, line } = bandShape(band, accent);
  document
    .save()
    .roundedRect(
      box.xMm * pointsPerMm,
      box.yMm * pointsPerMm,
      box.widthMm * pointsPerMm,
      box.heightMm * pointsPerMm,
      cornerMm * pointsPerMm,
    );
  if (fill !== null) document.fill(fill);
  if (line !== null) document.lineWidth(outlineMm * pointsPerMm).stroke(line);
  document.restore();
}

function drawTapSign(document: PDFKit.PDFDocument, sign: PageTapSign): void {
  document
    .save()
    .translate(sign.xMm * pointsPerMm, sign.yMm * pointsPerMm)
    .scale(tapSignScale(sign) * pointsPerMm)
    .lineWidth(tapSignLine)
    .lineCap('round');
  for (const path of tapSignStrokes) document.path(path).stroke('#000');
  document.restore();
}
