import type { LookChoice } from '../gather/material.js';

/** What is known of a lesson without its stations. */
export interface LessonView {
  readonly id: string;
  readonly name: string;
  readonly classId: string | null;
  readonly className: string | null;
  /** Day in the school's zone, `YYYY-MM-DD`; null while it has none. */
  readonly date: string | null;
  /** Wall time in the school's zone, `HH:MM`. */
  readonly startsAt: string | null;
  readonly place: string;
  /** How far from the wall students stand, metres. */
  readonly viewingDistanceM: number;
  /** Of all its stations but those with one of their own; null for what the school says. */
  readonly look: LookChoice;
  readonly version: number;
}

/** What a lesson needs to be made. */
export interface CreateLesson {
  readonly name: string;
  readonly classId: string | null;
  readonly date: string | null;
  readonly startsAt: string | null;
  readonly place: string;
  readonly viewingDistanceM: number;
}

/** All of a lesson under the version that was seen. */
export interface ChangeLesson extends CreateLesson {
  readonly version: number;
}

/** What was made, by its id. */
export interface CreatedView {
  readonly id: string;
}
