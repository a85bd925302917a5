import type { LessonView } from '@hapset/contract';
import type { Lesson } from './lesson.entity.js';

export function toLessonView(lesson: Lesson): LessonView {
  const { id, name, classId, date, startsAt, place, viewingDistanceM, look, version } = lesson;
  return {
    id,
    name,
    classId,
    className: lesson.class?.name ?? null,
    date,
    startsAt,
    place,
    viewingDistanceM,
    look,
    version,
  };
}
