import { Controller, Delete, Get, Header, Param, Post, StreamableFile } from '@nestjs/common';
import type { AccessCheckView, EarlierCheck } from '@hapset/contract';
import { MaterialService } from '../../gather/material/material.service.js';
import { StationService } from '../../lessons/station/station.service.js';
import { ViewPictures } from './view-pictures.js';
import { AccessCheckService } from './access-check.service.js';
import { toEarlierCheck } from './access-check.view.js';
import { MaterialFinder } from '../../gather/material/material-finder.js';
import { Who } from '../../school/rights/who.decorator.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

@Controller('api')
export class AccessCheckController {
  constructor(
    private readonly checks: AccessCheckService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
    private readonly finder: MaterialFinder,
    private readonly views: ViewPictures,
  ) {}

  /** The check that waits now; null for words, which need none. */
  @Post('materials/:materialId/access-checks')
  async openMaterial(@Param('materialId') materialId: string): Promise<AccessCheckView | null> {
    const material = await this.materials.require(materialId);
    await this.checks.enqueue([material]);
    const pending = (await this.checks.lastOf([material])).get(materialId)?.pending;
    return pending ? this.checks.view(pending, material) : null;
  }

  /** What was found before, the newest first. */
  @Get('materials/:materialId/access-checks')
  async earlier(@Param('materialId') materialId: string): Promise<readonly EarlierCheck[]> {
    return (await this.checks.earlierOf(materialId)).map(toEarlierCheck);
  }

  @Get('access-checks/:accessCheckId/picture')
  @Header('Content-Type', 'image/webp')
  @Header('Cache-Control', 'private, max-age=86400, immutable')
  async picture(@Param('accessCheckId') accessCheckId: string): Promise<StreamableFile> {
    return new StreamableFile(await this.checks.requirePicture(accessCheckId));
  }

  @Get('access-checks/:accessCheckId/student-view')
  @Header('Content-Type', 'image/jpeg')
  @Header('Cache-Control', 'private, max-age=86400, immutable')
  async studentView(@Param('accessCheckId') accessCheckId: string): Promise<StreamableFile> {
    return new StreamableFile(await this.views.open(accessCheckId));
  }

  @Post('lessons/:lessonId/access-checks')
  async openLesson(@Param('lessonId') lessonId: string): Promise<null> {
    await this.checks.enqueue(await this.stations.materialsOf(lessonId));
    return null;
  }

  @Delete('lessons/:lessonId/access-checks')
  async stopOpeningLesson(@Param('lessonId') lessonId: string): Promise<null> {
    await this.checks.stop(await this.stations.materialsOf(lessonId));
    return null;
  }

  /** A tag is a word, no id: it means the caller's own materials only. */
  @Post('tags/:tag/access-checks')
  async openTagged(@Param('tag') tag: string, @Who() who: SignedIn): Promise<null> {
    await this.checks.enqueue(await this.finder.listTagged(who.id, tag));
    return null;
  }
}
