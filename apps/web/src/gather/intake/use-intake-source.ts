/** Where the intake's things come from: typed or pasted lines, a pasted table, or a file. */
import {
  bodyOf,
  guessColumns,
  prepareForDuplicates,
  readItem,
  readRow,
  splitPieces,
  type Columns,
  type IntakeItem,
  type IsListedHost,
} from '@hapset/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Rows } from '../../platform/table-file/table.js';
import { useReadItems, type ReadItems } from './use-read-items.js';

export interface IntakeSource extends ReadItems {
  /** Cells and what they hold, where it is a list; null for lines. */
  readonly table: { readonly rows: Rows; readonly columns: Columns } | null;
}

/** A piece of text or a row of cells. */
type Input = string | readonly string[];

/**
 * @param file rows of a chosen file; null to read the text
 * @param chosen columns as the teacher set them; null to guess
 * @param isListed hosts that the school named
 */
export function useIntakeSource(
  text: string,
  file: Rows | null,
  chosen: Columns | null,
  isListed: IsListedHost,
): IntakeSource {
  const pasted = usePastedTable(text);
  const rows = file ?? pasted;
  const columns = useMemo(() => (rows ? (chosen ?? guessColumns(rows)) : null), [rows, chosen]);
  const inputs = useMemo(
    (): readonly Input[] => (rows && columns ? bodyOf(rows, columns) : splitPieces(text, isListed)),
    [rows, columns, text, isListed],
  );
  const keyOf = useCallback((input: Input): string => JSON.stringify([input, columns?.roles ?? null]), [columns]);
  const read = useCallback(
    (input: Input): readonly IntakeItem[] => {
      const items =
        typeof input === 'string' ? readItem(input, isListed) : readRow(input, columns?.roles ?? [], isListed);
      for (const item of items) if (item.kind === 'link') prepareForDuplicates(item);
      return items;
    },
    [columns, isListed],
  );
  const { items, left } = useReadItems(inputs, keyOf, read);
  return { items, left, table: rows && columns ? { rows, columns } : null };
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
