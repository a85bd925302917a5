import type { LookChoice } from '../gather/material.js';

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

export interface CreateLesson {
  readonly name: string;
  readonly classId: string | null;
  readonly date: string | null;
  readonly startsAt: string | null;
  readonly place: string;
  readonly viewingDistanceM: number;
}

export interface ChangeLesson extends CreateLesson {
  readonly version: number;
}

export interface CreatedView {
  readonly id: string;
}
