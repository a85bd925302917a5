/** Keeps what is typed in one place, and finds what was left there before. */
import { useEffect, useMemo, useRef, useState } from 'react';
import type { FieldValues, Path, PathValue, UseFormReturn } from 'react-hook-form';
import { DraftKeeper } from './draft-keeper.js';
import { drafts } from './drafts.js';

/** Where something is typed, and by whom; nothing is kept while nobody is signed in. */
export interface DraftPlace {
  readonly accountId: string | undefined;
  /** Like `lesson 0194…`. */
  readonly place: string;
}

export interface DraftHandle<Value> {
  /** What was left there before, until it is used or discarded. */
  readonly found: { readonly value: Value; readonly savedAt: number } | null;
  /** It was taken over into the form. */
  readonly used: () => void;
  /** It was saved at the server, or given up: nothing of this tab is left to keep. */
  readonly remove: () => void;
  /** What was found is given up. */
  readonly discard: () => void;
}

type IsValue<Value> = (value: unknown) => value is Value;

/**
 * Of a part of the page that holds its value itself.
 * @param value what was typed; null while nothing was, and once it is saved or emptied
 * @param isValue whether something found has the shape that is taken: it may be of another version
 */
export function useDraft<Value>(at: DraftPlace, value: Value | null, isValue: IsValue<Value>): DraftHandle<Value> {
  const { keeper, handle } = useDraftKeeper(at, isValue);
  const text = value === null ? null : JSON.stringify(value);
  const before = useRef<string | null>(null);
  useEffect(() => {
    // Nothing typed yet is no reason to remove what was found.
    if (text !== null) keeper.keepSoon(JSON.parse(text));
    else if (before.current !== null) keeper.keepSoon(null);
    before.current = text;
  }, [keeper, text]);
  return { ...handle, found: value === null ? handle.found : null };
}

/** Of a form; it is not drawn again with each character. */
export function useFormDraft<Fields extends FieldValues>(
  at: DraftPlace,
  form: UseFormReturn<Fields>,
): DraftHandle<Partial<Fields>> & { readonly use: (value: Partial<Fields>) => void } {
  const { keeper, handle } = useDraftKeeper(at, isRecord as IsValue<Partial<Fields>>);
  useEffect(() => {
    const stop = form.subscribe({
      formState: { values: true, isDirty: true },
      callback: ({ values, isDirty }) => keeper.keepSoon(isDirty === true ? values : null),
    });
    return stop;
  }, [keeper, form]);
  const use = (value: Partial<Fields>): void => {
    for (const [name, each] of Object.entries(value))
      form.setValue(name as Path<Fields>, each as PathValue<Fields, Path<Fields>>, { shouldDirty: true });
  };
  return { ...handle, use };
}

/** For what keeps itself at the server, and here as long as that does not answer. */
export function useDraftKeeper<Value>(
  { accountId, place }: DraftPlace,
  isValue: IsValue<Value>,
): { readonly keeper: DraftKeeper; readonly handle: DraftHandle<Value> } {
  const keeper = useMemo(() => new DraftKeeper(drafts, accountId, place), [accountId, place]);
  const [offered, setOffered] = useState(() =>
    (accountId === undefined ? [] : drafts.find(accountId, place)).flatMap((draft) =>
      isValue(draft.value) ? { ...draft, value: draft.value } : [],
    ),
  );
  useEffect(() => keeper.watchLeaving(), [keeper]);
  const [found = null] = offered;
  // What is used is kept by this tab from now on; another one is offered as long as nothing is typed.
  const end = (): void => {
    if (found) drafts.removeFound(found);
    setOffered((before) => before.slice(1));
  };
  const remove = (): void => {
    keeper.remove();
    end();
  };
  return { keeper, handle: { found, used: end, remove: () => keeper.remove(), discard: remove } };
}

/** Of a field with text alone. */
export function isText(value: unknown): value is string {
  return typeof value === 'string';
}

/** Whether something found has every field of `sample`, of the same type: it may be of an older version. */
export function isLike<Value extends object>(sample: Value): (value: unknown) => value is Value {
  return (value): value is Value =>
    isRecord(value) &&
    Object.entries(sample).every(
      ([name, own]) =>
        name in value &&
        (own === null || typeof value[name] === typeof own) &&
        Array.isArray(value[name]) === Array.isArray(own),
    );
}

function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
