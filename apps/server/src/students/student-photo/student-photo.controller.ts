import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Res } from '@nestjs/common';
import type { PhotoMatches, StudentView } from '@hapset/contract';
import type { Response } from 'express';
import { OfficeOnly } from '../../school/rights/access.decorators.js';
import { AddPhotoDto, MatchPhotosDto } from './student-photo.dto.js';
import { StudentPhotoService } from './student-photo.service.js';

@Controller('api')
export class StudentPhotoController {
  constructor(private readonly photos: StudentPhotoService) {}

  @OfficeOnly()
  @Post('photo-matches')
  @HttpCode(200)
  match(@Body() { files }: MatchPhotosDto): Promise<PhotoMatches> {
    return this.photos.match(files);
  }

  @Get('students/:studentId/photo')
  async photo(@Param('studentId') studentId: string, @Res() response: Response): Promise<void> {
    response
      .set({ 'Content-Type': 'image/jpeg', 'Cache-Control': 'private, no-store' })
      .send(await this.photos.bytes(studentId));
  }

  @OfficeOnly()
  @Put('students/:studentId/photo')
  add(@Param('studentId') studentId: string, @Body() { picture }: AddPhotoDto): Promise<StudentView> {
    return this.photos.add(studentId, picture);
  }

  @OfficeOnly()
  @Delete('students/:studentId/photo')
  remove(@Param('studentId') studentId: string): Promise<StudentView> {
    return this.photos.remove(studentId);
  }
}
