/**
 * What is on a page or in a dialog and not saved yet. Closing the dialog by Escape or beside it asks first, and so does
 * leaving the page.
 */
import { createContext, useContext, useEffect } from 'react';

/** @returns how to take it back. */
export type NoteUnsaved = (discard: () => void) => () => void;

export const UnsavedContext = createContext<NoteUnsaved>(() => () => undefined);

/** @param discard what is done when somebody gives it up */
export function useUnsaved(isUnsaved: boolean, discard: () => void): void {
  const note = useContext(UnsavedContext);
  useEffect(() => (isUnsaved ? note(discard) : undefined));
}
