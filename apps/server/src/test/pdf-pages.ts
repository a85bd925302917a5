import { execFileSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const pdfOf = (folder: string): string => join(folder, 'given.pdf');

function written(pdf: Buffer): string {
  const folder = mkdtempSync(join(tmpdir(), 'pdf-'));
  writeFileSync(pdfOf(folder), pdf);
  return folder;
}

/** Pages of a PDF that is sound, as pictures. @param density dots an inch */
export function pdfPages(pdf: Buffer, density: number): readonly Buffer[] {
  const folder = written(pdf);
  execFileSync('qpdf', ['--check', pdfOf(folder)]);
  execFileSync('pdftoppm', ['-r', String(density), '-png', pdfOf(folder), join(folder, 'page')]);
  return readdirSync(folder)
    .filter((file) => file.endsWith('.png'))
    .sort()
    .map((file) => readFileSync(join(folder, file)));
}

/** Its words, as another program finds them. */
export function pdfText(pdf: Buffer, options: readonly string[] = []): string {
  return execFileSync('pdftotext', [...options, pdfOf(written(pdf)), '-'], { encoding: 'utf8' });
}

/** Its objects, spelt out. */
export function pdfObjects(pdf: Buffer): string {
  return execFileSync('qpdf', ['--qdf', '--object-streams=disable', pdfOf(written(pdf)), '-'], { encoding: 'latin1' });
}

/** Title, tags and the like, as another program tells them. */
export function pdfInfo(pdf: Buffer): string {
  return execFileSync('pdfinfo', [pdfOf(written(pdf))], { encoding: 'utf8' });
}
