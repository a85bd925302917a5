/** A list out of a file: CSV, TSV, XLSX or ODS. Loaded when a file is chosen. */
import { read, utils } from '@e965/xlsx';
import { analyse } from 'chardet';
import { parseCells, type Rows } from './table.js';
import { unpackedBytes } from './zip-size.js';

export const listFileEndings = '.csv,.tsv,.txt,.xlsx,.ods';
const largestBytes = 5 * 1024 * 1024;
/** A workbook of that many rows unpacks to less; an archive that is made to fill memory to more. */
const mostUnpackedBytes = 80 * 1024 * 1024;
const mostColumns = 200;
export const mostListRows = 5000;

export type ListFileProblem = 'too-large' | 'not-a-list' | 'empty' | 'too-wide';
export type ListFile =
  | {
      readonly ok: true;
      readonly name: string;
      readonly rows: Rows;
      readonly cut: boolean;
      /** Null for workbooks, which say it themselves. */ readonly encoding: Encoding | null;
    }
  | { readonly ok: false; readonly problem: ListFileProblem };

/** What tables of schools come in; the first is what they should come in. */
export const encodings = [
  'utf-8',
  'utf-16le',
  'utf-16be',
  'windows-1252',
  'windows-1250',
  'windows-1251',
  'iso-8859-15',
] as const;
export type Encoding = (typeof encodings)[number];

export interface ListFileOptions {
  /** Null to find it out. */
  readonly encoding?: Encoding | null;
  /** Rows keep their place, so that they can be named by their number. */
  readonly keepEmpty?: boolean;
}

/** Never throws for what a file holds. */
export async function readListFile(
  file: File,
  { encoding = null, keepEmpty = false }: ListFileOptions = {},
): Promise<ListFile> {
  if (file.size > largestBytes) return { ok: false, problem: 'too-large' };
  const bytes = new Uint8Array(await file.arrayBuffer());
  try {
    const table = isZip(bytes) ? workbookTable(bytes) : textTable(bytes, encoding, keepEmpty);
    return 'problem' in table ? { ok: false, problem: table.problem } : listOf(file.name, table, keepEmpty);
  } catch {
    return { ok: false, problem: 'not-a-list' };
  }
}

interface Table {
  readonly rows: Rows;
  readonly encoding: Encoding | null;
}

function listOf(name: string, { rows: all, encoding }: Table, keepEmpty: boolean): ListFile {
  if (all.some((row) => row.length > mostColumns)) return { ok: false, problem: 'too-wide' };
  const filled = all.filter((row) => row.some((cell) => cell.trim() !== ''));
  if (filled.length === 0) return { ok: false, problem: 'empty' };
  const rows = keepEmpty ? all : filled;
  return { ok: true, name, rows: rows.slice(0, mostListRows), cut: rows.length > mostListRows, encoding };
}

/** @throws Error for what is no text */
function textTable(bytes: Uint8Array, chosen: Encoding | null, keepEmpty: boolean): Table {
  const encoding = chosen ?? encodingOf(bytes);
  return { rows: parseCells(decode(bytes, encoding), keepEmpty ? { keepEmpty } : {}), encoding };
}

/** @throws Error for what is no workbook */
function workbookTable(bytes: Uint8Array): Table | { readonly problem: ListFileProblem } {
  if (unpackedBytes(bytes) > mostUnpackedBytes) return { problem: 'too-large' };
  const rows = readWorkbook(bytes);
  return rows === null ? { problem: 'too-wide' } : { rows, encoding: null };
}

/** XLSX and ODS are ZIP archives, whatever the file is called. */
function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

/** Null where it has more columns than any list. */
function readWorkbook(bytes: Uint8Array): Rows | null {
  // Formulas are not needed, and one row more than is shown tells that there were more.
  const book = read(bytes, { type: 'array', cellFormula: false, cellHTML: false, sheetRows: mostListRows + 2 });
  const sheet = book.Sheets[book.SheetNames[0] ?? ''];
  if (!sheet) throw new Error('no sheet');
  const { s, e } = utils.decode_range(sheet['!ref'] ?? 'A1');
  if (e.c - s.c >= mostColumns) return null;
  return utils
    .sheet_to_json<unknown[]>(sheet, { header: 1, raw: false, defval: '', blankrows: true })
    .map((row) => row.map((cell) => String(cell)));
}

/** Byte order mark, then strict UTF-8, then the noughts of UTF-16, then what the letters look like. @throws Error for what is no text */
export function encodingOf(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  if (bytes.includes(0)) return withoutMark(bytes);
  try {
    decode(bytes, 'utf-8');
    return 'utf-8';
  } catch {
    const found = analyse(bytes).map(({ name }) => name.toLowerCase());
    // Letters of western Europe are in both; what only central Europe writes decides.
    return found.slice(0, 2).some((name) => name === 'windows-1250' || name === 'iso-8859-2') &&
      hasCentralLetters(bytes)
      ? 'windows-1250'
      : found[0] === 'windows-1251'
        ? 'windows-1251'
        : 'windows-1252';
  }
}

/** UTF-16 without a mark: every second byte of plain letters is a nought. */
function withoutMark(bytes: Uint8Array): Encoding {
  const noughts = [0, 0];
  bytes.slice(0, 2000).forEach((byte, index) => {
    if (byte === 0) noughts[index % 2] = (noughts[index % 2] ?? 0) + 1;
  });
  const half = Math.min(bytes.length, 2000) / 2;
  const [even = 0, odd = 0] = noughts;
  const found =
    odd > half * 0.4 && even < half * 0.1 ? 'utf-16le' : even > half * 0.4 && odd < half * 0.1 ? 'utf-16be' : null;
  // Other signs than tabs and ends of lines stand in no table.
  if (found === null || /[^\P{Cc}\t\r\n]/u.test(decode(bytes, found))) throw new Error('not text');
  return found;
}

/** č ď ě ł ň ő ř š ť ů ž and their capitals, where Windows-1252 has signs that no name has. */
function hasCentralLetters(bytes: Uint8Array): boolean {
  const central = /[čďěęłňőřśťůźżąćńČĎĚĘŁŇŐŘŚŤŮŹŻĄĆŃ]/gu;
  const western = /[àâãåæèêëìîïðñòõøùûÿœÀÂÃÅÆÈÊËÌÎÏÐÑÒÕØÙÛŸŒ]/gu;
  const count = (text: string, letters: RegExp): number => text.match(letters)?.length ?? 0;
  return (
    count(decode(bytes, 'windows-1250'), central) > 0 &&
    count(decode(bytes, 'windows-1252'), western) <= 2 * count(decode(bytes, 'windows-1250'), central)
  );
}

/** @throws TypeError for bytes that are not in UTF-8 where that is asked for */
export function decode(bytes: Uint8Array, encoding: Encoding): string {
  return new TextDecoder(encoding, { fatal: encoding === 'utf-8' }).decode(bytes);
}
