import { Body, Controller, Param, Put } from '@nestjs/common';
import type { LessonView } from '@hapset/contract';
import { LessonService } from '../../lessons/lesson/lesson.service.js';
import { toLessonView } from '../../lessons/lesson/lesson.view.js';
import { ChooseLookDto } from './look.dto.js';
import { LookService } from './look.service.js';

@Controller('api/lessons')
export class LessonLookController {
  constructor(
    private readonly lessons: LessonService,
    private readonly looks: LookService,
  ) {}

  @Put(':lessonId/look')
  async choose(@Param('lessonId') lessonId: string, @Body() { look }: ChooseLookDto): Promise<LessonView> {
    await this.looks.requireChoice(look);
    return toLessonView(await this.lessons.chooseLook(lessonId, look));
  }
}
