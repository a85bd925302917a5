import { Module } from '@nestjs/common';
import { FileModule } from '../../gather/file/file.module.js';
import { MaterialModule } from '../../gather/material/material.module.js';
import { TryoutResultsModule } from '../../reads/tryout-results/tryout-results.module.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { StudentPageController } from './student-page.controller.js';
import { ScriptFonts } from './script-fonts.js';
import { StudentAssets } from './student-assets.js';
import { StudentPages } from './student-pages.js';

@Module({
  imports: [FileModule, MaterialModule, SchoolModule, TryoutResultsModule],
  controllers: [StudentPageController],
  providers: [StudentAssets, StudentPages, ScriptFonts],
  exports: [StudentAssets],
})
export class StudentPageModule {}
