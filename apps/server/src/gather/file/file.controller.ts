import { Body, Controller, Delete, Get, Inject, Param, Patch, Post, Query } from '@nestjs/common';
import { limits, type FilesPage, type FileView } from '@hapset/contract';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { Who } from '../../school/rights/who.decorator.js';
import { AddFileDto, RenameFileDto, ReplaceFileDto } from './file.dto.js';
import { FileService } from './file.service.js';
import { toFileView } from './file.view.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api/files')
export class FileController {
  constructor(
    private readonly files: FileService,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  @Get()
  async list(@Who() who: SignedIn, @Query('after') after?: string): Promise<FilesPage> {
    const rows = await this.files.list(who.id, typeof after === 'string' ? after : null);
    const shown = rows.slice(0, limits.shelfPage);
    const uses = await this.files.usesOf(shown.map((file) => file.id));
    const { fileLimitBytes, teacherLimitBytes } = this.configuration;
    return {
      rows: shown.map((file) => toFileView(file, uses)),
      next: rows.length > shown.length ? (shown.at(-1)?.id ?? null) : null,
      usedBytes: await this.files.usedBytes(who.id),
      fileLimitBytes,
      teacherLimitBytes,
    };
  }

  @Post()
  async add(@Body() body: AddFileDto, @Who() who: SignedIn): Promise<FileView> {
    return toFileView(await this.files.add(body.uploadId, body.name, who.id));
  }

  @Patch(':fileId')
  async rename(@Param('fileId') fileId: string, @Body() body: RenameFileDto): Promise<FileView> {
    return toFileView(await this.files.rename(fileId, body.name, body.version));
  }

  @Post(':fileId/content')
  async replace(
    @Param('fileId') fileId: string,
    @Body() body: ReplaceFileDto,
    @Who() who: SignedIn,
  ): Promise<FileView> {
    return toFileView(await this.files.replace(fileId, body, who.id));
  }

  @Delete(':fileId')
  async remove(@Param('fileId') fileId: string): Promise<null> {
    await this.files.remove(fileId);
    return null;
  }

  @Post(':fileId/restore')
  async restore(@Param('fileId') fileId: string): Promise<null> {
    await this.files.restore(fileId);
    return null;
  }
}
