import { Body, Controller, Delete, Param, Patch, Post } from '@nestjs/common';
import type { CreatedView, LessonView } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { ChangeLessonDto, CreateLessonDto } from './lesson.dto.js';
import { LessonService } from './lesson.service.js';
import { toLessonView } from './lesson.view.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/lessons')
export class LessonController {
  constructor(private readonly lessons: LessonService) {}

  @Post()
  async create(@Body() body: CreateLessonDto, @Who() who: SignedIn): Promise<CreatedView> {
    return { id: await this.lessons.create(body, who.id) };
  }

  @Patch(':lessonId')
  async change(@Param('lessonId') lessonId: string, @Body() body: ChangeLessonDto): Promise<LessonView> {
    return toLessonView(await this.lessons.change(lessonId, body));
  }

  @Delete(':lessonId')
  async remove(@Param('lessonId') lessonId: string): Promise<null> {
    await this.lessons.remove(lessonId);
    return null;
  }

  @Post(':lessonId/restore')
  async restore(@Param('lessonId') lessonId: string): Promise<null> {
    await this.lessons.restore(lessonId);
    return null;
  }
}
