import { Body, Controller, Delete, Get, Param, Patch, Post, Put, Res } from '@nestjs/common';
import type { LookPictureView, LooksView, LookView } from '@hapset/contract';
import type { Response } from 'express';
import { AdministratorOnly } from '../../school/rights/access.decorators.js';
import { Who } from '../../school/rights/who.decorator.js';
import { AllowLookDto, AddLookPictureDto, ChangeLookDto, CreateLookDto, LookRulesDto } from './look.dto.js';
import { LookPictureService } from './look-picture.service.js';
import { LookService } from './look.service.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api')
export class LookController {
  constructor(
    private readonly looks: LookService,
    private readonly pictures: LookPictureService,
  ) {}

  @Get('looks')
  list(@Who() who: SignedIn): Promise<LooksView> {
    return this.looks.list(who);
  }

  @Post('looks')
  create(@Body() body: CreateLookDto, @Who() who: SignedIn): Promise<LookView> {
    return this.looks.create(body, who);
  }

  @Put('looks/:lookId')
  change(@Param('lookId') lookId: string, @Body() body: ChangeLookDto, @Who() who: SignedIn): Promise<LookView> {
    return this.looks.change(lookId, body, who);
  }

  @AdministratorOnly()
  @Patch('looks/:lookId')
  allow(@Param('lookId') lookId: string, @Body() body: AllowLookDto, @Who() who: SignedIn): Promise<LookView> {
    return this.looks.allow(lookId, body.allowed, who);
  }

  @Delete('looks/:lookId')
  async remove(@Param('lookId') lookId: string, @Who() who: SignedIn): Promise<null> {
    await this.looks.remove(lookId, who);
    return null;
  }

  @Post('looks/:lookId/restore')
  async restore(@Param('lookId') lookId: string, @Who() who: SignedIn): Promise<null> {
    await this.looks.restore(lookId, who);
    return null;
  }

  @AdministratorOnly()
  @Put('look-rules')
  changeRules(@Body() body: LookRulesDto, @Who() who: SignedIn): Promise<LooksView> {
    return this.looks.changeRules(body, who);
  }

  @Post('look-pictures')
  add(@Body() body: AddLookPictureDto, @Who() who: SignedIn): Promise<LookPictureView> {
    return this.pictures.add(body.uploadId, who.id);
  }

  @Get('look-pictures/:lookPictureId')
  async picture(@Param('lookPictureId') id: string, @Res() response: Response): Promise<void> {
    // It never changes: another picture has another id.
    response
      .set({ 'Content-Type': 'image/png', 'Cache-Control': 'private, max-age=31536000, immutable' })
      .send(await this.pictures.bytes(id));
  }
}
