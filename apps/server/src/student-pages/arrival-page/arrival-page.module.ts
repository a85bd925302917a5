import { Module } from '@nestjs/common';
import { ArrivalModule } from '../../school/arrival/arrival.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { VisitorModule } from '../../school/visitor/visitor.module.js';
import { StudentPageModule } from '../student-page/student-page.module.js';
import { ArrivalPageController } from './arrival-page.controller.js';

@Module({
  imports: [ArrivalModule, SchoolModule, VisitorModule, StudentPageModule],
  controllers: [ArrivalPageController],
})
export class ArrivalPageModule {}
