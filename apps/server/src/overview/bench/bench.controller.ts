import { Controller, Get, Param, Query } from '@nestjs/common';
import type { BenchView, LessonsPage } from '@hapset/contract';
import { Who } from '../../school/rights/who.decorator.js';
import { BenchService } from './bench.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/lessons')
export class BenchController {
  constructor(private readonly benches: BenchService) {}

  @Get()
  list(@Who() who: SignedIn, @Query('after') after?: string): Promise<LessonsPage> {
    return this.benches.list(who.id, typeof after === 'string' ? after : null);
  }

  @Get(':lessonId')
  bench(@Param('lessonId') lessonId: string): Promise<BenchView> {
    return this.benches.bench(lessonId);
  }
}
