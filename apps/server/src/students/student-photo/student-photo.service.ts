/** Photos of students for their cards: only where the administrator has switched them on, never for anybody outside, and no longer than the student is there. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { PhotoMatches, StudentView } from '@hapset/contract';
import { matchPhotos } from '@hapset/core';
import { In, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { Decoder } from '../../platform/decoder/decoder.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { StudentService } from '../student/student.service.js';
import { StudentPhoto } from './student-photo.entity.js';

/** 20 by 25 mm at 480 dots an inch. */
const photoPx = { widthPx: 384, heightPx: 480 } as const;

@Injectable()
export class StudentPhotoService {
  constructor(
    @InjectRepository(StudentPhoto) private readonly photos: Repository<StudentPhoto>,
    private readonly students: StudentService,
    private readonly school: SchoolService,
    private readonly decoder: Decoder,
    private readonly clock: Clock,
  ) {}

  async areOn(): Promise<boolean> {
    return (await this.school.get()).studentPhotos;
  }

  /** @throws ProblemError not-found while photos are switched off */
  async match(files: readonly string[]): Promise<PhotoMatches> {
    await this.requireOn();
    const students = await this.students.lean({ find: '', className: null, year: null, left: false, visible: null });
    const byId = new Map(students.map((student) => [student.id, student]));
    return {
      students: matchPhotos(files, students).map((id) => {
        const found = id === null ? undefined : byId.get(id);
        return found ? { id: found.id, name: found.name, className: found.className } : null;
      }),
    };
  }

  /** @throws ProblemError not-found, unusable-picture */
  async add(studentId: string, picture: string): Promise<StudentView> {
    await this.requireOn();
    const { leftAt } = await this.students.require(studentId);
    if (leftAt !== null) throw notFound('student');
    const { bytes } = await this.decoder.decode({ kind: 'photo', picture: Buffer.from(picture, 'base64'), ...photoPx });
    await this.photos.save({ studentId, bytes: Buffer.from(bytes), addedAt: this.clock.now() });
    return this.students.view(studentId);
  }

  async remove(studentId: string): Promise<StudentView> {
    await this.photos.delete({ studentId });
    return this.students.view(studentId);
  }

  /** JPEG. @throws ProblemError not-found */
  async bytes(studentId: string): Promise<Buffer> {
    const found = (await this.areOn()) ? await this.photos.findOneBy({ studentId }) : null;
    if (!found) throw notFound('photo');
    return found.bytes;
  }

  /** JPEG by the student's id; none while photos are switched off. */
  async load(studentIds: readonly string[]): Promise<ReadonlyMap<string, Buffer>> {
    if (studentIds.length === 0 || !(await this.areOn())) return new Map();
    const rows = await this.photos.findBy({ studentId: In([...studentIds]) });
    return new Map(rows.map(({ studentId, bytes }) => [studentId, bytes]));
  }

  /** Of students who have left, and all of them where the school keeps none. @returns whose they were */
  async removeUnneeded(): Promise<readonly string[]> {
    const query = this.photos
      .createQueryBuilder('photo')
      .select('photo.studentId', 'studentId')
      .innerJoin('photo.student', 'student');
    if (await this.areOn()) query.where('student.leftAt IS NOT NULL');
    const rows = await query.getRawMany<{ studentId: string }>();
    const ids = rows.map(({ studentId }) => studentId);
    if (ids.length > 0) await this.photos.delete({ studentId: In(ids) });
    return ids;
  }

  private async requireOn(): Promise<void> {
    if (!(await this.areOn())) throw new ProblemError('not-found', 'This school keeps no photos of students.');
  }
}
