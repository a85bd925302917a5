/** The page of a material, the same inside and outside a lesson, put together from what other nouns know. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { MaterialPage, MaterialView, StationPlace } from '@hapset/contract';
import { ladderOf, levelChoices, newSlugLength, shortAddress, shortBase } from '@hapset/core';
import { Repository } from 'typeorm';
import { toAccessCheckView } from '../../opens/access-check/access-check.view.js';
import { toPicturesView } from '../../paper/picture/picture.view.js';
import { ReadinessService, type Standing } from '../readiness/readiness.service.js';
import type { Place } from '../readiness/standing.js';
import { ShortLinkService } from '../../code/short-link/short-link.service.js';
import type { School } from '../../school/settings/school.entity.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { Sheet } from '../../paper/sheet/sheet.entity.js';
import { toSheetView } from '../../paper/sheet/sheet.view.js';
import { KeptViews } from '../../gather/material/kept.view.js';
import { addressOf } from '../../gather/material/material-address.js';
import type { Material } from '../../gather/material/material.entity.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { toMaterialView } from '../../gather/material/material.view.js';

const sheetsShown = 5;
/** Stands for a short link that is not made yet: as long, and of the same mode. */

@Injectable()
export class MaterialPageService {
  constructor(
    @InjectRepository(Sheet) private readonly sheets: Repository<Sheet>,
    private readonly readiness: ReadinessService,
    private readonly materials: MaterialService,
    private readonly school: SchoolService,
    private readonly services: ServiceDescriptionService,
    private readonly kept: KeptViews,
    private readonly shortLinks: ShortLinkService,
  ) {}

  async view(material: Material): Promise<MaterialView> {
    const [catalogue, { publicAddress }] = await Promise.all([this.services.catalogue(), this.school.get()]);
    return toMaterialView(material, catalogue, publicAddress);
  }

  async standing(place: Place): Promise<Standing> {
    const [standing] = await this.readiness.of([place]);
    if (!standing) throw new Error('one place has one standing');
    return standing;
  }

  /** @param station where the material hangs; null on its own */
  async page(place: Place, station: StationPlace | null): Promise<MaterialPage> {
    const { material } = place;
    const where = station ? { stationId: station.stationId } : { materialId: material.id };
    const [standing, uses, sheets, school, catalogue, shortLink] = await Promise.all([
      this.standing(place),
      this.materials.lessonsOf([material.id]),
      this.sheets.find({ where, relations: { print: true }, order: { id: 'DESC' }, take: sheetsShown }),
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
function slugToCome({ publicAddress, shortLinkHost }: Pick<School, 'publicAddress' | 'shortLinkHost'>): string {
  return 'K'.repeat(newSlugLength(shortBase(publicAddress, shortLinkHost)));
}
