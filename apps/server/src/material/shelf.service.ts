/** The shelf: a teacher's materials, newest first, found as one types, in pages. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { limits, type ShelfPage } from '@hapset/contract';
import { Repository, type SelectQueryBuilder } from 'typeorm';
import { ReadinessService } from '../readiness/readiness.service.js';
import { Material } from './material.entity.js';
import { MaterialService } from './material.service.js';
import { toMaterialView } from './material.view.js';

@Injectable()
export class ShelfService {
  constructor(
    @InjectRepository(Material) private readonly repository: Repository<Material>,
    private readonly materials: MaterialService,
    private readonly readiness: ReadinessService,
  ) {}

  /** @param after the `next` of the page before */
  async page(ownerId: string, find: string, after: string | null): Promise<ShelfPage> {
    const query = this.find(ownerId, find);
    const total = await query.getCount();
    if (after !== null) query.andWhere('material.id < :after', { after });
    const rows = await query.orderBy('material.id', 'DESC').limit(limits.shelfPage + 1).getMany();
    const shown = rows.slice(0, limits.shelfPage);
    const [standings, uses] = await Promise.all([
      this.readiness.of(shown.map((material) => ({ material, station: null, lesson: null }))),
      this.materials.lessonsOf(shown.map((material) => material.id)),
    ]);
    return {
      rows: standings.map(({ place: { material }, code, readiness }) => ({
        material: toMaterialView(material),
        code,
        readiness,
        lessons: uses.filter((use) => use.materialId === material.id).map(({ id, name }) => ({ id, name })),
      })),
      next: rows.length > shown.length ? (shown.at(-1)?.id ?? null) : null,
      total,
    };
  }

  /** Every word must be found in title, link or words. */
  private find(ownerId: string, find: string): SelectQueryBuilder<Material> {
    const query = this.repository.createQueryBuilder('material').where('material.ownerId = :ownerId', { ownerId }).andWhere('material.removedAt IS NULL');
    const words = find.trim().split(/\s+/).filter((word) => word !== '').slice(0, 8);
    words.forEach((word, index) => {
      const like = `%${word.replace(/[\\%_]/g, '\\$&')}%`;
      query.andWhere(`(material.title LIKE :word${index} OR material.link LIKE :word${index} OR material.words LIKE :word${index})`, { [`word${index}`]: like });
    });
    return query;
  }
}
