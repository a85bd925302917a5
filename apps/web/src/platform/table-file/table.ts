/** Cells out of the clipboard or a text file: tabs, semicolons or commas, quoted cells and all. */
import { looksLikeList } from '@hapset/core';
import Papa from 'papaparse';

export type Rows = readonly (readonly string[])[];

/** The cells of pasted text when it is a list out of a spreadsheet; null when it is lines of links and words. */
export function tableOf(text: string): Rows | null {
  if (!/\n\s*\S/.test(text)) return null;
  for (const delimiter of ['\t', ';', ',']) {
    if (!text.includes(delimiter)) continue;
    const rows = parseCells(text, { delimiter });
    if (looksLikeList(rows)) return rows;
  }
  return null;
}

interface CellsOptions {
  /** Left out, it is found. */
  readonly delimiter?: string;
  /** Empty rows stay in their places. */
  readonly keepEmpty?: boolean;
}

export function parseCells(text: string, { delimiter, keepEmpty = false }: CellsOptions = {}): Rows {
  // Empty rows mislead the search for what parts cells.
  const parts =
    delimiter ?? (keepEmpty ? Papa.parse(text, { skipEmptyLines: 'greedy', preview: 40 }).meta.delimiter : undefined);
  const { data } = Papa.parse<string[]>(text, {
    skipEmptyLines: keepEmpty ? false : 'greedy',
    ...(parts !== undefined && { delimiter: parts }),
  });
  return withoutEmptyEnd(data);
}

/** The line break at the end of a file begins no row. */
export function withoutEmptyEnd(rows: Rows): Rows {
  return rows.slice(0, rows.findLastIndex((row) => row.some((cell) => cell.trim() !== '')) + 1);
}
