/** Cells out of the clipboard or a text file: tabs, semicolons or commas, quoted cells and all. */
import { looksLikeList } from '@hapset/core';
import Papa from 'papaparse';

export type Rows = readonly (readonly string[])[];

/** The cells of pasted text when it is a list out of a spreadsheet; null when it is lines of links and words. */
export function tableOf(text: string): Rows | null {
  if (!/\n\s*\S/.test(text)) return null;
  for (const delimiter of ['\t', ';', ',']) {
    if (!text.includes(delimiter)) continue;
    const rows = parseCells(text, delimiter);
    if (looksLikeList(rows)) return rows;
  }
  return null;
}

/** @param delimiter left out, it is found */
export function parseCells(text: string, delimiter?: string): Rows {
  return Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', ...(delimiter !== undefined && { delimiter }) }).data;
}
