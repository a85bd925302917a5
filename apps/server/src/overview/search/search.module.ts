import { Module } from '@nestjs/common';
import { MaterialModule } from '../../gather/material/material.module.js';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { SearchController } from './search.controller.js';
import { SearchService } from './search.service.js';

@Module({
  imports: [MaterialModule, LessonModule, StationModule],
  controllers: [SearchController],
  providers: [SearchService],
})
export class SearchModule {}
