import { Controller, Get, Param, Res } from '@nestjs/common';
import type { Response } from 'express';
import { Clock } from '../../platform/clock/clock.js';
import { nameFile } from '../../paper/picture/send-file.js';
import { ActivityService } from '../../school/activity/activity.service.js';
import { OfficeOnly, PasswordConfirmed } from '../../school/rights/access.decorators.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { Who } from '../../school/rights/who.decorator.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { studentCopyHtml } from './student-copy.html.js';
import { StudentCopies } from './student-copy.js';

@Controller('api/students/:studentId/copy')
export class StudentCopyController {
  constructor(
    private readonly copies: StudentCopies,
    private readonly school: SchoolService,
    private readonly activity: ActivityService,
    private readonly clock: Clock,
  ) {}

  /** A page as a file, whose name says nobody's. */
  @OfficeOnly()
  @PasswordConfirmed()
  @Get()
  async copy(@Param('studentId') studentId: string, @Who() who: SignedIn, @Res() response: Response): Promise<void> {
    const copy = await this.copies.find(studentId);
    const { name, timeZone, language } = await this.school.get();
    await this.activity.note(who, 'student-copied', '1');
    const page = studentCopyHtml(copy, { schoolName: name, timeZone, language, madeAt: this.clock.now() });
    nameFile(response, {
      type: 'text/html; charset=utf-8',
      name: 'About a student.html',
      disposition: 'attachment',
    }).send(page);
  }
}
