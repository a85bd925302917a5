import { Module } from '@nestjs/common';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { LookModule } from '../../code/look/look.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { PictureController } from './picture.controller.js';
import { PictureService } from './picture.service.js';
import { WebPictureController } from './web-picture.controller.js';
import { PlacedCodeModule } from '../../reads/placed-code/placed-code.module.js';

@Module({
  imports: [MaterialModule, StationModule, LessonModule, PlacedCodeModule, LookModule],
  controllers: [PictureController, WebPictureController],
  providers: [PictureService],
})
export class PictureModule {}
