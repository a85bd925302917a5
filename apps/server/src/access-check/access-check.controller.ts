import { Controller, Delete, Param, Post } from '@nestjs/common';
import type { AccessCheckView } from '@hapset/contract';
import { MaterialService } from '../material/material.service.js';
import { ServiceDescriptionService } from '../service-description/service-description.service.js';
import { StationService } from '../station/station.service.js';
import { AccessCheckService } from './access-check.service.js';
import { toAccessCheckView } from './access-check.view.js';

@Controller('api')
export class AccessCheckController {
  constructor(
    private readonly checks: AccessCheckService,
    private readonly materials: MaterialService,
    private readonly stations: StationService,
    private readonly services: ServiceDescriptionService,
  ) {}

  /** The check that waits now; null for words, which need none. */
  @Post('materials/:materialId/access-checks')
  async openMaterial(@Param('materialId') materialId: string): Promise<AccessCheckView | null> {
    const material = await this.materials.require(materialId);
    await this.checks.ask([material]);
    const pending = (await this.checks.lastOf([material])).get(materialId)?.pending;
    return pending ? toAccessCheckView(pending, await this.services.catalogue()) : null;
  }

  @Post('lessons/:lessonId/access-checks')
  async openLesson(@Param('lessonId') lessonId: string): Promise<null> {
    await this.checks.ask(await this.stations.materialsOf(lessonId));
    return null;
  }

  @Delete('lessons/:lessonId/access-checks')
  async stopOpeningLesson(@Param('lessonId') lessonId: string): Promise<null> {
    await this.checks.stop(await this.stations.materialsOf(lessonId));
    return null;
  }
}
