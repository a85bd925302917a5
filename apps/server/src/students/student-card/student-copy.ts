/** Everything that is kept about one student: for parents and students who ask what a school keeps about them. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { StudentPhotoService } from '../student-photo/student-photo.service.js';
import { RosterService, type ImportAbout } from '../student/roster.service.js';
import type { StudentRecord } from '../student/student-record.js';
import { StudentService } from '../student/student.service.js';
import { CardReading } from './card-reading.entity.js';
import { PrintedCard } from './printed-card.entity.js';
import { StudentCard } from './student-card.entity.js';

/** All of it, the oldest first. */
export interface StudentCopy {
  readonly student: StudentRecord;
  /** Codes that cards carry. */
  readonly cards: readonly StudentCard[];
  /** Cards on paper, with what is on them. */
  readonly printed: readonly PrintedCard[];
  readonly readings: readonly CardReading[];
  readonly imports: readonly ImportAbout[];
  /** JPEG; null without. */
  readonly photo: Uint8Array | null;
}

@Injectable()
export class StudentCopies {
  constructor(
    @InjectRepository(StudentCard) private readonly cards: Repository<StudentCard>,
    @InjectRepository(PrintedCard) private readonly printed: Repository<PrintedCard>,
    @InjectRepository(CardReading) private readonly readings: Repository<CardReading>,
    private readonly students: StudentService,
    private readonly rosters: RosterService,
    private readonly photos: StudentPhotoService,
  ) {}

  /** @throws ProblemError not-found */
  async find(studentId: string): Promise<StudentCopy> {
    const order = { id: 'ASC' } as const;
    const [student, cards, printed, readings, imports, photos] = await Promise.all([
      this.students.require(studentId),
      this.cards.find({ where: { studentId }, order }),
      this.printed.find({ where: { studentId }, relations: { print: true }, order }),
      this.readings.find({ where: { studentId }, relations: { readBy: true }, order }),
      this.rosters.listAbout(studentId),
      this.photos.load([studentId]),
    ]);
    return { student, cards, printed, readings, imports, photo: photos.get(studentId) ?? null };
  }
}
