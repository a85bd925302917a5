/** The shelf: a teacher's materials with their four answers, in pages. */
import { Injectable } from '@nestjs/common';
import { limits, type ShelfPage } from '@hapset/contract';
import { MaterialFinder, type FindMaterials } from '../../gather/material/material-finder.js';
import { placeAlone } from '../../lessons/station/place.js';
import { StationService } from '../../lessons/station/station.service.js';
import { ReadinessService } from '../readiness/readiness.service.js';
import { MaterialViews } from '../../gather/material/material-views.js';

@Injectable()
export class ShelfService {
  constructor(
    private readonly finder: MaterialFinder,
    private readonly stations: StationService,
    private readonly readiness: ReadinessService,
    private readonly views: MaterialViews,
  ) {}

  async page(ownerId: string, request: FindMaterials): Promise<ShelfPage> {
    const { rows, total } = await this.finder.page(ownerId, request, limits.shelfPage + 1);
    const shown = rows.slice(0, limits.shelfPage);
    const [standings, uses, view] = await Promise.all([
      this.readiness.list(shown.map(placeAlone)),
      this.stations.lessonsOf(shown.map((material) => material.id)),
      this.views.prepare(),
    ]);
    return {
      rows: standings.map(({ place: { material }, code, readiness }) => ({
        material: view(material),
        code,
        readiness,
        lessons: uses.filter((use) => use.materialId === material.id).map(({ id, name }) => ({ id, name })),
      })),
      next: rows.length > shown.length ? (shown.at(-1)?.id ?? null) : null,
      total,
    };
  }
}
