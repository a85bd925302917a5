/** Pictures of what opens, for posters: those that its last check kept. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import sharp from 'sharp';
import { In, Repository } from 'typeorm';
import { AccessCheck } from '../access-check/access-check.entity.js';
import type { Standing } from '../readiness/readiness.service.js';
import type { MoreContent, SheetContent } from './sheet-job.js';

@Injectable()
export class SheetPictures {
  constructor(@InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>) {}

  /** Which material shows what, and its bytes as PNG by the check's id. */
  async of(standings: readonly Standing[]): Promise<{ readonly shown: ReadonlyMap<string, MoreContent['picture']>; readonly bytes: Record<string, Uint8Array> }> {
    const checkOf = new Map(standings.flatMap(({ check, place }) => (check?.pictureBytes ? [[check.id, place.material.id] as const] : [])));
    const pictures = await this.read([...checkOf.keys()]);
    return {
      shown: new Map(pictures.map(({ id, aspect }) => [checkOf.get(id) ?? '', { checkId: id, aspect }])),
      bytes: Object.fromEntries(pictures.map(({ id, bytes }) => [id, bytes])),
    };
  }

  /** For what was put on paper before; what is gone meanwhile is left out. */
  async again(contents: readonly SheetContent[]): Promise<Record<string, Uint8Array>> {
    const pictures = await this.read(contents.flatMap(({ more }) => more?.picture?.checkId ?? []));
    return Object.fromEntries(pictures.map(({ id, bytes }) => [id, bytes]));
  }

  private async read(ids: readonly string[]): Promise<readonly { readonly id: string; readonly aspect: number; readonly bytes: Uint8Array }[]> {
    if (ids.length === 0) return [];
    const rows = await this.checks.find({ where: { id: In([...ids]) }, select: { id: true, picture: true } });
    const read = rows.map(async ({ id, picture }) => {
      if (picture === null) return [];
      const { data, info } = await sharp(picture).png().toBuffer({ resolveWithObject: true });
      return [{ id, aspect: info.width / info.height, bytes: data }];
    });
    return (await Promise.all(read)).flat();
  }
}
