/** Finds a teacher's materials: as one types, by tag, in pages, newest first. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { TagView } from '@hapset/contract';
import { IsNull, Repository, type FindOptionsWhere, type SelectQueryBuilder } from 'typeorm';
import { Material } from './material.entity.js';

const hasTag = 'JSON_CONTAINS(material.tags, JSON_QUOTE(:tag))';

export interface FindMaterials {
  readonly find: string;
  readonly tag: string | null;
  /** The last id of the page before. */
  readonly after: string | null;
}

@Injectable()
export class MaterialFinder {
  constructor(@InjectRepository(Material) private readonly materials: Repository<Material>) {}

  /** Up to `most` rows, newest first, and how many there are in all pages. */
  async page(
    ownerId: string,
    { find, tag, after }: FindMaterials,
    most: number,
  ): Promise<{ readonly rows: readonly Material[]; readonly total: number }> {
    const query = this.find(ownerId, find);
    if (tag !== null) query.andWhere(hasTag, { tag });
    const total = await query.getCount();
    if (after !== null) query.andWhere('material.id < :after', { after });
    return { rows: await query.orderBy('material.id', 'DESC').limit(most).getMany(), total };
  }

  /** The owner's tags with how many materials each has, by name. */
  async listTags(ownerId: string): Promise<readonly TagView[]> {
    const rows = await this.find(ownerId, '')
      .andWhere('material.tags IS NOT NULL')
      .select(['material.id', 'material.tags'])
      .getMany();
    const counts = new Map<string, number>();
    for (const tag of rows.flatMap((row) => row.tags ?? [])) counts.set(tag, (counts.get(tag) ?? 0) + 1);
    return [...counts].map(([tag, materials]) => ({ tag, materials })).sort((a, b) => a.tag.localeCompare(b.tag));
  }

  /** Whose link or words are that text, or whose short link or page it leads to; the newest first. */
  listCarrying(
    ownerId: string,
    {
      text,
      slug,
      pageToken,
    }: { readonly text: string; readonly slug: string | null; readonly pageToken: string | null },
  ): Promise<Material[]> {
    const own = { ownerId, removedAt: IsNull() };
    const wanted: FindOptionsWhere<Material>[] = [
      { ...own, link: text },
      { ...own, trimmedLink: text },
      { ...own, words: text },
      ...(slug === null ? [] : [{ ...own, slug }]),
      ...(pageToken === null ? [] : [{ ...own, pageToken }]),
    ];
    return this.materials.find({ where: wanted, order: { id: 'DESC' } });
  }

  /** Contacts, events and other materials with fields; the newest first. */
  listWithFields(ownerId: string, most: number): Promise<Material[]> {
    return this.find(ownerId, '')
      .andWhere('material.content IS NOT NULL')
      .orderBy('material.id', 'DESC')
      .limit(most)
      .getMany();
  }

  listTagged(ownerId: string, tag: string): Promise<Material[]> {
    return this.find(ownerId, '').andWhere(hasTag, { tag }).getMany();
  }

  /** Every word must be found in title, link or words. */
  private find(ownerId: string, find: string): SelectQueryBuilder<Material> {
    const query = this.materials
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
