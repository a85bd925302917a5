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
  return execFileSync('pdftotext', [path, '-'], { encoding: 'utf8' });
}
