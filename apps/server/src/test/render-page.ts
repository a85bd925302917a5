/** A page of a PDF as people see it printed. */
import { execFileSync } from 'node:child_process';

/** @param page from 1 @returns PNG */
export function renderPage(pdf: string, page: number, dpi: number): Buffer {
  return execFileSync(
    'pdftoppm',
    ['-r', String(dpi), '-f', String(page), '-l', String(page), '-singlefile', '-png', pdf],
    { maxBuffer: 100_000_000 },
  );
}
