/** Several of a teacher's materials at once: found by their links, tagged, removed and restored. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { RemovedMaterials, ShelfMatch } from '@hapset/contract';
import { comparableAddress, hostNameOf } from '@hapset/core';
import { In, Repository } from 'typeorm';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { MaterialFinder } from './material-finder.js';
import { Material } from './material.entity.js';
import { MaterialService } from './material.service.js';
import { tidyTags } from './new-material.js';

@Injectable()
export class ManyMaterials {
  constructor(
    @InjectRepository(Material) private readonly materials: Repository<Material>,
    private readonly service: MaterialService,
    private readonly finder: MaterialFinder,
  ) {}

  /** Those of the links that are on the shelf already; where a link is there twice, its newest material. */
  async matchLinks(links: readonly string[], ownerId: string): Promise<readonly ShelfMatch[]> {
    const hosts = [...new Set(links.flatMap((link) => hostNameOf(link) ?? []))];
    const known = new Map<string, Material>();
    for (const material of await this.finder.listWithLinks(ownerId, hosts)) {
      const address = comparableAddress(material.link ?? '');
      if (!known.has(address)) known.set(address, material);
    }
    return links.flatMap((link) => {
      const found = known.get(comparableAddress(link));
      return found ? [{ link, materialId: found.id, title: found.title }] : [];
    });
  }

  /** @returns those that were changed. @throws ProblemError not-found */
  async tag(ids: readonly string[], tag: string, tagged: boolean, ownerId: string): Promise<readonly string[]> {
    const [wanted = ''] = tidyTags([tag]);
    const changed: string[] = [];
    for (const { id, version, tags } of await this.service.requireOwn(ids, ownerId)) {
      const before = tags ?? [];
      if (before.includes(wanted) === tagged) continue;
      const after = tagged ? [...before, wanted] : before.filter((one) => one !== wanted);
      await this.service.change(id, { version, tags: after });
      changed.push(id);
    }
    return changed;
  }

  /** Takes off the shelf what no lesson shows. @throws ProblemError not-found */
  async remove(ids: readonly string[], ownerId: string): Promise<RemovedMaterials> {
    const materialIds: string[] = [];
    const used: { materialId: string; title: string }[] = [];
    for (const { id, title } of await this.service.requireOwn(ids, ownerId)) {
      try {
        await this.service.remove(id);
        materialIds.push(id);
      } catch (error) {
        if (!(error instanceof ProblemError) || error.reason !== 'in-use') throw error;
        used.push({ materialId: id, title });
      }
    }
    return { materialIds, used };
  }

  /** @throws ProblemError not-found */
  async restore(ids: readonly string[], ownerId: string): Promise<void> {
    const own = await this.materials.find({ where: { id: In([...ids]), ownerId }, select: { id: true } });
    if (own.length < new Set(ids).size) throw notFound('material');
    for (const { id } of own) await this.service.restore(id);
  }
}
