import { Entity, ManyToOne, PrimaryColumn, type Relation } from 'typeorm';
import type { OpeningTime } from '@hapset/core';
import { idColumn, keywordColumn } from '../../platform/database/columns.js';
import type { LessonRecord } from '../../lessons/lesson/lesson-record.js';

/** A lesson's links were opened by the clock: whoever writes the row does it, so that one of several servers does. */
@Entity('scheduled_openings')
export class ScheduledOpening {
  @PrimaryColumn(idColumn) lessonId: string;
  @ManyToOne('Lesson', { onDelete: 'CASCADE' }) lesson: Relation<LessonRecord>;
  @PrimaryColumn(keywordColumn(20)) time: OpeningTime;
  /** When it was due: a lesson that is moved is opened again. */
  @PrimaryColumn({ type: 'datetime', precision: 3 }) dueAt: Date;
}
