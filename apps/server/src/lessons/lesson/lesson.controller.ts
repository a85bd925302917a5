import { Body, Controller, Delete, Get, Param, Patch, Post, Put, Query } from '@nestjs/common';
import type { BenchView, CreatedView, LessonsPage, LessonView } from '@hapset/contract';
import type { Account } from '../../school/account/account.entity.js';
import { Who } from '../../school/rights/who.decorator.js';
import { ChooseLookDto } from '../../code/look/look.dto.js';
import { LookService } from '../../code/look/look.service.js';
import { BenchService } from '../../overview/bench/bench.service.js';
import { ChangeLessonDto, CreateLessonDto } from './lesson.dto.js';
import { LessonService } from './lesson.service.js';
import { toLessonView } from './lesson.view.js';

@Controller('api/lessons')
export class LessonController {
  constructor(
    private readonly lessons: LessonService,
    private readonly benches: BenchService,
    private readonly looks: LookService,
  ) {}

  @Get()
  list(@Who() who: Account, @Query('after') after?: string): Promise<LessonsPage> {
    return this.benches.list(who.id, typeof after === 'string' ? after : null);
  }

  @Post()
  async create(@Body() body: CreateLessonDto, @Who() who: Account): Promise<CreatedView> {
    return { id: await this.lessons.create(body, who.id) };
  }

  @Get(':lessonId')
  bench(@Param('lessonId') lessonId: string): Promise<BenchView> {
    return this.benches.bench(lessonId);
  }

  @Patch(':lessonId')
  async change(@Param('lessonId') lessonId: string, @Body() body: ChangeLessonDto): Promise<LessonView> {
    return toLessonView(await this.lessons.change(lessonId, body));
  }

  @Put(':lessonId/look')
  async chooseLook(@Param('lessonId') lessonId: string, @Body() { look }: ChooseLookDto): Promise<LessonView> {
    await this.looks.requireChoice(look);
    return toLessonView(await this.lessons.chooseLook(lessonId, look));
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
