import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LessonModule } from '../../lessons/lesson/lesson.module.js';
import { LookModule } from '../../code/look/look.module.js';
import { Material } from '../../gather/material/material.entity.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { ReadinessModule } from '../../overview/readiness/readiness.module.js';
import { StationModule } from '../../lessons/station/station.module.js';
import { PictureController } from './picture.controller.js';
import { PictureService } from './picture.service.js';
import { WebPictureController } from './web-picture.controller.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([Material]),
    MaterialModule,
    StationModule,
    LessonModule,
    ReadinessModule,
    LookModule,
  ],
  controllers: [PictureController, WebPictureController],
  providers: [PictureService],
})
export class PictureModule {}
