import type { Lesson } from './lesson.entity.js';

/** A lesson as the rest of the server sees it. */
export type LessonRecord = Readonly<Omit<Lesson, 'owner'>>;
