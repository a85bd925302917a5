import { Controller, Delete, Head, Param, Patch, Post, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { FileService } from './file.service.js';
import { Who } from '../../school/rights/who.decorator.js';
import { UploadService } from '../upload/upload.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

/** The tus protocol (resumable uploads) under /api/uploads. */
@Controller('api/uploads')
export class UploadController {
  constructor(
    private readonly uploads: UploadService,
    private readonly files: FileService,
  ) {}

  @Post()
  async begin(@Req() request: Request, @Res() response: Response, @Who() who: SignedIn): Promise<void> {
    await this.uploads.begin(request, response, who.id, await this.files.usedBytes(who.id));
  }

  @Head(':uploadId')
  async progress(@Req() request: Request, @Res() response: Response): Promise<void> {
    await this.uploads.handle(request, response);
  }

  @Patch(':uploadId')
  async goOn(@Req() request: Request, @Res() response: Response): Promise<void> {
    await this.uploads.handle(request, response);
  }

  @Delete(':uploadId')
  async end(@Param('uploadId') uploadId: string): Promise<null> {
    await this.uploads.end(uploadId);
    return null;
  }
}
