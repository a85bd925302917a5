import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { FileModule } from '../../gather/file/file.module.js';
import { Material } from '../../gather/material/material.entity.js';
import { SchoolModule } from '../../school/settings/school.module.js';
import { ShortLinkModule } from '../../code/short-link/short-link.module.js';
import { StudentPageController } from './student-page.controller.js';
import { StudentAssets } from './student-assets.js';

@Module({
  imports: [TypeOrmModule.forFeature([Material]), FileModule, SchoolModule, ShortLinkModule],
  controllers: [StudentPageController],
  providers: [StudentAssets],
})
export class StudentPageModule {}
