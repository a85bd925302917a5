/** The intake's state with what was understood of it, and what can be done: read a list, add everything. */
import type { NewMaterial } from '@hapset/contract';
import { readTags } from '@hapset/core';
import { useMemo, useReducer, type Dispatch } from 'react';
import { useListedHosts } from './use-listed-hosts.js';
import { listFileWords } from '../../platform/wording/list-files.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { emptyIntake, intakeReducer, type IntakeAction, type IntakeState } from './intake-state.js';
import { openQuestions, reviewItems, toNewMaterials, type IntakeRowState } from './new-materials.js';
import { useIntakeSource, type IntakeSource } from './use-intake-source.js';

export interface IntakeHandle {
  readonly state: IntakeState;
  readonly dispatch: Dispatch<IntakeAction>;
  readonly source: IntakeSource;
  readonly rows: readonly IntakeRowState[];
  /** What would be added. */
  readonly materials: readonly NewMaterial[];
  /** How many still have to be answered. */
  readonly questions: number;
  readonly mayAdd: boolean;
  readonly add: () => void;
  readonly readList: (file: File) => Promise<void>;
  /** One list alone is read; other files are kept. */
  readonly takeDropped: (files: readonly File[]) => void;
}

/** @param here links that are here already. @param initial text to begin with */
export function useIntake({
  here,
  onAdd,
  initial,
}: {
  readonly here: readonly string[];
  readonly onAdd: (items: readonly NewMaterial[]) => Promise<unknown>;
  readonly initial: string;
}): IntakeHandle {
  const [state, dispatch] = useReducer(intakeReducer, initial, emptyIntake);
  const { text, list, columns, decisions, tags, sending } = state;
  const isListed = useListedHosts();
  const source = useIntakeSource(text, list?.rows ?? null, columns, isListed);
  const rows = useMemo(() => reviewItems(source.items, here, decisions), [source.items, here, decisions]);
  const materials = toNewMaterials(rows, readTags(tags));
  const questions = openQuestions(rows);
  const mayAdd = materials.length > 0 && questions === 0 && !sending && source.left === 0;
  const add = (): void => {
    if (!mayAdd) return;
    dispatch({ kind: 'sending' });
    onAdd(materials).then(
      () => dispatch({ kind: 'added' }),
      (error: unknown) => dispatch({ kind: 'failed', words: wordsFor(error) }),
    );
  };
  const readList = async (file: File): Promise<void> => {
    const { readListFile } = await import('../../platform/table-file/list-file.js');
    const read = await readListFile(file);
    dispatch(read.ok ? { kind: 'list', list: read } : { kind: 'failed', words: listFileWords[read.problem] });
  };
  const takeDropped = (files: readonly File[]): void => {
    const [first] = files;
    if (files.length === 1 && first && isListName(first.name)) void readList(first);
    else if (files.length > 0) dispatch({ kind: 'files', files: [...files] });
  };
  return { state, dispatch, source, rows, materials, questions, mayAdd, add, readList, takeDropped };
}

/** Dropped alone, these are read as lists; everything else is a file to keep. */
function isListName(name: string): boolean {
  return /\.(?:csv|tsv|xlsx|ods)$/i.test(name);
}
