/** The bench of a lesson: its stations with their four answers, and the line above them. */
import { Injectable } from '@nestjs/common';
import {
  limits,
  type BenchRow,
  type BenchView,
  type LessonRow,
  type LessonsPage,
  type MaterialView,
} from '@hapset/contract';
import { summarise } from '@hapset/core';
import { ReadinessService, type Standing } from '../readiness/readiness.service.js';
import { StationService } from '../../lessons/station/station.service.js';
import { LessonService, type LessonCursor } from '../../lessons/lesson/lesson.service.js';
import { toLessonView } from '../../lessons/lesson/lesson.view.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import { MaterialViews } from '../../gather/material/material-views.js';

@Injectable()
export class BenchService {
  constructor(
    private readonly lessons: LessonService,
    private readonly stations: StationService,
    private readonly readiness: ReadinessService,
    private readonly views: MaterialViews,
  ) {}

  async bench(lessonId: string): Promise<BenchView> {
    const lesson = await this.lessons.require(lessonId);
    const standings = await this.readiness.list(await this.stations.placesOf([lesson]));
    const view = await this.views.prepare();
    const links = standings.filter((standing) => !standing.readiness.opens.inTheCode);
    const opened = links.map((standing) => standing.readiness.opens.checkedAt);
    return {
      lesson: toLessonView(lesson),
      summary: summarise(standings.map(({ readiness }) => readiness)),
      rows: standings.map((standing, index) => toBenchRow(standing, index, view)),
      opening: { left: links.filter((standing) => standing.opening).length, of: links.length },
      openedAt: opened.length > 0 && opened.every((at) => at !== null) ? ([...opened].sort()[0] ?? null) : null,
    };
  }

  /** @param after the `next` of the page before */
  async list(ownerId: string, after: string | null): Promise<LessonsPage> {
    const lessons = await this.lessons.list(ownerId, after === null ? null : readCursor(after));
    const shown = lessons.slice(0, limits.lessonsPage);
    const standings = await this.readiness.list(await this.stations.placesOf(shown));
    const rows: LessonRow[] = shown.map((lesson) => ({
      ...toLessonView(lesson),
      summary: summarise(
        standings.filter((standing) => standing.place.lesson?.id === lesson.id).map(({ readiness }) => readiness),
      ),
    }));
    const last = shown.at(-1);
    return { rows, next: lessons.length > shown.length && last ? `${last.date ?? ''}~${last.id}` : null };
  }
}

function readCursor(text: string): LessonCursor {
  const [date = '', id = ''] = text.split('~');
  return { date: date === '' ? null : date, id };
}

function toBenchRow(
  { place, code, readiness, rehearsal }: Standing,
  index: number,
  view: (material: MaterialRecord) => MaterialView,
): BenchRow {
  const { station, material } = place;
  if (!station) throw new Error('a bench has stations');
  return {
    stationId: station.id,
    position: index + 1,
    name: station.name ?? material.title,
    version: station.version,
    material: view(material),
    code,
    readiness,
    rehearsal,
  };
}
