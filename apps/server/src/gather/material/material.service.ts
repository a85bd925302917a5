/** A teacher's materials: added, changed, removed. Whoever depends on them hears of it through MaterialEvents. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { ChangeMaterial, NewMaterial } from '@hapset/contract';
import { filesOf, recogniseKind, type Content, type Kept } from '@hapset/core';
import { EntityManager, In, IsNull, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { notFound, stale } from '../../platform/problem/problem.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { FileService, newToken, setFileUses } from '../file/file.service.js';
import { ServiceDescriptionService } from '../service-description/service-description.service.js';
import { addressOf } from './material-address.js';
import { moved, refuseOtherSort } from './material-change.js';
import { MaterialEvents, type MaterialChange } from './material-events.js';
import { Material } from './material.entity.js';
import { checkedContent, checkedKept, newMaterial, requireWebAddress, tidyTags } from './new-material.js';
import { given } from '../../platform/database/given.js';

@Injectable()
export class MaterialService {
  constructor(
    @InjectRepository(Material) private readonly materials: Repository<Material>,
    private readonly services: ServiceDescriptionService,
    private readonly files: FileService,
    private readonly school: SchoolService,
    private readonly events: MaterialEvents,
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

  /** By the token in the address of its page for students; a removed one too. */
  findByPageToken(pageToken: string): Promise<Material | null> {
    return this.materials.findOneBy({ pageToken });
  }

  /** By the token in the address of its picture for web pages; null while that is switched off. */
  findShownPicture(pictureToken: string): Promise<Material | null> {
    return this.materials.findOneBy({ pictureToken, pictureShown: true, removedAt: IsNull() });
  }

  /** Puts new materials on the shelf. */
  async create(items: readonly NewMaterial[], ownerId: string): Promise<Material[]> {
    const { rows } = await this.createWith(items, ownerId, () => Promise.resolve());
    return rows;
  }

  /**
   * Puts new materials on the shelf, and writes what belongs to them in the same transaction.
   * @param more writes it; what it throws takes everything back
   */
  async createWith<Result>(
    items: readonly NewMaterial[],
    ownerId: string,
    more: (manager: EntityManager, rows: readonly Material[]) => Promise<Result>,
  ): Promise<{ readonly rows: Material[]; readonly result: Result }> {
    const [createdAt, catalogue, { publicAddress }] = [
      this.clock.now(),
      await this.services.catalogue(),
      await this.school.get(),
    ];
    const rows = items.map((item, index) =>
      this.materials.create(newMaterial(item, { ownerId, createdAt, catalogue, path: `items.${index}` })),
    );
    await this.files.requireOwn(
      rows.flatMap((row) => (row.kept ? filesOf(row.kept) : [])),
      ownerId,
    );
    const changes = rows.map((after): MaterialChange => toChange(null, after, publicAddress));
    const result = await this.materials.manager.transaction(async (manager) => {
      if (rows.length > 0) await manager.insert(Material, rows);
      for (const { id, kept } of rows) if (kept) await setFileUses(manager, id, filesOf(kept));
      for (const change of changes) await this.events.written(manager, change);
      return more(manager, rows);
    });
    await this.events.settled(changes);
    return { rows, result };
  }

  /** @throws ProblemError stale, invalid */
  async change(id: string, request: ChangeMaterial): Promise<Material> {
    const { version, link, words, content, kept } = request;
    const before = await this.require(id);
    if (link !== undefined) requireWebAddress(link, 'link');
    refuseOtherSort(before, { link, words, content, kept });
    const added = await this.events.prepareChange(before, request);
    const read = kept === undefined ? undefined : checkedKept(kept, 'kept');
    if (read) await this.files.requireOwn(filesOf(read), before.ownerId);
    const fields = content === undefined ? undefined : checkedContent(content, 'content');
    const change = { ...(await this.heldChange(before, request, { content: fields, kept: read })), ...added };
    return this.write(before, version, change, read ? filesOf(read) : null);
  }

  /** A written page's new text. @throws ProblemError stale when it was saved from another place meanwhile */
  async saveKept(id: string, version: number, kept: Kept): Promise<Material> {
    return this.write(await this.require(id), version, { kept }, filesOf(kept));
  }

  /** Once shown, its address stays: switched off and on again, it is the same. */
  async showPicture({ id, pictureToken }: Material, shown: boolean): Promise<void> {
    await this.materials.update(
      { id },
      { pictureShown: shown, ...(pictureToken === null && shown && { pictureToken: newToken() }) },
    );
  }

  /** Takes it off the shelf; it can be restored. @throws ProblemError in-use while a lesson shows it */
  async remove(id: string): Promise<void> {
    const material = await this.require(id);
    await this.events.prepareRemoval(material);
    await this.putAway(material, this.clock.now());
  }

  async restore(id: string): Promise<void> {
    const material = await this.materials.findOneBy({ id });
    if (material) await this.putAway(material, null);
  }

  /** What changes of the material itself; what others add comes on top. */
  private async heldChange(
    before: Material,
    { title, link, words, kind, shownUntil, instruction, tags, sizeMm, level }: ChangeMaterial,
    { content, kept }: { readonly content: Content | undefined; readonly kept: Kept | undefined },
  ): Promise<Partial<Material>> {
    return {
      ...(title !== undefined && { title, titleSource: 'person' as const }),
      ...moved(before, { words, content, kept }),
      ...(leadsElsewhere(before, link) && (await this.newLink(before, link))),
      ...(words !== undefined && { words: words.normalize('NFC'), pasted: words }),
      ...(content && { content }),
      ...(kept && { kept }),
      ...given({
        shownUntil: before.pageToken === null ? undefined : shownUntil,
        kind: before.link === null ? undefined : kind,
        level,
        sizeMm,
        tags: tags && tidyTags(tags),
        instruction,
      }),
    };
  }

  private async newLink(before: Material, link: string): Promise<Partial<Material>> {
    return {
      link,
      pasted: link,
      repairs: [],
      teacherSaw: null,
      ...(before.carry === 'short-link'
        ? keepsName(before)
        : { carry: 'link' as const, trimmedLink: null, ...takesName(before) }),
      kind: recogniseKind(link, await this.services.catalogue()),
    };
  }

  /** @param fileIds what it shows from now on; null where that stays. @throws ProblemError stale */
  private async write(
    before: Material,
    version: number,
    change: Partial<Material>,
    fileIds: readonly string[] | null,
  ): Promise<Material> {
    const { publicAddress } = await this.school.get();
    const changed = toChange(before, { ...before, ...change }, publicAddress);
    await this.materials.manager.transaction(async (manager) => {
      const { affected } = await manager.update(
        Material,
        { id: before.id, version, removedAt: IsNull() },
        { ...change, version: version + 1 },
      );
      if (affected !== 1) throw stale('material');
      if (fileIds !== null) await setFileUses(manager, before.id, fileIds);
      await this.events.written(manager, changed);
    });
    const after = await this.require(before.id);
    await this.events.settled([{ ...changed, after }]);
    return after;
  }

  private async putAway(before: Material, removedAt: Date | null): Promise<void> {
    const { publicAddress } = await this.school.get();
    const changed = toChange(before, { ...before, removedAt }, publicAddress);
    await this.materials.manager.transaction(async (manager) => {
      await manager.update(Material, { id: before.id }, { removedAt });
      await this.events.written(manager, changed);
    });
    await this.events.settled([changed]);
  }
}

/** A short link with a new target keeps the name that is printed beside it. */
function keepsName({ titleSource }: Material): Partial<Material> {
  return titleSource === 'person' ? {} : { titleSource: 'paper' };
}

/** A link in the code itself needs new paper, which may say the new page's name. */
function takesName({ titleSource }: Material): Partial<Material> {
  return titleSource === 'paper' ? { titleSource: 'page' } : {};
}

/** Whether a change of the link leads to another page. */
export function leadsElsewhere(before: Pick<Material, 'link'>, link: string | undefined): link is string {
  return link !== undefined && link !== before.link;
}

function toChange(before: Material | null, after: Material, publicAddress: string): MaterialChange {
  return {
    before,
    after,
    addressBefore: before && addressOf(before, publicAddress),
    addressAfter: addressOf(after, publicAddress),
  };
}
