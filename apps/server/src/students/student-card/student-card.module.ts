import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Retention, rowsBefore } from '../../school/retention/retention.js';
import { DeviceModule } from '../../school/device/device.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { SheetModule } from '../../paper/sheet/sheet.module.js';
import { StudentModule } from '../student/student.module.js';
import { CardReading } from './card-reading.entity.js';
import { CardPlanner } from './card-planner.js';
import { CardReadingService } from './card-reading.service.js';
import { CardTokens } from './card-tokens.js';
import { StudentPhotoModule } from '../student-photo/student-photo.module.js';
import { PhotoRemoval } from './photo-removal.js';
import { PrintedCard } from './printed-card.entity.js';
import { StudentCardController } from './student-card.controller.js';
import { StudentCard } from './student-card.entity.js';
import { StudentCardService } from './student-card.service.js';
import { StudentCopyController } from './student-copy.controller.js';
import { StudentCopies } from './student-copy.js';
import { StudentErasure } from './student-erasure.service.js';
import { PrintedCards } from './printed-cards.js';

@Module({
  imports: [
    TypeOrmModule.forFeature([StudentCard, PrintedCard, CardReading]),
    StudentModule,
    StudentPhotoModule,
    SheetModule,
    DeviceModule,
    SchoolModule,
  ],
  controllers: [StudentCardController, StudentCopyController],
  providers: [
    StudentCardService,
    PrintedCards,
    CardPlanner,
    CardTokens,
    CardReadingService,
    StudentErasure,
    StudentCopies,
    PhotoRemoval,
  ],
})
export class StudentCardModule {
  constructor(retention: Retention) {
    retention.add('readings', rowsBefore('card_readings', 'read_at'));
  }
}
