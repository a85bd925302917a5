/** What a finished print is taken away as: its PDF, its pages as pictures, or one page to be looked at. */
import { buffer } from 'node:stream/consumers';
import { Injectable } from '@nestjs/common';
import type { PrintState } from '@hapset/contract';
import { fileName } from '@hapset/core';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { Storage } from '../../platform/storage/storage.js';
import { PrintOrders } from './print-orders.js';
import type { Print } from './print.entity.js';
import { stateOf } from './print.view.js';
import { fileWords } from './print.service.js';
import type { SheetOrder } from './sheet-order.js';
import { SheetWorkers } from './sheet-workers.js';

@Injectable()
export class PrintOutput {
  constructor(
    private readonly printOrders: PrintOrders,
    private readonly workers: SheetWorkers,
    private readonly storage: Storage,
  ) {}

  /** The PDF. Short prints are drawn for each request, always the same; long ones are saved until they are old. @throws ProblemError not-found if there is no such file, gone if the print was deleted */
  async pdf(print: Print): Promise<Buffer> {
    refuseGone(print);
    if (print.storageKey !== null) return buffer(this.storage.open(print.storageKey));
    if (print.state !== 'done') throw notFound('file');
    return Buffer.from(
      (await this.workers.ask(print.ownerId, { kind: 'pdf', order: await this.printOrders.load(print) })) as Uint8Array,
    );
  }

  /** Pages as pictures, one after the other, as they are taken. */
  async *pictures(print: Print, dpi: number): AsyncGenerator<{ readonly name: string; readonly bytes: Buffer }> {
    const order = await this.orderOfDone(print);
    for (let page = 0; page < print.pages; page += 1) {
      const bytes = (await this.workers.ask(print.ownerId, { kind: 'png', order, page, dpi })) as Uint8Array;
      yield { name: pictureName(print, order, page), bytes: Buffer.from(bytes) };
    }
  }

  /** SVG. @param page from 0 @throws ProblemError not-found beyond the last one */
  async page(print: Print, page: number): Promise<string> {
    if (!Number.isInteger(page) || page < 0 || page >= print.pages) throw notFound('page');
    return (await this.workers.ask(print.ownerId, {
      kind: 'svg',
      order: await this.orderOfDone(print),
      page,
    })) as string;
  }

  private async orderOfDone(print: Print): Promise<SheetOrder> {
    refuseGone(print);
    if (print.state !== 'done') throw notFound('file');
    return this.printOrders.load(print);
  }
}

const whyGone: Readonly<Partial<Record<PrintState, string>>> = {
  expired: 'Its file was deleted because it was old. It can be restored.',
  erased: 'A student on it was erased, and its file with them.',
  deleted: 'It was deleted.',
  stopped: 'Its drawing was stopped.',
  failed: 'It could not be drawn.',
};

/** @throws ProblemError gone with the true reason */
function refuseGone(print: Print): void {
  const why = whyGone[stateOf(print)];
  if (why !== undefined) throw new ProblemError('gone', why);
}

/** A poster is named after its station; pages that hold several codes are counted. */
function pictureName({ fileName: whole, kind, pages }: Print, { contents }: SheetOrder, page: number): string {
  const alone = kind === 'poster' && pages === contents.length ? contents[page] : undefined;
  if (alone) return fileName(`${alone.title}, ${fileWords.poster[0]}`, Number(alone.more?.texts.number) || null, 'png');
  return `${whole.replace(/\.pdf$/, '')}, page ${String(page + 1).padStart(String(pages).length, '0')}.png`;
}
