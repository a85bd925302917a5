/** Finds a teacher's materials: as one types, by tag, in pages, newest first. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ShelfOrder, TagView } from '@hapset/contract';
import { In, IsNull, Repository, type FindOptionsWhere, type SelectQueryBuilder } from 'typeorm';
import { Material } from './material.entity.js';

/** A shelf of more is cut: newest first, as everywhere. */
const mostListed = 10_000;
const hasTag = 'JSON_CONTAINS(material.tags, JSON_QUOTE(:tag))';

export interface FindMaterials {
  readonly find: string;
  readonly tag: string | null;
}

/** What is listed of a material where only its name is shown. */
export type MaterialName = Pick<Material, 'id' | 'title' | 'kind'>;

/** Orders that the database knows. Ids grow with time. */
const columns: Readonly<Record<Exclude<ShelfOrder, 'state'>, readonly (readonly [string, 'ASC' | 'DESC'])[]>> = {
  newest: [['material.id', 'DESC']],
  oldest: [['material.id', 'ASC']],
  title: [
    ['material.title', 'ASC'],
    ['material.id', 'DESC'],
  ],
  kind: [
    ['material.kind', 'ASC'],
    ['material.title', 'ASC'],
    ['material.id', 'DESC'],
  ],
};

@Injectable()
export class MaterialFinder {
  constructor(@InjectRepository(Material) private readonly materials: Repository<Material>) {}

  /** All that are found, by id: in that order, the newest first among equals. */
  async listIds(
    ownerId: string,
    { find, tag }: FindMaterials,
    order: Exclude<ShelfOrder, 'state'>,
  ): Promise<readonly string[]> {
    const query = this.find(ownerId, find).select('material.id', 'id');
    if (tag !== null) query.andWhere(hasTag, { tag });
    for (const [column, direction] of columns[order]) query.addOrderBy(column, direction);
    const rows = await query.limit(mostListed).getRawMany<{ id: string }>();
    return rows.map(({ id }) => id);
  }

  /** In the order of the ids; what is gone is left out. */
  async listByIds(ids: readonly string[]): Promise<readonly Material[]> {
    const rows = ids.length === 0 ? [] : await this.materials.findBy({ id: In([...ids]) });
    const byId = new Map(rows.map((row) => [row.id, row]));
    return ids.flatMap((id) => byId.get(id) ?? []);
  }

  /** The newest, by name alone. */
  listNames(ownerId: string): Promise<MaterialName[]> {
    return this.find(ownerId, '')
      .select(['material.id', 'material.title', 'material.kind'])
      .orderBy('material.id', 'DESC')
      .limit(mostListed)
      .getMany();
  }

  /** Whose link has one of the hosts in it; the newest first. */
  async listWithLinks(ownerId: string, hosts: readonly string[]): Promise<readonly Material[]> {
    if (hosts.length === 0) return [];
    const query = this.find(ownerId, '').andWhere(
      `(${hosts.map((_, index) => `material.link LIKE :host${index}`).join(' OR ')})`,
      Object.fromEntries(hosts.map((host, index) => [`host${index}`, `%${asLiteral(host)}%`])),
    );
    return query.orderBy('material.id', 'DESC').limit(mostListed).getMany();
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
      const like = `%${asLiteral(word)}%`;
      query.andWhere(
        `(material.title LIKE :word${index} OR material.link LIKE :word${index} OR material.words LIKE :word${index})`,
        { [`word${index}`]: like },
      );
    });
    return query;
  }
}

/** For LIKE: its signs taken as they are. */
function asLiteral(text: string): string {
  return text.replace(/[\\%_]/g, '\\$&');
}
