import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { FileModule } from '../file/file.module.js';
import { MaterialModule } from '../material/material.module.js';
import { EarlierPage } from './earlier-page.entity.js';
import { WrittenPageController } from './written-page.controller.js';
import { WrittenPageService } from './written-page.service.js';

@Module({
  imports: [TypeOrmModule.forFeature([EarlierPage]), MaterialModule, FileModule],
  controllers: [WrittenPageController],
  providers: [WrittenPageService],
})
export class WrittenPageModule {}
