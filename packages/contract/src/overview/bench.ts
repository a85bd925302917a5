import type { ReadinessSummary } from '@hapset/core';
import type { CodeView } from '../code/symbol.js';
import type { MaterialView } from '../gather/material.js';
import type { LessonView } from '../lessons/lesson.js';
import type { RehearsalView } from '../reads/rehearsal.js';
import type { ReadinessView } from './readiness.js';

/** A lesson in the list, with how ready it is. */
export interface LessonRow extends LessonView {
  readonly summary: ReadinessSummary;
}

/** Lessons, the next first. `next` asks for the following ones; null at the end. */
export interface LessonsPage {
  readonly rows: readonly LessonRow[];
  readonly next: string | null;
}

/** A station with its answers. */
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

/** A lesson with its stations and how ready they are. */
export interface BenchView {
  readonly lesson: LessonView;
  readonly summary: ReadinessSummary;
  readonly rows: readonly BenchRow[];
  /** Checks waiting or running in this lesson, and all of its links. */
  readonly opening: { readonly left: number; readonly of: number };
  /** The oldest of the last checks; null while one station was never opened. */
  readonly openedAt: string | null;
}
