/** Short links of the school's own: given out, looked after, listed. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ShortLinkDetails, ShortLinkView } from '@hapset/contract';
import { alwaysOpen, newSlugLength, openingProblem, shortBase, type Opening, isAlwaysOpen } from '@hapset/core';
import { EntityManager, Repository, In } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { randomSlug } from './random-slug.js';
import { RedirectTable } from './redirect-table.js';
import { ShortLink } from './short-link.entity.js';
import { toDetails, toShortLinkView } from './short-link.view.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import { ShortLinkHistory } from './short-link-history.js';

const attempts = 20;
const daysShown = 30;

@Injectable()
export class ShortLinkService {
  constructor(
    @InjectRepository(ShortLink) private readonly links: Repository<ShortLink>,
    private readonly history: ShortLinkHistory,
    private readonly table: RedirectTable,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  /** The material's slug; a new one where it has none. The same for two that ask at once. */
  async allocate(material: Pick<MaterialRecord, 'id' | 'slug'>): Promise<string> {
    if (material.slug !== null) return material.slug;
    for (let attempt = 0; attempt < attempts; attempt += 1) {
      await this.links
        .createQueryBuilder()
        .insert()
        .values(await this.fresh(material.id, alwaysOpen))
        .orIgnore()
        .execute();
      const own = await this.links.findOneBy({ currentFor: material.id });
      if (own) return own.slug;
    }
    throw new ProblemError('failed', 'No free short link was found. Try it again.');
  }

  /** A new slug in the place of an old one, which leads to the same still. @returns the new one @throws ProblemError not-found, stale */
  async replace(material: Pick<MaterialRecord, 'id' | 'slug'>): Promise<string> {
    const slug = await this.links.manager.transaction(async (manager) => {
      const before = await manager.findOne(ShortLink, {
        where: { currentFor: material.id },
        lock: { mode: 'pessimistic_write' },
      });
      if (!before) throw notFound('short link');
      if (before.slug !== material.slug) throw stale('material');
      const fresh = await this.fresh(material.id, before.opening);
      await manager.update(ShortLink, { slug: before.slug }, { currentFor: null });
      await manager.insert(ShortLink, fresh);
      await manager.query('UPDATE materials SET slug = ?, version = version + 1 WHERE id = ?', [
        fresh.slug,
        material.id,
      ]);
      return fresh.slug;
    });
    await this.table.look();
    return slug;
  }

  private async fresh(
    materialId: string,
    opening: Opening,
  ): Promise<Pick<ShortLink, 'slug' | 'materialId' | 'currentFor' | 'opening' | 'createdAt'>> {
    const { publicAddress, shortLinkHost } = await this.school.get();
    return {
      slug: randomSlug(newSlugLength(shortBase(publicAddress, shortLinkHost))),
      materialId,
      currentFor: materialId,
      opening,
      createdAt: this.clock.now(),
    };
  }

  /** Tells every server that what the short link leads to is another one now. */
  async materialChanged(manager: EntityManager, materialId: string): Promise<void> {
    await manager.query('UPDATE short_links SET changed_at = NOW(3) WHERE material_id = ?', [materialId]);
  }

  /** Takes what changed into memory here; the other servers see it by themselves. */
  settle(): Promise<void> {
    return this.table.look();
  }

  /** Opening hours of short links that are not always open, by material. */
  async findOpenings(
    materials: readonly Pick<MaterialRecord, 'id' | 'carry'>[],
  ): Promise<ReadonlyMap<string, Opening>> {
    const ids = materials.filter(({ carry }) => carry === 'short-link').map(({ id }) => id);
    const links = ids.length === 0 ? [] : await this.links.findBy({ materialId: In(ids) });
    return new Map(
      links.flatMap(({ materialId, opening }) =>
        materialId === null || isAlwaysOpen(opening) ? [] : [[materialId, opening] as const],
      ),
    );
  }

  /** Null where the material has none. */
  async view(material: Pick<MaterialRecord, 'id' | 'slug'>): Promise<ShortLinkView | null> {
    const link = material.slug === null ? null : await this.links.findOneBy({ slug: material.slug });
    if (!link) return null;
    const [school, opens] = await Promise.all([this.school.get(), this.history.countOpens(link.slug)]);
    return toShortLinkView(link, school, opens, this.clock.now());
  }

  /** @throws ProblemError not-found where the material has none */
  async details(material: Pick<MaterialRecord, 'id' | 'slug'>): Promise<ShortLinkDetails> {
    await this.history.writeCounts();
    const view = await this.view(material);
    if (!view) throw notFound('short link');
    const { slug } = view;
    const since = new Date(this.clock.now().getTime() - daysShown * 24 * 3_600_000);
    const [{ turns, counts }, { timeZone }] = await Promise.all([this.history.find(slug, since), this.school.get()]);
    return toDetails(view, turns, counts, timeZone);
  }

  /** @throws ProblemError not-found, invalid */
  async changeOpening(material: Pick<MaterialRecord, 'id' | 'slug'>, opening: Opening): Promise<ShortLinkDetails> {
    const problem = openingProblem(opening);
    if (problem)
      throw new ProblemError('invalid', 'These opening hours can’t be kept.', {
        fields: [{ field: 'opening', message: problem }],
      });
    const { affected } = await this.links.update({ materialId: material.id }, { opening });
    if (affected === 0) throw notFound('short link');
    await this.table.look();
    return this.details(material);
  }

  /** From now on until then openings count as those of a device that is being tried. @throws ProblemError not-found */
  async listen(material: Pick<MaterialRecord, 'id'>, since: Date, until: Date): Promise<void> {
    const { affected } = await this.links.update(
      { materialId: material.id },
      { tryingSince: since, tryingUntil: until },
    );
    if (affected === 0) throw notFound('short link');
    await this.table.look();
  }
}
