import type { FoundCode } from '@hapset/readers';

/** A code as it was read: in a picture, or pasted as text and then without the facts of a picture. */
export interface ReadCode {
  readonly text: string;
  readonly found: FoundCode | null;
}
