/** What the intake holds while it is filled, as a reducer: text or a list, what was decided about it, whether it is sent. */
import type { Columns, LinkKind } from '@hapset/core';
import type { Rows } from '../../platform/table-file/table.js';
import { noDecisions, type Decisions, type ItemChange } from './new-materials.js';

/** A list out of a file. */
export interface ChosenList {
  readonly name: string;
  readonly rows: Rows;
  /** There were more rows than are taken. */
  readonly cut: boolean;
}

export interface IntakeState {
  readonly text: string;
  /** Read in the place of the text. */
  readonly list: ChosenList | null;
  /** Of a list, as the teacher set them; null to guess. */
  readonly columns: Columns | null;
  readonly decisions: Decisions;
  /** As typed. */
  readonly tags: string;
  /** Files to keep, which have a tray of their own. */
  readonly files: readonly File[] | null;
  readonly sending: boolean;
  /** Why adding or reading a list failed, in words. */
  readonly failure: string | null;
}

export type IntakeAction =
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'list'; readonly list: ChosenList }
  | { readonly kind: 'columns'; readonly columns: Columns }
  | { readonly kind: 'tags'; readonly tags: string }
  | { readonly kind: 'files'; readonly files: readonly File[] | null }
  | { readonly kind: 'answered'; readonly pasted: string; readonly answer: 0 | 1 | null }
  | { readonly kind: 'changed'; readonly pasted: string; readonly change: ItemChange }
  | { readonly kind: 'left-out-toggled'; readonly pasted: string }
  | { readonly kind: 'kind-chosen'; readonly pasted: string; readonly linkKind: LinkKind }
  | { readonly kind: 'student-link-chosen'; readonly pasted: string; readonly link: string | null }
  | { readonly kind: 'page-toggled'; readonly pasted: string }
  | { readonly kind: 'duplicate-toggled'; readonly index: number }
  | { readonly kind: 'sending' }
  | { readonly kind: 'added' }
  | { readonly kind: 'failed'; readonly words: string };

/** @param text to begin with, given by another page */
export function emptyIntake(text = ''): IntakeState {
  return {
    text,
    list: null,
    columns: null,
    decisions: noDecisions,
    tags: '',
    files: null,
    sending: false,
    failure: null,
  };
}

export function intakeReducer(state: IntakeState, action: IntakeAction): IntakeState {
  if (isDecision(action)) return { ...state, decisions: decide(state.decisions, action) };
  switch (action.kind) {
    case 'text':
      return withText(state, action.text);
    case 'list':
      return { ...withText(state, ''), list: action.list };
    case 'columns':
      return { ...state, columns: action.columns };
    case 'tags':
      return { ...state, tags: action.tags };
    case 'files':
      return { ...state, files: action.files };
    case 'sending':
      return { ...state, sending: true, failure: null };
    case 'added':
      return { ...emptyIntake(), files: state.files };
    case 'failed':
      // What was typed stays: it is tried again, or changed.
      return { ...state, sending: false, failure: action.words };
  }
}

/** Another text makes list and columns void; decisions stay while there is some, since they are about what was pasted. */
function withText(state: IntakeState, text: string): IntakeState {
  return {
    ...state,
    text,
    list: null,
    columns: null,
    failure: null,
    decisions: text === '' ? noDecisions : state.decisions,
  };
}

type Decision = Extract<IntakeAction, { readonly pasted: string } | { readonly index: number }>;

function isDecision(action: IntakeAction): action is Decision {
  return 'pasted' in action || 'index' in action;
}

function decide(before: Decisions, action: Decision): Decisions {
  switch (action.kind) {
    case 'answered':
      return { ...before, answers: withEntry(before.answers, action.pasted, action.answer) };
    case 'changed':
      return { ...before, changes: new Map(before.changes).set(action.pasted, action.change) };
    case 'left-out-toggled':
      return { ...before, leftOut: switched(before.leftOut, action.pasted) };
    case 'kind-chosen':
      return { ...before, kinds: new Map(before.kinds).set(action.pasted, action.linkKind) };
    case 'student-link-chosen':
      return { ...before, studentLinks: withEntry(before.studentLinks, action.pasted, action.link) };
    case 'page-toggled':
      return { ...before, onPage: switched(before.onPage, action.pasted) };
    case 'duplicate-toggled':
      return { ...before, kept: switched(before.kept, action.index) };
  }
}

function switched<Item>(set: ReadonlySet<Item>, item: Item): ReadonlySet<Item> {
  const next = new Set(set);
  if (!next.delete(item)) next.add(item);
  return next;
}

/** @param value null removes it */
function withEntry<Value>(
  map: ReadonlyMap<string, Value>,
  key: string,
  value: Value | null,
): ReadonlyMap<string, Value> {
  const next = new Map(map);
  if (value === null) next.delete(key);
  else next.set(key, value);
  return next;
}
