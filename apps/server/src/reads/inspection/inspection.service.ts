/** Finds what a code that was read is among the materials of the one who asks. Another's materials are never told. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CodeInspection, KnownMaterial } from '@hapset/contract';
import { carriedBy, pageAddress, slugAskedFor, shortBase, parseUrl } from '@hapset/core';
import { IsNull, Repository, type FindOptionsWhere } from 'typeorm';
import { Material } from '../../gather/material/material.entity.js';
import { toCarriable } from '../../gather/material/material-address.js';
import type { School } from '../../school/settings/school.entity.js';
import { SchoolService } from '../../school/settings/school.service.js';

/** Materials with fields are compared by what they carry, the newest first. */
const comparedWithFields = 1000;

interface StationRow {
  readonly materialId: string;
  readonly stationId: string;
  readonly lessonId: string;
  readonly lessonName: string;
  readonly position: string;
}

@Injectable()
export class InspectionService {
  constructor(
    @InjectRepository(Material) private readonly materials: Repository<Material>,
    private readonly school: SchoolService,
  ) {}

  async inspect(payload: string, ownerId: string): Promise<CodeInspection> {
    const school = await this.school.get();
    const found = await this.candidates(payload, ownerId, school);
    const stations = await this.stationsOf(found.map(({ id }) => id));
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

  private async candidates(payload: string, ownerId: string, school: School): Promise<readonly Material[]> {
    const own = { ownerId, removedAt: IsNull() };
    const wanted: FindOptionsWhere<Material>[] = [
      { ...own, link: payload },
      { ...own, trimmedLink: payload },
      { ...own, words: payload },
    ];
    const [slug, pageToken] = [slugOf(payload, school), pageTokenOf(payload, school)];
    if (slug !== null) wanted.push({ ...own, slug });
    if (pageToken !== null) wanted.push({ ...own, pageToken });
    const direct = await this.materials.find({ where: wanted, order: { id: 'DESC' } });
    if (direct.length > 0) return direct;
    const withFields = await this.materials
      .createQueryBuilder('material')
      .where('material.ownerId = :ownerId AND material.removedAt IS NULL AND material.content IS NOT NULL', { ownerId })
      .orderBy('material.id', 'DESC')
      .limit(comparedWithFields)
      .getMany();
    return withFields.filter(
      (material) => carriedBy(toCarriable(material, school), school.timeZone).payload === payload,
    );
  }

  private async stationsOf(materialIds: readonly string[]): Promise<readonly StationRow[]> {
    if (materialIds.length === 0) return [];
    const rows: unknown = await this.materials.query(
      `SELECT ranked.* FROM (
         SELECT stations.id AS stationId, stations.material_id AS materialId, lessons.id AS lessonId, lessons.name AS lessonName,
           ROW_NUMBER() OVER (PARTITION BY lessons.id ORDER BY stations.position, stations.id) AS position
         FROM stations JOIN lessons ON lessons.id = stations.lesson_id
         WHERE stations.removed_at IS NULL AND lessons.removed_at IS NULL
           AND lessons.id IN (SELECT lesson_id FROM stations WHERE material_id IN (${materialIds.map(() => '?').join(',')}) AND removed_at IS NULL)
       ) AS ranked WHERE ranked.materialId IN (${materialIds.map(() => '?').join(',')}) ORDER BY ranked.lessonName, ranked.position`,
      [...materialIds, ...materialIds],
    );
    return rows as StationRow[];
  }
}

/** Of a short link of the school's own, also under a host that it had before; null otherwise. */
function slugOf(payload: string, { publicAddress, shortLinkHost, formerShortHosts }: School): string | null {
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

function pageTokenOf(payload: string, { publicAddress }: School): string | null {
  const before = pageAddress(publicAddress, '');
  return payload.startsWith(before) ? (/^[a-z0-9]{8,20}$/.exec(payload.slice(before.length))?.[0] ?? null) : null;
}
