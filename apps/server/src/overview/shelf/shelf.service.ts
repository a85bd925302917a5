/** The shelf: a teacher's materials, newest first, found as one types, in pages. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { limits, type ShelfPage, type TagView } from '@hapset/contract';
import { Repository, type SelectQueryBuilder } from 'typeorm';
import { ReadinessService } from '../readiness/readiness.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { Material } from '../../gather/material/material.entity.js';
import { MaterialService } from '../../gather/material/material.service.js';
import { toMaterialView } from '../../gather/material/material.view.js';

const hasTag = 'JSON_CONTAINS(material.tags, JSON_QUOTE(:tag))';

export interface ShelfWish {
  readonly find: string;
  readonly tag: string | null;
  /** The `next` of the page before. */
  readonly after: string | null;
}

@Injectable()
export class ShelfService {
  constructor(
    @InjectRepository(Material) private readonly repository: Repository<Material>,
    private readonly materials: MaterialService,
    private readonly readiness: ReadinessService,
    private readonly services: ServiceDescriptionService,
    private readonly school: SchoolService,
  ) {}

  async page(ownerId: string, { find, tag, after }: ShelfWish): Promise<ShelfPage> {
    const query = this.find(ownerId, find);
    if (tag !== null) query.andWhere(hasTag, { tag });
    const total = await query.getCount();
    if (after !== null) query.andWhere('material.id < :after', { after });
    const rows = await query
      .orderBy('material.id', 'DESC')
      .limit(limits.shelfPage + 1)
      .getMany();
    const shown = rows.slice(0, limits.shelfPage);
    const [standings, uses, catalogue, { publicAddress }] = await Promise.all([
      this.readiness.of(shown.map((material) => ({ material, station: null, lesson: null }))),
      this.materials.lessonsOf(shown.map((material) => material.id)),
      this.services.catalogue(),
      this.school.get(),
    ]);
    return {
      rows: standings.map(({ place: { material }, code, readiness }) => ({
        material: toMaterialView(material, catalogue, publicAddress),
        code,
        readiness,
        lessons: uses.filter((use) => use.materialId === material.id).map(({ id, name }) => ({ id, name })),
      })),
      next: rows.length > shown.length ? (shown.at(-1)?.id ?? null) : null,
      total,
    };
  }

  /** The owner's tags with how many materials each has, by name. */
  async tags(ownerId: string): Promise<readonly TagView[]> {
    const rows = await this.find(ownerId, '')
      .andWhere('material.tags IS NOT NULL')
      .select(['material.id', 'material.tags'])
      .getMany();
    const counts = new Map<string, number>();
    for (const tag of rows.flatMap((row) => row.tags ?? [])) counts.set(tag, (counts.get(tag) ?? 0) + 1);
    return [...counts].map(([tag, materials]) => ({ tag, materials })).sort((a, b) => a.tag.localeCompare(b.tag));
  }

  tagged(ownerId: string, tag: string): Promise<Material[]> {
    return this.find(ownerId, '').andWhere(hasTag, { tag }).getMany();
  }

  /** Every word must be found in title, link or words. */
  private find(ownerId: string, find: string): SelectQueryBuilder<Material> {
    const query = this.repository
      .createQueryBuilder('material')
      .where('material.ownerId = :ownerId', { ownerId })
      .andWhere('material.removedAt IS NULL');
    const words = find
      .trim()
      .split(/\s+/)
      .filter((word) => word !== '')
      .slice(0, 8);
    words.forEach((word, index) => {
      const like = `%${word.replace(/[\\%_]/g, '\\$&')}%`;
      query.andWhere(
        `(material.title LIKE :word${index} OR material.link LIKE :word${index} OR material.words LIKE :word${index})`,
        { [`word${index}`]: like },
      );
    });
    return query;
  }
}
