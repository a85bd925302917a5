import type { ReadinessSummary } from '@hapset/core';
import type { LookChoice } from '../code/look.js';
import type { CodeView, MaterialView, NewMaterial, RehearsalView } from '../gather/material.js';
import type { ReadinessView } from '../overview/readiness.js';

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

export interface LessonRow extends LessonView {
  readonly summary: ReadinessSummary;
}

export interface LessonsPage {
  readonly rows: readonly LessonRow[];
  readonly next: string | null;
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

export interface BenchRow {
  readonly stationId: string;
  /** From 1. */
  readonly position: number;
  /** The station's own name, or the material's title. */
  readonly name: string;
  readonly version: number;
  readonly material: MaterialView;
  readonly code: CodeView | null;
  readonly readiness: ReadinessView;
  readonly rehearsal: RehearsalView;
}

export interface BenchView {
  readonly lesson: LessonView;
  readonly summary: ReadinessSummary;
  readonly rows: readonly BenchRow[];
  /** Checks waiting or running in this lesson, and all of its links. */
  readonly opening: { readonly left: number; readonly of: number };
  /** The oldest of the last checks; null while one station was never opened. */
  readonly openedAt: string | null;
}

/** New stations out of what was pasted, or a material that is on the shelf already. */
export interface AddStations {
  readonly items: readonly NewMaterial[];
  readonly materialIds: readonly string[];
}

export interface OrderStations {
  /** All stations of the lesson in their new order. */
  readonly stationIds: readonly string[];
}

export interface ChangeStation {
  readonly version: number;
  /** Null goes back to the material's title. */
  readonly name?: string | null;
  readonly instruction?: string | null;
  /** Metres; null for the lesson's. */
  readonly viewingDistanceM?: number | null;
  /** Side of the printed symbol, millimetres; null to have it computed. */
  readonly sizeMm?: number | null;
}

export interface CreatedView {
  readonly id: string;
}

export interface AddedView {
  readonly stationIds: readonly string[];
}

export interface CreatedMaterials {
  readonly materialIds: readonly string[];
}
