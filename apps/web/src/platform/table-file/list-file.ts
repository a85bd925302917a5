/** A list out of a file: CSV, TSV, XLSX or ODS. Loaded when a file is chosen. */
import { read, SSF, utils, type CellObject, type WorkSheet } from '@e965/xlsx';
import { decodeText, findEncoding, type TextEncoding } from '@hapset/core';
import { parseCells, withoutEmptyEnd, type Rows } from './table.js';
import { unpackedBytes } from './zip-size.js';

export const listFileEndings = '.csv,.tsv,.txt,.xlsx,.ods';
const largestBytes = 5 * 1024 * 1024;
/** A workbook of that many rows unpacks to less; an archive that is made to fill memory to more. */
const mostUnpackedBytes = 80 * 1024 * 1024;
const mostColumns = 200;
const mostSheets = 60;
const mostListRows = 5000;

export type ListFileProblem = 'too-large' | 'not-a-list' | 'empty' | 'too-wide';
export interface ReadList {
  readonly name: string;
  readonly rows: Rows;
  readonly cut: boolean;
  /** Null for workbooks, which say it themselves. */
  readonly encoding: TextEncoding | null;
  /** The sheet of a workbook that was read, and all that hold something; null and none for text. */
  readonly sheet: string | null;
  readonly sheets: readonly string[];
}
export type ListFile = ({ readonly ok: true } & ReadList) | { readonly ok: false; readonly problem: ListFileProblem };

export interface ListFileOptions {
  /** Null to find it out. */
  readonly encoding?: TextEncoding | null;
  /** Rows keep their place, so that they can be named by their number. */
  readonly keepEmpty?: boolean;
  /** Of the sheet or the text, heads counted. */
  readonly mostRows?: number;
  /** Of a workbook. */
  readonly sheet?: string;
  /** Which of several sheets to read where none is named: the first, if this is left out. @returns its number from 0 */
  readonly chooseSheet?: (sheets: readonly Rows[]) => number;
}

/** Never throws for what a file holds. */
export async function readListFile(
  file: File,
  { encoding = null, keepEmpty = false, mostRows = mostListRows, ...sheets }: ListFileOptions = {},
): Promise<ListFile> {
  if (file.size > largestBytes) return { ok: false, problem: 'too-large' };
  const bytes = new Uint8Array(await file.arrayBuffer());
  try {
    const table = isZip(bytes) ? workbookTable(bytes, mostRows, sheets) : textTable(bytes, encoding, keepEmpty);
    return 'problem' in table
      ? { ok: false, problem: table.problem }
      : listOf(file.name, table, { keepEmpty, mostRows });
  } catch {
    return { ok: false, problem: 'not-a-list' };
  }
}

type Table = Pick<ReadList, 'rows' | 'encoding' | 'sheet' | 'sheets'>;

function listOf(
  name: string,
  { rows: all, ...read }: Table,
  { keepEmpty, mostRows }: { readonly keepEmpty: boolean; readonly mostRows: number },
): ListFile {
  if (all.some((row) => row.length > mostColumns)) return { ok: false, problem: 'too-wide' };
  const filled = all.filter((row) => row.some((cell) => cell.trim() !== ''));
  if (filled.length === 0) return { ok: false, problem: 'empty' };
  const rows = keepEmpty ? withoutEmptyEnd(all) : filled;
  return { ok: true, name, rows: rows.slice(0, mostRows), cut: rows.length > mostRows, ...read };
}

/** @throws Error for what is no text */
function textTable(bytes: Uint8Array, chosen: TextEncoding | null, keepEmpty: boolean): Table {
  const encoding = chosen ?? findEncoding(bytes);
  const rows = parseCells(decodeText(bytes, encoding), keepEmpty ? { keepEmpty } : {});
  return { rows, encoding, sheet: null, sheets: [] };
}

type SheetOptions = Pick<ListFileOptions, 'sheet' | 'chooseSheet'>;

/** @throws Error for what is no workbook */
function workbookTable(
  bytes: Uint8Array,
  mostRows: number,
  { sheet, chooseSheet = () => 0 }: SheetOptions,
): Table | { readonly problem: ListFileProblem } {
  if (unpackedBytes(bytes) > mostUnpackedBytes) return { problem: 'too-large' };
  const read = readWorkbook(bytes, mostRows);
  const filled = read.filter(({ rows }) => rows === null || rows.some((row) => row.some((cell) => cell.trim() !== '')));
  const sheets = filled.filter((one): one is SheetRows => one.rows !== null);
  if (sheets.length === 0) return { problem: filled.length > 0 ? 'too-wide' : 'empty' };
  const chosen = sheets.find(({ name }) => name === sheet) ?? sheets[chooseSheet(sheets.map(({ rows }) => rows))];
  if (!chosen) throw new Error('no sheet');
  return { rows: chosen.rows, encoding: null, sheet: chosen.name, sheets: sheets.map(({ name }) => name) };
}

/** XLSX and ODS are ZIP archives, whatever the file is called. */
function isZip(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b;
}

interface SheetRows {
  readonly name: string;
  readonly rows: Rows;
}

/** Sheets of a workbook; `rows` is null where one has more columns than any list. */
function readWorkbook(
  bytes: Uint8Array,
  mostRows: number,
): readonly { readonly name: string; readonly rows: Rows | null }[] {
  // Formulas are not needed, and one row more than is shown tells that there were more.
  const book = read(bytes, {
    type: 'array',
    cellFormula: false,
    cellHTML: false,
    cellNF: true,
    sheetRows: mostRows + 2,
  });
  return book.SheetNames.slice(0, mostSheets).map((name) => ({ name, rows: rowsOf(book.Sheets[name]) }));
}

function rowsOf(sheet: WorkSheet | undefined): Rows | null {
  if (!sheet) return [];
  const { s, e } = utils.decode_range(sheet['!ref'] ?? 'A1');
  if (e.c - s.c >= mostColumns) return null;
  return Array.from({ length: e.r - s.r + 1 }, (_, row) =>
    Array.from({ length: e.c - s.c + 1 }, (__, column) =>
      cellText(sheet[utils.encode_cell({ r: s.r + row, c: s.c + column })] as CellObject | undefined),
    ),
  );
}

/** Its value, never as a narrow column shows it: an id of twelve digits is shown as 2.026E+12. Dates and leading zeros are as shown. */
function cellText(cell: CellObject | undefined): string {
  if (!cell || cell.t === 'e' || cell.v === undefined) return '';
  const shown = cell.w ?? String(cell.v);
  return typeof cell.v === 'number' && !isAsShown(cell.v, shown, String(cell.z ?? 'General'))
    ? plainNumber(cell.v)
    : shown;
}

/** @param format of a number, as a workbook names it: "00000", "yyyy-mm-dd" */
function isAsShown(value: number, shown: string, format: string): boolean {
  const isPadded = /^0+\d+$/.test(shown) && Number(shown) === value;
  return isPadded || SSF.is_date(format) || /^[^#?.]*0{2,}[^#?.]*$/.test(format) || format.includes('%');
}

/** Without an exponent, as far as a number is exact. */
function plainNumber(value: number): string {
  return Number.isInteger(value) && Math.abs(value) < 1e21 ? value.toFixed(0) : String(value);
}
