/** The page of a material, the same inside and outside a lesson, put together from what other nouns know. */
import { Injectable } from '@nestjs/common';
import type { MaterialPage, StationPlace } from '@hapset/contract';
import { ladderOf, levelChoices, newSlugLength, shortAddress, shortBase } from '@hapset/core';
import { toAccessCheckView } from '../../opens/access-check/access-check.view.js';
import { toPicturesView } from '../../paper/picture/picture.view.js';
import { ShortLinkService } from '../../code/short-link/short-link.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { toSheetView } from '../../paper/sheet/sheet.view.js';
import { KeptViews } from '../../gather/material/kept.view.js';
import { addressOf } from '../../gather/material/material-address.js';
import { toMaterialView } from '../../gather/material/material.view.js';
import type { Place } from '../../lessons/station/place.js';
import { ReadinessService } from '../readiness/readiness.service.js';
import { StationService } from '../../lessons/station/station.service.js';
import { SheetService } from '../../paper/sheet/sheet.service.js';
import type { SchoolRecord } from '../../school/settings/school-record.js';

const sheetsShown = 5;

@Injectable()
export class MaterialPageService {
  constructor(
    private readonly readiness: ReadinessService,
    private readonly stations: StationService,
    private readonly sheets: SheetService,
    private readonly school: SchoolService,
    private readonly services: ServiceDescriptionService,
    private readonly kept: KeptViews,
    private readonly shortLinks: ShortLinkService,
  ) {}

  /** @param station where the material hangs; null on its own */
  async page(place: Place, station: StationPlace | null): Promise<MaterialPage> {
    const { material } = place;
    const where = station ? { stationId: station.stationId } : { materialId: material.id };
    const [standing, uses, sheets, school, catalogue, shortLink] = await Promise.all([
      this.readiness.find(place),
      this.stations.lessonsOf([material.id]),
      this.sheets.listOf(where, sheetsShown),
      this.school.get(),
      this.services.catalogue(),
      this.shortLinks.view(material),
    ]);
    const check = standing.check ? toAccessCheckView(standing.check, material, catalogue) : null;
    const { sizeMm, distanceM, devices } = standing.rehearsal;
    const address = addressOf(material, school.publicAddress);
    return {
      material: toMaterialView(material, catalogue, school.publicAddress),
      kept: material.kept ? await this.kept.view(material.kept) : null,
      station,
      lessons: uses.map(({ id, name }) => ({ id, name })),
      code: standing.code,
      ladder: ladderOf({
        kind: address === null ? 'words' : 'link',
        payload: address ?? standing.payload,
        trimmed: material.trimmedLink ?? check?.trimmed?.link ?? null,
        short: shortLink?.address ?? shortAddress(school.publicAddress, school.shortLinkHost, slugToCome(school)),
        level: material.level,
        sizeMm,
        distanceM,
        devices,
      }),
      levels: levelChoices(standing.payload, { sizeMm, devices }),
      shortLink,
      look: standing.look,
      pictures:
        standing.code &&
        toPicturesView(standing.code.drawing, standing.look.design, sizeMm, devices, material, school.publicAddress),
      check,
      readiness: standing.readiness,
      rehearsal: standing.rehearsal,
      sheets: sheets.map(toSheetView),
      paper: school.paper,
    };
  }
}

/** As long as the one that would be made. */
function slugToCome({ publicAddress, shortLinkHost }: Pick<SchoolRecord, 'publicAddress' | 'shortLinkHost'>): string {
  return 'K'.repeat(newSlugLength(shortBase(publicAddress, shortLinkHost)));
}
