/** The page of a material, the same inside and outside a lesson, put together from what other nouns know. */
import { Injectable } from '@nestjs/common';
import type { MaterialPage, StationPlace, ShortLinkView } from '@hapset/contract';
import { ladderOf, levelChoices, newSlugLength, reachShareOf, shortAddress, shortBase } from '@hapset/core';
import { toPicturesView } from '../../paper/picture/picture.view.js';
import { ShortLinkService } from '../../code/short-link/short-link.service.js';
import { toSheetView } from '../../paper/sheet/sheet.view.js';
import { addressOf } from '../../gather/material/material-address.js';
import type { Place } from '../../lessons/station/place.js';
import { StationService } from '../../lessons/station/station.service.js';
import { SheetService } from '../../paper/sheet/sheet.service.js';
import type { SchoolRecord } from '../../school/settings/school-record.js';
import { ReadinessService, type Standing } from '../readiness/readiness.service.js';
import { MaterialViews } from '../../gather/material/material-views.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';

const sheetsShown = 5;

@Injectable()
export class MaterialPageService {
  constructor(
    private readonly readiness: ReadinessService,
    private readonly stations: StationService,
    private readonly sheets: SheetService,
    private readonly views: MaterialViews,
    private readonly checks: AccessCheckService,
    private readonly shortLinks: ShortLinkService,
  ) {}

  /** @param station where the material hangs; null on its own */
  async page(place: Place, station: StationPlace | null): Promise<MaterialPage> {
    const { material } = place;
    const where = station ? { stationId: station.stationId } : { materialId: material.id };
    const [standing, uses, sheets, view, kept, shortLink] = await Promise.all([
      this.readiness.find(place),
      this.stations.lessonsOf([material.id]),
      this.sheets.listOf(where, sheetsShown),
      this.views.view(material),
      this.views.kept(material),
      this.shortLinks.view(material),
    ]);
    const check = standing.check ? await this.checks.view(standing.check, material) : null;
    const { code, look, readiness, rehearsal, school } = standing;
    return {
      material: view,
      kept,
      station,
      lessons: uses.map(({ id, name, date }) => ({ id, name, date })),
      code,
      ladder: ladderOf(ladderRequest(standing, shortLink, check?.trimmed?.link ?? null)),
      levels: levelChoices(standing.payload, printedAs(standing)),
      shortLink,
      look,
      pictures: picturesOf(standing),
      check,
      readiness,
      rehearsal,
      sheets: sheets.map(toSheetView),
      paper: school.paper,
    };
  }
}

/** @param proven the link without what only counts visitors, as the last check proved it */
function ladderRequest(
  standing: Standing,
  shortLink: ShortLinkView | null,
  proven: string | null,
): Parameters<typeof ladderOf>[0] {
  const { payload, rehearsal, school } = standing;
  const { material } = standing.place;
  const address = addressOf(material, school.publicAddress);
  return {
    kind: address === null ? 'words' : 'link',
    payload: address ?? payload,
    trimmed: material.trimmedLink ?? proven,
    short: shortLink?.address ?? shortAddress(school.publicAddress, school.shortLinkHost, slugToCome(school)),
    level: material.level,
    distanceM: rehearsal.distanceM,
    ...printedAs(standing),
  };
}

function printedAs({ sizeMmOf, look, rehearsal: { devices } }: Standing): Parameters<typeof levelChoices>[1] {
  return { sizeMmOf, reachShare: reachShareOf(look.design), devices };
}

function picturesOf({ code, look, rehearsal, place, school }: Standing): MaterialPage['pictures'] {
  if (!code) return null;
  const { sizeMm, devices } = rehearsal;
  const printed = { drawing: code.drawing, look: look.design, sizeMm, devices };
  return toPicturesView(printed, place.material, school.publicAddress);
}

/** As long as the one that would be made. */
function slugToCome({ publicAddress, shortLinkHost }: Pick<SchoolRecord, 'publicAddress' | 'shortLinkHost'>): string {
  return 'K'.repeat(newSlugLength(shortBase(publicAddress, shortLinkHost)));
}
