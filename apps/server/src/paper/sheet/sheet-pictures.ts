/** Pictures of what opens, for posters: those that its last check kept. */
import { Injectable } from '@nestjs/common';
import { drawingSvg, iconStrokes, type IconNode } from '@hapset/core';
import { iconOf } from '@hapset/core/icons';
import sharp from 'sharp';
import type { MoreContent, SheetContent } from './sheet-order.js';
import { AccessCheckService } from '../../opens/access-check/access-check.service.js';
import type { PlacedCode } from '../../reads/placed-code/placed-code.js';

@Injectable()
export class SheetPictures {
  constructor(private readonly checks: AccessCheckService) {}

  /** Which material shows what, and its bytes as PNG by the check's id. */
  async load(codes: readonly PlacedCode[]): Promise<{
    readonly shown: ReadonlyMap<string, MoreContent['picture']>;
    readonly bytes: Record<string, Uint8Array>;
  }> {
    const checkOf = new Map(
      codes.flatMap(({ check, place }) => (check?.pictureBytes ? [[check.id, place.material.id] as const] : [])),
    );
    const pictures = await this.read([...checkOf.keys()]);
    return {
      shown: new Map(pictures.map(({ id, aspect }) => [checkOf.get(id) ?? '', { id, aspect }])),
      bytes: Object.fromEntries(pictures.map(({ id, bytes }) => [id, bytes])),
    };
  }

  /** For what was put on paper before; what is gone meanwhile is left out. */
  async again(contents: readonly SheetContent[]): Promise<Record<string, Uint8Array>> {
    const ids = [...new Set(contents.flatMap(({ more }) => more?.picture?.id ?? []))];
    const pictures = await this.read(ids.filter((id) => !id.startsWith(iconPrefix)));
    return { ...Object.fromEntries(pictures.map(({ id, bytes }) => [id, bytes])), ...(await symbolPictures(ids)) };
  }

  private async read(
    ids: readonly string[],
  ): Promise<readonly { readonly id: string; readonly aspect: number; readonly bytes: Uint8Array }[]> {
    if (ids.length === 0) return [];
    const read = (await this.checks.listPictures(ids)).map(async ({ id, picture }) => {
      const { data, info } = await sharp(picture).png().toBuffer({ resolveWithObject: true });
      return { id, aspect: info.width / info.height, bytes: data };
    });
    return Promise.all(read);
  }
}

const iconPrefix = 'icon:';
const iconPx = 240;

/** The picture of a symbol on a card; null for none, and for an icon that is not known. */
export function symbolPicture(icon: string | null): MoreContent['picture'] {
  return icon === null || iconOf(icon) === null ? null : { id: `${iconPrefix}${icon}`, aspect: 1 };
}

/** PNG of those ids that are symbols. */
export async function symbolPictures(ids: readonly string[]): Promise<Record<string, Uint8Array>> {
  const drawn = ids.map(async (id) => {
    const nodes = id.startsWith(iconPrefix) ? iconOf(id.slice(iconPrefix.length)) : null;
    return nodes === null ? [] : [[id, await drawIcon(nodes)] as const];
  });
  return Object.fromEntries((await Promise.all(drawn)).flat());
}

function drawIcon(nodes: readonly IconNode[]): Promise<Buffer> {
  const strokes = iconStrokes(nodes, { x: 0, y: 0, side: 24 }, { kind: 'colour', colour: '#000000' });
  const drawing = { modules: 24, surround: { left: 0, top: 0, right: 0, bottom: 0 }, shapes: strokes };
  return sharp(
    Buffer.from(
      drawingSvg(drawing, { width: String(iconPx), height: String(iconPx), title: '', pictureAddress: () => null }),
    ),
  )
    .png()
    .toBuffer();
}
