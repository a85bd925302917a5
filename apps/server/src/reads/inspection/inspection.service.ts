/** Finds what a code that was read is among the materials of the one who asks. Another's materials are never told. */
import { Injectable } from '@nestjs/common';
import type { CodeInspection, KnownMaterial } from '@hapset/contract';
import { carriedBy, pageAddress, slugAskedFor, shortBase, parseUrl } from '@hapset/core';
import { toCarriable } from '../../gather/material/material-address.js';
import { SchoolService } from '../../school/settings/school.service.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { SchoolRecord } from '../../school/settings/school-record.js';
import { MaterialFinder } from '../../gather/material/material-finder.js';
import { StationService } from '../../lessons/station/station.service.js';

/** Materials with fields are compared by what they carry, the newest first. */
const comparedWithFields = 1000;

@Injectable()
export class InspectionService {
  constructor(
    private readonly materials: MaterialFinder,
    private readonly stations: StationService,
    private readonly school: SchoolService,
  ) {}

  async inspect(payload: string, ownerId: string): Promise<CodeInspection> {
    const school = await this.school.get();
    const found = await this.candidates(payload, ownerId, school);
    const stations = await this.stations.listPositions(found.map(({ id }) => id));
    const known = found.map((material): KnownMaterial => ({
      materialId: material.id,
      title: material.title,
      exact: carriedBy(toCarriable(material, school), school.timeZone).payload === payload,
      stations: stations
        .filter(({ materialId }) => materialId === material.id)
        .map(({ stationId, lessonId, lessonName, position }) => ({
          stationId,
          lessonId,
          lessonName,
          position: Number(position),
        })),
    }));
    return { known: known.sort((one, other) => Number(other.exact) - Number(one.exact)) };
  }

  private async candidates(payload: string, ownerId: string, school: SchoolRecord): Promise<readonly MaterialRecord[]> {
    const [slug, pageToken] = [slugOf(payload, school), pageTokenOf(payload, school)];
    const direct = await this.materials.listCarrying(ownerId, { text: payload, slug, pageToken });
    if (direct.length > 0) return direct;
    const withFields = await this.materials.listWithFields(ownerId, comparedWithFields);
    return withFields.filter(
      (material) => carriedBy(toCarriable(material, school), school.timeZone).payload === payload,
    );
  }
}

/** Of a short link of the school's own, also under a host that it had before; null otherwise. */
function slugOf(payload: string, { publicAddress, shortLinkHost, formerShortHosts }: SchoolRecord): string | null {
  const url = parseUrl(payload);
  if (!url) return null;
  const { host, pathname } = url;
  const rootHosts = [shortLinkHost, ...(formerShortHosts ?? [])].flatMap((known) =>
    known === null || known === '' ? [] : [known.toLowerCase()],
  );
  if (rootHosts.includes(host)) return slugAskedFor(pathname, true);
  const base = new URL(shortBase(publicAddress, null));
  return host === base.host && pathname.toLowerCase().startsWith(base.pathname.toLowerCase())
    ? slugAskedFor(`/k/${pathname.slice(base.pathname.length)}`, false)
    : null;
}

function pageTokenOf(payload: string, { publicAddress }: SchoolRecord): string | null {
  const before = pageAddress(publicAddress, '');
  return payload.startsWith(before) ? (/^[a-z0-9]{8,20}$/.exec(payload.slice(before.length))?.[0] ?? null) : null;
}
