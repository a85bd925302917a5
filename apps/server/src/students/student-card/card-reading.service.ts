/** Cards that are read: whose they are, for signed-in staff and nobody else, kept in a list with their time. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  limits,
  type CardReadingsPage,
  type CardReadingView,
  type ReadCard,
  type ReadCardView,
} from '@hapset/contract';
import { cardPayload, idKey, readCardText } from '@hapset/core';
import { Between, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import { isVisible, StudentVisibility } from '../student/student-visibility.js';
import { safeCsv } from '../../platform/spreadsheet/safe-csv.js';
import { CardReading } from './card-reading.entity.js';
import { StudentCard } from './student-card.entity.js';
import type { StudentRecord } from '../student/student-record.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { StudentService } from '../student/student.service.js';
import { lockStudents } from '../student/lock-students.js';

/** A card that is held up again within this is one reading. */
const sameReadingMs = 60_000;

interface Found {
  readonly student: StudentRecord | null;
  readonly result: ReadCardView['result'];
  /** It says the school's id and no more: typed, that is no card. */
  readonly isId?: boolean;
}

@Injectable()
export class CardReadingService {
  constructor(
    @InjectRepository(CardReading) private readonly readings: Repository<CardReading>,
    @InjectRepository(StudentCard) private readonly cards: Repository<StudentCard>,
    private readonly students: StudentService,
    private readonly visibility: StudentVisibility,
    private readonly clock: Clock,
  ) {}

  /** Read again within a minute, it is one reading. */
  async read({ text, typed, waitedMs }: Required<ReadCard>, who: SignedIn): Promise<ReadCardView> {
    const at = new Date(this.clock.now().getTime() - waitedMs);
    const { student, result, isId = false } = await this.find(text);
    if (student && !isVisible(student.className, await this.visibility.find(who)))
      return { result: 'other-class', student: null, readingId: null };
    const readingId =
      student && result === 'student' ? await this.keep(student.id, who.id, { at, byId: typed && isId }) : null;
    return {
      result,
      student: student && {
        id: student.id,
        name: student.name,
        className: student.className,
        schoolId: student.schoolId,
      },
      readingId,
    };
  }

  async list(readById: string): Promise<CardReadingsPage> {
    const [[rows, total], byId] = await Promise.all([
      this.newest(readById),
      this.readings.countBy({ readById, byId: true }),
    ]);
    return { rows: rows.map(toView), total, byId };
  }

  private newest(readById: string): Promise<[CardReading[], number]> {
    return this.readings.findAndCount({
      where: { readById },
      relations: { student: true },
      order: { id: 'DESC' },
      take: limits.cardReadingsShown,
    });
  }

  /** All of them, the oldest first. */
  async csv(readById: string): Promise<string> {
    const rows = await this.readings.find({ where: { readById }, relations: { student: true }, order: { id: 'ASC' } });
    return safeCsv(
      ['Read at', 'Name', 'Class', 'Id', 'By'],
      rows
        .map(toView)
        .map(({ readAt, name, className, schoolId, byId }) => [
          readAt,
          name,
          className,
          schoolId ?? '',
          byId ? 'id' : 'card',
        ]),
    );
  }

  async remove(id: string): Promise<void> {
    await this.readings.delete({ id });
  }

  private async find(text: string): Promise<Found> {
    const read = readCardText(text);
    switch (read.kind) {
      case 'misread':
        return { student: null, result: 'misread' };
      case 'token': {
        const card = await this.cards.findOne({ where: { token: read.token }, relations: { student: true } });
        if (!card) return { student: null, result: 'unknown' };
        return card.replacedAt === null ? here(card.student) : { student: card.student, result: 'replaced' };
      }
      case 'text':
        return this.findInClear(read.text);
    }
  }

  /** An id alone, or an id and the name that belongs to it. */
  private async findInClear(text: string): Promise<Found> {
    const [schoolId = ''] = text.split(' ');
    const candidates = schoolId === '' || text.length > 200 ? [] : await this.students.listBySchoolId(schoolId);
    const fitting = candidates.filter(
      (student) =>
        idKey(student.schoolId ?? '') === idKey(schoolId) &&
        [
          cardPayload('id', { schoolId, name: student.name, token: '' }),
          cardPayload('id-and-name', { schoolId, name: student.name, token: '' }),
        ].includes(text),
    );
    const [only] = fitting;
    const isId = !text.includes(' ');
    return only && fitting.length === 1 ? { ...here(only), isId } : { student: null, result: 'unknown' };
  }

  private async keep(
    studentId: string,
    readById: string,
    { at, byId }: { readonly at: Date; readonly byId: boolean },
  ): Promise<string> {
    return retryingDeadlocks(() =>
      this.readings.manager.transaction(async (manager) => {
        // One device after the other: what the one before has written is seen.
        await lockStudents(manager, [studentId]);
        const around = Between(new Date(at.getTime() - sameReadingMs + 1), new Date(at.getTime() + sameReadingMs - 1));
        const same = await manager.findOneBy(CardReading, { studentId, readById, readAt: around });
        // A card that follows a typed id is a card.
        if (same?.byId === true && !byId) await manager.update(CardReading, { id: same.id }, { byId });
        if (same) return same.id;
        const id = newId();
        await manager.insert(CardReading, { id, studentId, readById, readAt: at, byId });
        return id;
      }),
    );
  }
}

function here(student: StudentRecord): Found {
  return { student, result: student.leftAt === null ? 'student' : 'left' };
}

function toView({ id, readAt, byId, student }: CardReading): CardReadingView {
  return {
    id,
    readAt: readAt.toISOString(),
    name: student.name,
    className: student.className,
    schoolId: student.schoolId,
    byId,
  };
}
