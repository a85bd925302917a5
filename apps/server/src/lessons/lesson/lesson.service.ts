import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { limits, type ChangeLesson, type CreateLesson, type LookChoice } from '@hapset/contract';
import { IsNull, Repository, Between } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { notFound, stale } from '../../platform/problem/problem.js';
import { SchoolClassService } from '../../school/school-class/school-class.service.js';
import { Lesson } from './lesson.entity.js';

const mostNames = 5000;
/** Sorts above every day. */
const noDate = '9999-99-99';

export interface LessonCursor {
  readonly date: string | null;
  readonly id: string;
}

@Injectable()
export class LessonService {
  constructor(
    @InjectRepository(Lesson) private readonly lessons: Repository<Lesson>,
    private readonly classes: SchoolClassService,
    private readonly clock: Clock,
  ) {}

  /**
   * Those without a date first, then the latest day first; one more than a page, so that the caller knows of a next.
   * @param after the cursor of the last one shown
   */
  list(ownerId: string, after: LessonCursor | null): Promise<Lesson[]> {
    const query = this.lessons
      .createQueryBuilder('lesson')
      .leftJoinAndSelect('lesson.class', 'class')
      .where('lesson.ownerId = :ownerId AND lesson.removedAt IS NULL', { ownerId });
    if (after)
      query.andWhere(`(COALESCE(lesson.date, '${noDate}'), lesson.id) < (:date, :id)`, {
        date: after.date ?? noDate,
        id: after.id,
      });
    return query
      .orderBy(`COALESCE(lesson.date, '${noDate}')`, 'DESC')
      .addOrderBy('lesson.id', 'DESC')
      .limit(limits.lessonsPage + 1)
      .getMany();
  }

  /** The owner's, by name alone; the newest first. */
  listNames(ownerId: string): Promise<Pick<Lesson, 'id' | 'name' | 'date'>[]> {
    return this.lessons.find({
      where: { ownerId, removedAt: IsNull() },
      select: { id: true, name: true, date: true },
      order: { id: 'DESC' },
      take: mostNames,
    });
  }

  /** Of every teacher, between two days (`YYYY-MM-DD`), both included. */
  listBetween(first: string, last: string): Promise<Lesson[]> {
    return this.lessons.find({
      where: { date: Between(first, last), removedAt: IsNull() },
      select: { id: true, date: true, startsAt: true },
    });
  }

  /** @throws ProblemError not-found for a removed one too */
  async require(id: string): Promise<Lesson> {
    const found = await this.lessons.findOne({ where: { id, removedAt: IsNull() }, relations: { class: true } });
    if (!found) throw notFound('lesson');
    return found;
  }

  async create(request: CreateLesson, ownerId: string): Promise<string> {
    if (request.classId !== null) await this.classes.require(request.classId);
    const id = newId();
    await this.lessons.insert({ ...request, id, ownerId, version: 1 });
    return id;
  }

  /** @throws ProblemError stale */
  async change(id: string, { version, ...request }: ChangeLesson): Promise<Lesson> {
    if (request.classId !== null) await this.classes.require(request.classId);
    const { affected } = await this.lessons.update(
      { id, version, removedAt: IsNull() },
      { ...request, version: version + 1 },
    );
    if (affected !== 1) throw stale('lesson');
    return this.require(id);
  }

  /** Of all its stations but those with one of their own. */
  async chooseLook(id: string, look: LookChoice): Promise<Lesson> {
    const { version } = await this.require(id);
    await this.lessons.update({ id, removedAt: IsNull() }, { look, version: version + 1 });
    return this.require(id);
  }

  async remove(id: string): Promise<void> {
    await this.lessons.update({ id }, { removedAt: this.clock.now() });
  }

  async restore(id: string): Promise<void> {
    await this.lessons.update({ id }, { removedAt: null });
  }
}
