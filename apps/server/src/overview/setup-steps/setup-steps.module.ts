import { Module } from '@nestjs/common';
import { ServiceDescriptionModule } from '../../gather/service-description/service-description.module.js';
import { ArrivalModule } from '../../school/arrival/arrival.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { SetupStepsController } from './setup-steps.controller.js';

@Module({ imports: [SchoolModule, ArrivalModule, ServiceDescriptionModule], controllers: [SetupStepsController] })
export class SetupStepsModule {}
