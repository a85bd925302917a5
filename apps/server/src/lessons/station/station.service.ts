import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { AddStations, ChangeStation, StationPlace } from '@hapset/contract';
import { In, IsNull, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { Station } from './station.entity.js';
import type { Place } from './place.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { LessonRecord } from '../lesson/lesson-record.js';

/** A station with its number. */
export interface StationPosition {
  readonly materialId: string;
  readonly stationId: string;
  readonly lessonId: string;
  readonly lessonName: string;
  readonly position: string;
}

/** A station by the name under which it is shown. */
export interface StationName {
  readonly stationId: string;
  readonly lessonId: string;
  readonly name: string;
  readonly lessonName: string;
}

const mostNames = 10_000;

/** A lesson that shows a material. */
export interface UsedInLesson {
  readonly materialId: string;
  readonly id: string;
  readonly name: string;
  /** `YYYY-MM-DD`; null for one without a day. */
  readonly date: string | null;
}

@Injectable()
export class StationService {
  constructor(
    @InjectRepository(Station) private readonly stations: Repository<Station>,
    private readonly materials: MaterialService,
    private readonly clock: Clock,
  ) {}

  /** The stations of those lessons, each lesson's in their order, with their materials. */
  async list(lessonIds: readonly string[]): Promise<Station[]> {
    if (lessonIds.length === 0) return [];
    return this.stations.find({
      where: { lessonId: In([...lessonIds]), removedAt: IsNull() },
      relations: { material: true },
      order: { position: 'ASC', id: 'ASC' },
    });
  }

  /** Where the materials of lessons hang, each lesson's in their order. */
  async placesOf(lessons: readonly LessonRecord[]): Promise<Place[]> {
    const stations = await this.list(lessons.map((lesson) => lesson.id));
    return lessons.flatMap((lesson) =>
      stations
        .filter(({ lessonId }) => lessonId === lesson.id)
        .map((station, index) => ({ material: station.material, station, lesson, position: index + 1 })),
    );
  }

  async materialsOf(lessonId: string): Promise<MaterialRecord[]> {
    return (await this.list([lessonId])).map((station) => station.material);
  }

  /** Where a station hangs. @throws ProblemError not-found for a removed one too */
  async place(id: string): Promise<{ place: Place; station: StationPlace }> {
    const found = await this.stations.findOne({
      where: { id, removedAt: IsNull(), lesson: { removedAt: IsNull() } },
      relations: { material: true, lesson: { class: true } },
    });
    if (!found) throw notFound('station');
    const order = await this.stations.find({
      where: { lessonId: found.lessonId, removedAt: IsNull() },
      select: { id: true },
      order: { position: 'ASC', id: 'ASC' },
    });
    const position = order.findIndex((other) => other.id === id) + 1;
    const { lesson, name, instruction, version } = found;
    return {
      place: { material: found.material, station: found, lesson, position },
      station: { stationId: id, lessonId: lesson.id, lessonName: lesson.name, position, name, instruction, version },
    };
  }

  /** New stations at the end, with their new materials: what was pasted first, then what was on the shelf. All or none. */
  async add(lessonId: string, { items, materialIds }: AddStations, ownerId: string): Promise<readonly string[]> {
    if (items.length + materialIds.length === 0)
      throw new ProblemError('invalid', 'There is nothing to add.', {
        fields: [{ field: 'items', message: 'is empty' }],
      });
    const known = await this.materials.requireOwn(materialIds, ownerId);
    const { result } = await this.materials.createWith(items, ownerId, async (manager, created) => {
      const last = await manager.maximum(Station, 'position', { lessonId });
      const rows = [...created, ...known].map((material, index) =>
        this.stations.create({
          id: newId(),
          lessonId,
          materialId: material.id,
          position: (last ?? 0) + index + 1,
          name: null,
          instruction: null,
          viewingDistanceM: null,
          sizeMm: null,
          version: 1,
          removedAt: null,
        }),
      );
      await manager.insert(Station, rows);
      return rows.map((row) => row.id);
    });
    return result;
  }

  /** Lessons that show these materials, each once for each material. */
  async lessonsOf(materialIds: readonly string[]): Promise<readonly UsedInLesson[]> {
    if (materialIds.length === 0) return [];
    const rows: unknown = await this.stations.query(
      `SELECT DISTINCT stations.material_id AS materialId, lessons.id AS id, lessons.name AS name, lessons.date AS date
       FROM stations JOIN lessons ON lessons.id = stations.lesson_id
       WHERE stations.material_id IN (${materialIds.map(() => '?').join(',')}) AND stations.removed_at IS NULL AND lessons.removed_at IS NULL
       ORDER BY lessons.name, lessons.id`,
      [...materialIds],
    );
    return rows as UsedInLesson[];
  }

  /** Whether a lesson between two days (`YYYY-MM-DD`), both included, shows the material. */
  async isWantedBetween(materialId: string, first: string, last: string): Promise<boolean> {
    const lessons = await this.lessonsOf([materialId]);
    return lessons.some(({ date }) => date !== null && date >= first && date <= last);
  }

  /** The owner's, by name alone; the newest first. */
  async listNames(ownerId: string): Promise<readonly StationName[]> {
    const rows: unknown = await this.stations.query(
      `SELECT stations.id AS stationId, lessons.id AS lessonId, lessons.name AS lessonName, COALESCE(stations.name, materials.title) AS name
       FROM stations JOIN lessons ON lessons.id = stations.lesson_id JOIN materials ON materials.id = stations.material_id
       WHERE lessons.owner_id = ? AND stations.removed_at IS NULL AND lessons.removed_at IS NULL
       ORDER BY stations.id DESC LIMIT ${mostNames}`,
      [ownerId],
    );
    return rows as StationName[];
  }

  /** Stations that show these materials, with their numbers. */
  async listPositions(materialIds: readonly string[]): Promise<readonly StationPosition[]> {
    if (materialIds.length === 0) return [];
    const rows: unknown = await this.stations.query(
      `SELECT ranked.* FROM (
         SELECT stations.id AS stationId, stations.material_id AS materialId, lessons.id AS lessonId, lessons.name AS lessonName,
           ROW_NUMBER() OVER (PARTITION BY lessons.id ORDER BY stations.position, stations.id) AS position
         FROM stations JOIN lessons ON lessons.id = stations.lesson_id
         WHERE stations.removed_at IS NULL AND lessons.removed_at IS NULL
           AND lessons.id IN (SELECT lesson_id FROM stations WHERE material_id IN (${materialIds.map(() => '?').join(',')}) AND removed_at IS NULL)
       ) AS ranked WHERE ranked.materialId IN (${materialIds.map(() => '?').join(',')}) ORDER BY ranked.lessonName, ranked.position`,
      [...materialIds, ...materialIds],
    );
    return rows as StationPosition[];
  }

  /** @throws ProblemError stale when the list is not exactly the lesson's stations */
  async order(lessonId: string, stationIds: readonly string[]): Promise<void> {
    await this.stations.manager.transaction(async (manager) => {
      const rows = await manager.find(Station, {
        where: { lessonId, removedAt: IsNull() },
        select: { id: true },
        lock: { mode: 'pessimistic_write' },
      });
      const known = new Set(rows.map((row) => row.id));
      if (known.size !== stationIds.length || stationIds.some((id) => !known.has(id))) throw stale('list of stations');
      for (const [index, id] of stationIds.entries()) await manager.update(Station, { id }, { position: index + 1 });
    });
  }

  /** @throws ProblemError stale */
  async change(id: string, { version, name, instruction, viewingDistanceM, sizeMm }: ChangeStation): Promise<void> {
    const change: Partial<Station> = {
      ...(name !== undefined && { name }),
      ...(instruction !== undefined && { instruction }),
      ...(viewingDistanceM !== undefined && { viewingDistanceM }),
      ...(sizeMm !== undefined && { sizeMm }),
    };
    const { affected } = await this.stations.update(
      { id, version, removedAt: IsNull() },
      { ...change, version: version + 1 },
    );
    if (affected !== 1) throw stale('station');
  }

  /** Its material stays on the shelf; the station can be restored to its place. */
  async remove(id: string): Promise<void> {
    await this.stations.update({ id }, { removedAt: this.clock.now() });
  }

  async restore(id: string): Promise<void> {
    await this.stations.update({ id }, { removedAt: null });
  }
}
