/** What a worker needs to draw a print again: from what was remembered when it was made. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import type { PrintRecord } from './sheet-record.js';
import type { SheetKind } from '@hapset/core';
import type { SheetContent, SheetOrder } from './sheet-order.js';
import { SheetPictures } from './sheet-pictures.js';
import { SheetPlanner } from './sheet-planner.js';
import { Sheet } from './sheet.entity.js';

/** Where what is on a kind of print is remembered. */
export interface ContentSource {
  /** In their order. */
  readonly load: (printId: string) => Promise<readonly SheetContent[]>;
  /** What they show beside what every sheet may; by its id. */
  readonly pictures?: (contents: readonly SheetContent[]) => Promise<Record<string, Uint8Array>>;
  /** For a print that never became one. */
  readonly forget: (printId: string) => Promise<void>;
}

@Injectable()
export class PrintOrders {
  private readonly sources = new Map<SheetKind, ContentSource>();

  constructor(
    @InjectRepository(Sheet) private readonly sheets: Repository<Sheet>,
    private readonly planner: SheetPlanner,
    private readonly pictures: SheetPictures,
  ) {}

  provide(kind: SheetKind, source: ContentSource): void {
    this.sources.set(kind, source);
  }

  async forget({ id, kind }: PrintRecord): Promise<void> {
    await this.sourceOf(kind).forget(id);
  }

  async load({ id, revision, kind, setup, han, name, madeAt }: PrintRecord): Promise<SheetOrder> {
    const source = this.sourceOf(kind);
    const contents = await source.load(id);
    const pictures = {
      ...(await this.pictures.again(contents)),
      ...(await this.planner.picturesOf(contents, setup)),
      ...(await source.pictures?.(contents)),
    };
    return { key: `${id} ${revision}`, setup, contents, han, pictures, title: name, madeAt: madeAt.getTime() };
  }

  /** Sheets of materials, where nobody else said so. */
  private sourceOf(kind: SheetKind): ContentSource {
    return (
      this.sources.get(kind) ?? {
        load: async (printId) =>
          (await this.sheets.find({ where: { printId }, order: { position: 'ASC' } })).map(({ content }) => content),
        forget: async (printId) => void (await this.sheets.delete({ printId })),
      }
    );
  }
}
