import type { PhotoMatches } from '@hapset/contract';

/** A photo that somebody chose, and whose it is. */
export interface ChosenPhoto {
  readonly name: string;
  readonly picture: Blob;
  readonly student: PhotoMatches['students'][number];
  /** Where it is cut, from 0 to 1. */
  readonly at: number;
  readonly state: 'chosen' | 'added' | 'broken';
}
