/** The intake's state with what was understood of it, and what can be done: read a list, add everything. */
import type { NewMaterial, ShelfMatch } from '@hapset/contract';
import { readTags } from '@hapset/core';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useReducer, type Dispatch } from 'react';
import { flushSync } from 'react-dom';
import { useListedHosts } from './use-listed-hosts.js';
import { listFileWords } from '../../platform/wording/list-files.js';
import { wordsFor } from '../../platform/wording/problems.js';
import { emptyIntake, intakeReducer, type IntakeAction, type IntakeState } from './intake-state.js';
import {
  linksOf,
  openQuestions,
  reviewItems,
  toNewMaterials,
  usedMaterials,
  type Decisions,
  type IntakeRowState,
} from './new-materials.js';
import { shelfMatchesQuery } from '../material/material.queries.js';
import { useOnceRead } from './use-once-read.js';
import { useReader, type IntakeReader } from './reader.js';
import { useIntakeSource, type IntakeSource } from './use-intake-source.js';

export interface IntakeHandle {
  readonly state: IntakeState;
  readonly dispatch: Dispatch<IntakeAction>;
  readonly source: IntakeSource;
  readonly rows: readonly IntakeRowState[];
  /** What would be added. */
  readonly materials: readonly NewMaterial[];
  /** Materials on the shelf that are used instead of being added again. */
  readonly uses: readonly string[];
  /** How many still have to be answered. */
  readonly questions: number;
  /** True while it is not known what is on the shelf already. */
  readonly asking: boolean;
  readonly mayAdd: boolean;
  readonly add: () => void;
  readonly readList: (file: File) => Promise<void>;
  /** One list alone is read; other files are kept. */
  readonly takeDropped: (files: readonly File[]) => void;
}

/** What is done with new materials, and with materials of the shelf that are used again. */
export type AddItems = (items: readonly NewMaterial[], materialIds: readonly string[]) => Promise<unknown>;

/** @param here links that are here already. @param initial text to begin with */
export function useIntake({
  here,
  onAdd,
  initial,
}: {
  readonly here: readonly string[];
  readonly onAdd: AddItems;
  readonly initial: string;
}): IntakeHandle {
  const [state, dispatch] = useReducer(intakeReducer, initial, emptyIntake);
  const { text, list, columns, decisions, tags, sending } = state;
  const filled = text.trim() !== '' || list !== null;
  const reader = useReader(filled);
  const source = useIntakeSource({ text, file: list?.rows ?? null, chosen: columns }, reader, useListedHosts(filled));
  const readLink = reader?.readLink ?? readNone;
  const { matches, asking, findsNew } = useShelfMatches(source, decisions, readLink);
  const rows = useMemo(
    () => reviewItems(source.items, here, decisions, { matches, readLink }),
    [source.items, here, decisions, matches, readLink],
  );
  const materials = toNewMaterials(rows, readTags(tags));
  const uses = usedMaterials(rows);
  const questions = openQuestions(rows);
  const mayAdd = materials.length + uses.length > 0 && questions === 0 && !sending && source.left === 0;
  const add = async (): Promise<void> => {
    // A press of Enter may come before it is known whether the link is there already.
    if (!mayAdd || (await findsNew())) return;
    // What is on the shelf already leads there at once, and must not be found unsaved on the way.
    flushSync(() => dispatch({ kind: 'sending' }));
    try {
      await onAdd(materials, uses);
      dispatch({ kind: 'added' });
    } catch (error) {
      dispatch({ kind: 'failed', words: wordsFor(error) });
    }
  };
  const addOnceRead = useOnceRead(source.left > 0, text, () => void add());
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
  return {
    state,
    dispatch,
    source,
    rows,
    materials,
    uses,
    questions,
    asking,
    mayAdd,
    add: addOnceRead,
    readList,
    takeDropped,
  };
}

interface ShelfMatches {
  readonly matches: readonly ShelfMatch[];
  /** True while it is not known yet. */
  readonly asking: boolean;
  /** Asks now where that is not known yet. True where something is on the shelf that was not shown to be. */
  readonly findsNew: () => Promise<boolean>;
}

/** What of the links is on the shelf already. Nothing while that can't be found out: then it is added once more. */
function useShelfMatches(
  { items, left }: IntakeSource,
  decisions: Decisions,
  readLink: IntakeReader['readLink'],
): ShelfMatches {
  const client = useQueryClient();
  const links = useMemo(
    () => (left > 0 ? [] : linksOf(items, decisions, readLink)),
    [items, left, decisions, readLink],
  );
  const asked = useDeferredValue(links);
  const { data: matches = noMatches, isFetching } = useQuery(shelfMatchesQuery(asked));
  const findsNew = async (): Promise<boolean> => {
    if (links.length === 0) return false;
    const known = await client.ensureQueryData(shelfMatchesQuery(links)).catch(() => noMatches);
    return known.some(({ link }) => !matches.some((shown) => shown.link === link));
  };
  return { matches, asking: left > 0 || isFetching || asked !== links, findsNew };
}

const noMatches: readonly ShelfMatch[] = [];
const readNone = (): null => null;

/** Dropped alone, these are read as lists; everything else is a file to keep. */
function isListName(name: string): boolean {
  return /\.(?:csv|tsv|xlsx|ods)$/i.test(name);
}
