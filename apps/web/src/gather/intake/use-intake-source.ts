/** Where the intake's things come from: typed or pasted lines, a pasted table, or a file. */
import type { Columns, IntakeItem } from '@hapset/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Rows } from '../../platform/table-file/table.js';
import type { IntakeReader } from './reader.js';
import type { ListedHosts } from './use-listed-hosts.js';
import { useReadItems, type ReadItems } from './use-read-items.js';

export interface IntakeSource extends ReadItems {
  /** Cells and what they hold, where it is a list; null for lines. */
  readonly table: { readonly rows: Rows; readonly columns: Columns } | null;
}

/** A piece of text or a row of cells. */
type Input = string | readonly string[];

/** Text to read, or rows in its place. */
export interface IntakeInput {
  readonly text: string;
  /** Rows of a chosen file; null to read the text. */
  readonly file: Rows | null;
  /** Columns as the teacher set them; null to guess. */
  readonly chosen: Columns | null;
}

/** @param reader null until it is there. @param hosts that the school named */
export function useIntakeSource(
  { text, file, chosen }: IntakeInput,
  reader: IntakeReader | null,
  { isListed, coming }: ListedHosts,
): IntakeSource {
  const pasted = usePastedTable(text);
  const rows = file ?? pasted;
  const columns = useMemo(
    () => (rows && reader ? (chosen ?? reader.guessColumns(rows)) : null),
    [rows, chosen, reader],
  );
  const inputs = useMemo((): readonly Input[] => {
    if (!reader) return [];
    return rows && columns ? reader.bodyOf(rows, columns) : reader.splitPieces(text, isListed);
  }, [rows, columns, text, reader, isListed]);
  const keyOf = useCallback((input: Input): string => JSON.stringify([input, columns?.roles ?? null]), [columns]);
  const read = useCallback(
    (input: Input): readonly IntakeItem[] => {
      if (!reader) return [];
      const items =
        typeof input === 'string'
          ? reader.readItem(input, isListed)
          : reader.readRow(input, columns?.roles ?? [], isListed);
      for (const item of items) if (item.kind === 'link') reader.prepareForDuplicates(item);
      return items;
    },
    [columns, reader, isListed],
  );
  const { items, left } = useReadItems(inputs, keyOf, read);
  // Without the school's own hosts a link may be taken for words, and one of the shelf for a new one.
  const waiting = (reader === null || coming) && (rows !== null || text.trim() !== '') ? 1 : 0;
  return { items, left: left + waiting, table: rows && columns ? { rows, columns } : null };
}

/** The cells of pasted text when it is a list. What parses them comes when a text could be one for the first time. */
function usePastedTable(text: string): Rows | null {
  const [tableOf, setTableOf] = useState<((text: string) => Rows | null) | null>(null);
  const couldBe = /[\t;,]/.test(text) && /\n\s*\S/.test(text);
  useEffect(() => {
    if (couldBe && !tableOf)
      void import('../../platform/table-file/table.js').then((table) => setTableOf(() => table.tableOf));
  }, [couldBe, tableOf]);
  return useMemo(() => (couldBe && tableOf ? tableOf(text) : null), [couldBe, tableOf, text]);
}
