/** A list out of a file: CSV, TSV, XLSX or ODS. Loaded when a file is chosen. */
import { read, utils } from '@e965/xlsx';
import { parseCells, type Rows } from './table.js';

export const listFileEndings = '.csv,.tsv,.txt,.xlsx,.ods';
const largestBytes = 5 * 1024 * 1024;
const mostRows = 5000;

export type ListFileProblem = 'too-large' | 'not-a-list' | 'empty';
export type ListFile = { readonly ok: true; readonly name: string; readonly rows: Rows; readonly cut: boolean } | { readonly ok: false; readonly problem: ListFileProblem };

/** Never throws for what a file holds. */
export async function readListFile(file: File): Promise<ListFile> {
  if (file.size > largestBytes) return { ok: false, problem: 'too-large' };
  const bytes = new Uint8Array(await file.arrayBuffer());
  try {
    const rows = (isZip(bytes) ? readWorkbook(bytes) : parseCells(decodeText(bytes))).filter((row) => row.some((cell) => cell.trim() !== ''));
    if (rows.length === 0) return { ok: false, problem: 'empty' };
    return { ok: true, name: file.name, rows: rows.slice(0, mostRows), cut: rows.length > mostRows };
  } catch {
    return { ok: false, problem: 'not-a-list' };
  }
}

/** XLSX and ODS are ZIP archives, whatever the file is called. */
function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

function readWorkbook(bytes: Uint8Array): Rows {
  // Formulas are not needed, and one row more than is shown tells that there were more.
  const book = read(bytes, { type: 'array', cellFormula: false, cellHTML: false, sheetRows: mostRows + 2 });
  const sheet = book.Sheets[book.SheetNames[0] ?? ''];
  if (!sheet) throw new Error('no sheet');
  return utils.sheet_to_json<unknown[]>(sheet, { header: 1, raw: false, defval: '', blankrows: false }).map((row) => row.map((cell) => String(cell)));
}

/** Byte order mark, then strict UTF-8, then what spreadsheets of the western world write. */
export function decodeText(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  if (bytes.includes(0)) throw new Error('not text');
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
