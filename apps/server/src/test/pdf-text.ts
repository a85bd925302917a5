/** The text of a PDF's first page as a web browser's viewer finds it. */
import { execFileSync } from 'node:child_process';

const program = `
globalThis.DOMMatrix = class {};
globalThis.Path2D = class {};
globalThis.ImageData = class {};
const { readFileSync } = await import('node:fs');
const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
const file = await getDocument({ data: new Uint8Array(readFileSync(process.argv[1])), verbosity: 0 }).promise;
const { items } = await (await file.getPage(1)).getTextContent();
process.stdout.write(JSON.stringify(items.map(({ str, hasEOL }) => str + (hasEOL ? ' ' : '')).join('')));
process.exit(0);
`;

/** @param pdf name of the file @returns its text, lines parted by blanks */
export function browserText(pdf: string): string {
  const output = execFileSync(process.execPath, ['--input-type=module', '--eval', program, pdf], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  return JSON.parse(output.slice(output.indexOf('"'))) as string;
}
