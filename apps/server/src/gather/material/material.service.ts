import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ChangeMaterial, NewMaterial } from '@hapset/contract';
import { filesOf, recogniseKind } from '@hapset/core';
import { EntityManager, In, IsNull, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';
import { notFound, ProblemError, stale } from '../../platform/problem/problem.js';
import { ServiceDescriptionService } from '../service-description/service-description.service.js';
import { ShortLinkService } from '../../code/short-link/short-link.service.js';
import { LookService } from '../../code/look/look.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { addressOf } from './material-address.js';
import { carryChange, moved, refuseOtherSort } from './material-change.js';
import { Material } from './material.entity.js';
import { FileService, setFileUses } from '../file/file.service.js';
import { checkedContent, checkedKept, newMaterial, tidyTags, requireWebAddress } from './new-material.js';

@Injectable()
export class MaterialService {
  constructor(
    @InjectRepository(Material) private readonly materials: Repository<Material>,
    private readonly checks: AccessCheckService,
    private readonly services: ServiceDescriptionService,
    private readonly files: FileService,
    private readonly school: SchoolService,
    private readonly shortLinks: ShortLinkService,
    private readonly looks: LookService,
    private readonly clock: Clock,
  ) {}

  /** @throws ProblemError not-found for a removed one too */
  async require(id: string): Promise<Material> {
    const found = await this.materials.findOneBy({ id, removedAt: IsNull() });
    if (!found) throw notFound('material');
    return found;
  }

  /** The owner's materials with those ids, in the order of the ids. @throws ProblemError not-found when one is missing */
  async requireOwn(ids: readonly string[], ownerId: string): Promise<Material[]> {
    const rows =
      ids.length === 0 ? [] : await this.materials.findBy({ id: In([...ids]), ownerId, removedAt: IsNull() });
    return ids.map((id) => {
      const row = rows.find((candidate) => candidate.id === id);
      if (!row) throw notFound('material');
      return row;
    });
  }

  /** Puts new materials on the shelf and asks for their links to be opened. */
  async create(items: readonly NewMaterial[], ownerId: string): Promise<Material[]> {
    const [createdAt, catalogue] = [this.clock.now(), await this.services.catalogue()];
    const rows = items.map((item, index) =>
      this.materials.create(newMaterial(item, ownerId, createdAt, catalogue, `items.${index}`)),
    );
    await this.files.requireOwn(
      rows.flatMap((row) => (row.kept ? filesOf(row.kept) : [])),
      ownerId,
    );
    await this.materials.manager.transaction(async (manager) => {
      await manager.insert(Material, rows);
      for (const { id, kept } of rows) if (kept) await setFileUses(manager, id, filesOf(kept));
    });
    await this.checks.ask(rows);
    return rows;
  }

  /** @throws ProblemError stale, invalid */
  async change(
    id: string,
    {
      version,
      title,
      link,
      words,
      content,
      kept,
      kind,
      shownUntil,
      instruction,
      tags,
      carry,
      level,
      look,
      sizeMm,
    }: ChangeMaterial,
  ): Promise<Material> {
    const before = await this.require(id);
    if (link !== undefined) requireWebAddress(link, 'link');
    refuseOtherSort(before, { link, words, content, kept });
    if (look !== undefined && look !== before.look) await this.looks.requireChoice(look);
    const read = kept === undefined ? undefined : checkedKept(kept, 'kept');
    if (read) await this.files.requireOwn(filesOf(read), before.ownerId);
    const fields = content === undefined ? undefined : checkedContent(content, 'content');
    const elsewhere = link !== undefined && link !== before.link;
    const change: Partial<Material> = {
      ...(title !== undefined && { title: title.normalize('NFC').trim(), titleSource: 'person' as const }),
      ...moved(before, { words, content: fields, kept: read }),
      ...(elsewhere && {
        link,
        pasted: link,
        repairs: [],
        ...(before.carry !== 'short-link' && { carry: 'link' as const, trimmedLink: null }),
        kind: recogniseKind(link, await this.services.catalogue()),
      }),
      ...(words !== undefined && { words: words.normalize('NFC'), pasted: words }),
      ...(fields && { content: fields }),
      ...(read && { kept: read }),
      ...(shownUntil !== undefined && before.pageToken !== null && { shownUntil }),
      ...(kind !== undefined && before.link !== null && { kind }),
      ...(carry !== undefined && !elsewhere && (await this.carryChange(before, carry))),
      ...(level !== undefined && { level }),
      ...(look !== undefined && { look }),
      ...(sizeMm !== undefined && { sizeMm }),
      ...(tags !== undefined && { tags: tidyTags(tags) }),
      ...(instruction !== undefined && { instruction: instruction.normalize('NFC').trim() }),
    };
    const { publicAddress } = await this.school.get();
    await this.materials.manager.transaction(async (manager) => {
      const { affected } = await manager.update(
        Material,
        { id, version, removedAt: IsNull() },
        { ...change, version: version + 1 },
      );
      if (affected !== 1) throw stale('material');
      if (read) await setFileUses(manager, id, filesOf(read));
      if (before.slug !== null) await this.turn(manager, before, { ...before, ...change }, publicAddress);
    });
    const after = await this.require(id);
    if (after.slug !== null) await this.shortLinks.settle();
    if (elsewhere || after.pageToken !== before.pageToken) await this.checks.ask([after]);
    return after;
  }

  /** Its short link leads elsewhere from now on, and remembers where it led. */
  private async turn(manager: EntityManager, before: Material, after: Material, publicAddress: string): Promise<void> {
    const [from, to] = [addressOf(before, publicAddress), addressOf(after, publicAddress)];
    if (from !== null && to !== null && from !== to && before.slug !== null)
      await this.shortLinks.turned(manager, before.slug, from, to);
    await this.shortLinks.materialChanged(manager, before.id);
  }

  private async carryChange(before: Material, carry: Material['carry']): Promise<Partial<Material>> {
    const [checks, { publicAddress }] = await Promise.all([this.checks.lastOf([before]), this.school.get()]);
    const trimmed = checks.get(before.id)?.done?.trimmed;
    const change = carryChange(addressOf(before, publicAddress), carry, trimmed?.same ? trimmed.link : null);
    return carry === 'short-link' ? { ...change, slug: await this.shortLinks.allocate(before) } : change;
  }

  /** Takes it off the shelf; it can be brought back. @throws ProblemError in-use while a lesson shows it */
  async remove(id: string): Promise<void> {
    const material = await this.require(id);
    const used = await this.lessonsOf([id]);
    if (used.length > 0)
      throw new ProblemError(
        'in-use',
        `It is a station of ${used.map((use) => `“${use.name}”`).join(', ')}. Remove it there first.`,
      );
    await this.checks.stop([material]);
    await this.putAway(material, this.clock.now());
  }

  async restore(id: string): Promise<void> {
    const material = await this.materials.findOneBy({ id });
    if (material) await this.putAway(material, null);
  }

  private async putAway({ id, slug }: Material, removedAt: Date | null): Promise<void> {
    await this.materials.manager.transaction(async (manager) => {
      await manager.update(Material, { id }, { removedAt });
      if (slug !== null) await this.shortLinks.materialChanged(manager, id);
    });
    if (slug !== null) await this.shortLinks.settle();
  }

  /** Lessons that show these materials, each once for each material. */
  async lessonsOf(
    materialIds: readonly string[],
  ): Promise<readonly { materialId: string; id: string; name: string }[]> {
    if (materialIds.length === 0) return [];
    const rows: unknown = await this.materials.query(
      `SELECT DISTINCT stations.material_id AS materialId, lessons.id AS id, lessons.name AS name
       FROM stations JOIN lessons ON lessons.id = stations.lesson_id
       WHERE stations.material_id IN (${materialIds.map(() => '?').join(',')}) AND stations.removed_at IS NULL AND lessons.removed_at IS NULL
       ORDER BY lessons.name, lessons.id`,
      [...materialIds],
    );
    return rows as { materialId: string; id: string; name: string }[];
  }
}
