/** Lessons of these days whose stations are to be opened by now, by the school's clock. */
import { Injectable } from '@nestjs/common';
import { dueOpenings } from '@hapset/core';
import { LessonService } from '../../lessons/lesson/lesson.service.js';
import { Clock } from '../../platform/clock/clock.js';
import { SchoolService } from '../../school/settings/school.service.js';

const dayMs = 24 * 3600 * 1000;

export interface DueLesson {
  readonly lessonId: string;
  readonly due: ReturnType<typeof dueOpenings>;
}

@Injectable()
export class ComingLessons {
  constructor(
    private readonly lessons: LessonService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  async listDue(): Promise<readonly DueLesson[]> {
    const now = this.clock.now().getTime();
    const { timeZone } = await this.school.get();
    const day = (ahead: number): string => new Date(now + ahead * dayMs).toISOString().slice(0, 10);
    const lessons = await this.lessons.listBetween(day(-1), day(2));
    return lessons.flatMap(({ id, date, startsAt }) =>
      date === null ? [] : [{ lessonId: id, due: dueOpenings(date, startsAt, timeZone, now) }],
    );
  }
}
