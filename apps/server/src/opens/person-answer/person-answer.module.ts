import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { MaterialModule } from '../../gather/material/material.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { PersonAnswerController } from './person-answer.controller.js';
import { PersonAnswer } from './person-answer.entity.js';
import { PersonAnswerService } from './person-answer.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([PersonAnswer]), MaterialModule, SchoolModule],
  controllers: [PersonAnswerController],
  providers: [PersonAnswerService],
  exports: [PersonAnswerService],
})
export class PersonAnswerModule {}
