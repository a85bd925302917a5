/**
 * CSV (RFC 4180) that spreadsheets open as it is meant: in UTF-8, and with nothing in it that they would run. Papa Parse's own guard misses
 * signs behind blanks and in full width.
 */
import Papa from 'papaparse';

const mark = '\ufeff';
const runs = /^[\s\p{Cf}]*[=+\-@\uff1d\uff0b\uff0d\uff20]/u;

export type Cell = string | number;

export function safeCsv(heads: readonly string[], rows: readonly (readonly Cell[])[]): string {
  const safe = rows.map((row) => row.map((cell) => (typeof cell === 'string' && runs.test(cell) ? `'${cell}` : cell)));
  return `${mark}${Papa.unparse({ fields: [...heads], data: safe }, { newline: '\r\n' })}\r\n`;
}
