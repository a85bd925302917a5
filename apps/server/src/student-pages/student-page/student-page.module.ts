import { Module } from '@nestjs/common';
import { FileModule } from '../../gather/file/file.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { TryoutResultsModule } from '../../reads/tryout-results/tryout-results.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { StudentPageController } from './student-page.controller.js';
import { StudentAssets } from './student-assets.js';

@Module({
  imports: [FileModule, MaterialModule, SchoolModule, TryoutResultsModule],
  controllers: [StudentPageController],
  providers: [StudentAssets],
  exports: [StudentAssets],
})
export class StudentPageModule {}
