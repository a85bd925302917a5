import { Body, Controller, Delete, Get, HttpCode, Param, Post, Res } from '@nestjs/common';
import type {
  CardReadingsPage,
  CardsPreview,
  PrintView,
  ReadCardView,
  StudentGroups,
  StudentView,
} from '@hapset/contract';
import type { Response } from 'express';
import { ActivityService } from '../../school/activity/activity.service.js';
import { OfficeOnly, PasswordConfirmed } from '../../school/rights/access.decorators.js';
import { Who } from '../../school/rights/who.decorator.js';
import { nameFile } from '../../paper/picture/send-file.js';
import { PrintList } from '../../paper/sheet/print-list.js';
import { CardReadingService } from './card-reading.service.js';
import { EraseStudentsDto, MakeCardsDto, PreviewCardsDto, ReadCardDto } from './student-card.dto.js';
import { StudentService } from '../student/student.service.js';
import { StudentCardService } from './student-card.service.js';
import { StudentErasure } from './student-erasure.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api')
export class StudentCardController {
  constructor(
    private readonly cards: StudentCardService,
    private readonly readings: CardReadingService,
    private readonly erasure: StudentErasure,
    private readonly students: StudentService,
    private readonly prints: PrintList,
    private readonly activity: ActivityService,
  ) {}

  @Post('student-card-previews')
  @HttpCode(200)
  preview(@Body() { request, page }: PreviewCardsDto, @Who() who: SignedIn): Promise<CardsPreview> {
    return this.cards.preview(request, page, who);
  }

  @Post('student-cards')
  async make(@Body() { request }: MakeCardsDto, @Who() who: SignedIn): Promise<PrintView> {
    return this.prints.viewOf((await this.cards.make(request, who)).id);
  }

  @OfficeOnly()
  @PasswordConfirmed()
  @Delete('students/:studentId')
  async erase(@Param('studentId') studentId: string, @Who() who: SignedIn): Promise<null> {
    await this.erasure.erase([studentId]);
    await this.activity.note(who, 'students-erased', '1');
    return null;
  }

  @OfficeOnly()
  @PasswordConfirmed()
  @Post('student-erasures')
  @HttpCode(200)
  async eraseGroup(@Body() { className }: EraseStudentsDto, @Who() who: SignedIn): Promise<StudentGroups> {
    const erased = await this.erasure.eraseGroup(className);
    await this.activity.note(who, 'students-erased', String(erased));
    return this.students.groups(null);
  }

  @Delete('students/:studentId/card')
  replace(@Param('studentId') studentId: string): Promise<StudentView> {
    return this.cards.replace(studentId);
  }

  @Post('card-readings')
  @HttpCode(200)
  read(@Body() { text, typed, waitedMs }: ReadCardDto, @Who() who: SignedIn): Promise<ReadCardView> {
    return this.readings.read({ text, typed: typed ?? false, waitedMs: waitedMs ?? 0 }, who);
  }

  @Get('card-readings')
  list(@Who() who: SignedIn): Promise<CardReadingsPage> {
    return this.readings.list(who.id);
  }

  @Get('card-readings.csv')
  async csv(@Who() who: SignedIn, @Res() response: Response): Promise<void> {
    nameFile(response, {
      type: 'text/csv; charset=utf-8',
      name: 'Cards that were read.csv',
      disposition: 'attachment',
    }).send(await this.readings.csv(who.id));
  }

  @Delete('card-readings/:cardReadingId')
  async remove(@Param('cardReadingId') id: string): Promise<null> {
    await this.readings.remove(id);
    return null;
  }
}
