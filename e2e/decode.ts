/** Reads codes with an engine that the application does not ship. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';

export function decodePng(path: string): string | null {
  return decodePngBytes(readFileSync(path));
}

export function decodePngBytes(bytes: Buffer): string | null {
  const { data, width, height } = PNG.sync.read(bytes);
  return jsQR(new Uint8ClampedArray(data), width, height)?.data ?? null;
}

/** The first page of a PDF, rendered and read. */
export function decodePdf(path: string): string | null {
  const picture = path.replace(/(?:\.pdf)?$/, '-page');
  execFileSync('pdftoppm', ['-r', '75', '-png', '-singlefile', path, picture]);
  return decodePng(`${picture}.png`);
}

export function textOfPdf(path: string): string {
  return execFileSync('pdftotext', [path, '-'], { encoding: 'utf8' }).replace(/\s+/gu, ' ');
}

/** A page as a picture. @param page from 1 */
export function renderPage(pdf: string, page: number, dpi = 150): PNG {
  const picture = `${pdf.replace(/(?:\.pdf)?$/, '')}-${page}`;
  execFileSync('pdftoppm', [
    '-r',
    String(dpi),
    '-f',
    String(page),
    '-l',
    String(page),
    '-png',
    '-singlefile',
    pdf,
    picture,
  ]);
  return PNG.sync.read(readFileSync(`${picture}.png`));
}

export interface Cards {
  readonly columns: number;
  readonly rows: number;
  /** Around all of them, as a share of the page's width and height. */
  readonly marginX: number;
  readonly marginY: number;
}

/** What each card says, cropped card by card, row by row; null for none. */
export function decodeCards(page: PNG, cards: Cards): readonly (string | null)[] {
  return cropCards(page, cards).map(
    ({ data, width, height }) => jsQR(new Uint8ClampedArray(data), width, height)?.data ?? null,
  );
}

export function cropCards(page: PNG, { columns, rows, marginX, marginY }: Cards): readonly PNG[] {
  const [left, top] = [page.width * marginX, page.height * marginY];
  const [width, height] = [(page.width - 2 * left) / columns, (page.height - 2 * top) / rows];
  return Array.from({ length: columns * rows }, (_, index) => {
    const card = new PNG({ width: Math.floor(width) - 2, height: Math.floor(height) - 2 });
    PNG.bitblt(
      page,
      card,
      Math.round(left + (index % columns) * width) + 1,
      Math.round(top + Math.floor(index / columns) * height) + 1,
      card.width,
      card.height,
      0,
      0,
    );
    return card;
  });
}

/** Seen through the paper: left and right change places. */
export function mirrored(page: PNG): PNG {
  const turned = new PNG({ width: page.width, height: page.height });
  for (let y = 0; y < page.height; y += 1)
    for (let x = 0; x < page.width; x += 1)
      page.data.copy(
        turned.data,
        4 * (y * page.width + x),
        4 * (y * page.width + page.width - 1 - x),
        4 * (y * page.width + page.width - x),
      );
  return turned;
}

/** Whether anything is printed there. */
export function hasInk({ data }: PNG): boolean {
  let dark = 0;
  for (let at = 0; at < data.length; at += 4) if ((data[at] ?? 255) < 100) dark += 1;
  return dark > 20;
}
