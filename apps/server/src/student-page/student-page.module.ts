import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { FileModule } from '../file/file.module.js';
import { Material } from '../material/material.entity.js';
import { SchoolModule } from '../school/school.module.js';
import { ShortLinkModule } from '../short-link/short-link.module.js';
import { StudentPageController } from './student-page.controller.js';
import { StudentAssets } from './student-assets.js';

@Module({
  imports: [TypeOrmModule.forFeature([Material]), FileModule, SchoolModule, ShortLinkModule],
  controllers: [StudentPageController],
  providers: [StudentAssets],
})
export class StudentPageModule {}
