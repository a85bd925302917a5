/**
 * Makes sheets of many codes in one go: warns first, remembers each code that went on paper, draws short prints whenever they are asked
 * for, and leaves long ones to a job (print-drawing.ts).
 */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import {
  sheetAdvice,
  sheetWarnings,
  type PreviewSheets,
  type PrintOrigin,
  type SheetChoices,
  type SheetsPreview,
  type SheetWarning,
} from '@hapset/contract';
import { fileName, type SheetKind } from '@hapset/core';
import { Repository, type EntityManager } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { PrintDrawing } from './print-drawing.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { Print } from './print.entity.js';
import type { SheetOrder } from './sheet-order.js';
import type { PlacesToPrint } from './sheet-places.js';
import { noticesOf, SheetPlanner } from './sheet-planner.js';
import { PrintOrders, type ContentSource } from './print-orders.js';
import { Sheet } from './sheet.entity.js';
import { SheetWorkers } from './sheet-workers.js';
import type { SheetNotes, SheetPreviewAnswer } from './sheet.work.js';

/** More pages are drawn once, as a job. */
export const pagesAtOnce = 20;

export interface PreviewedOrder {
  readonly shown: Omit<SheetsPreview, 'notices'>;
  readonly notes: Pick<SheetNotes, 'notes' | 'sizesMm'>;
}

/** How a print is called. */
export interface PrintName {
  readonly name: string;
  /** A station's number, where it is of one alone. */
  readonly position: number | null;
  readonly many: boolean;
}

/** What is on a print, laid out. */
interface PrintToBegin {
  readonly order: SheetOrder;
  readonly pages: number;
  readonly origin: PrintOrigin | null;
}

@Injectable()
export class PrintService {
  constructor(
    @InjectRepository(Print) private readonly prints: Repository<Print>,
    private readonly planner: SheetPlanner,
    private readonly printOrders: PrintOrders,
    private readonly workers: SheetWorkers,
    private readonly drawing: PrintDrawing,
    private readonly clock: Clock,
  ) {}

  async preview(
    places: PlacesToPrint,
    { choices, page }: Pick<PreviewSheets, 'choices' | 'page'>,
    ownerId: string,
  ): Promise<SheetsPreview> {
    const planned = await this.planner.plan(places, choices);
    const { shown, notes } = await this.previewOrder(planned.order, page, ownerId);
    return { ...shown, notices: noticesOf(planned, notes, choices) };
  }

  /** A page of whatever is to be drawn, and what the layout found. */
  async previewOrder(order: SheetOrder, page: number, ownerId: string): Promise<PreviewedOrder> {
    const { notes, sizesMm, ...shown } = (await this.workers.ask(ownerId, {
      kind: 'preview',
      order,
      page,
    })) as SheetPreviewAnswer;
    return {
      shown: {
        ...shown,
        codes: order.contents.length,
        sizesMm: sizesMm.length === 0 ? null : [Math.min(...sizesMm), Math.max(...sizesMm)],
      },
      notes: { notes, sizesMm },
    };
  }

  /** Says where the contents of a kind of print are remembered, that are no sheets of materials. Called once for each kind. */
  contents(kind: SheetKind, source: ContentSource): void {
    this.printOrders.provide(kind, source);
  }

  /** @throws ProblemError sheet-needs-go-ahead naming the warnings that were not confirmed, payload-too-long, invalid for pages that can't be */
  async make(
    places: PlacesToPrint,
    choices: SheetChoices,
    goAhead: readonly SheetWarning[],
    ownerId: string,
  ): Promise<{ readonly print: Print; readonly sheets: readonly Sheet[] }> {
    const planned = await this.planner.plan(places, choices);
    if (planned.codes.length === 0) throw new ProblemError('payload-too-long', 'No code can hold that much.');
    const notes = await this.layOut(planned.order, ownerId);
    const named = new Set(noticesOf(planned, notes, choices).map(({ warning }) => warning));
    const open = sheetWarnings.filter(
      (warning) => named.has(warning) && !goAhead.includes(warning) && !sheetAdvice.includes(warning),
    );
    if (open.length > 0)
      throw new ProblemError('sheet-needs-go-ahead', 'There is something to look at before this is printed.', {
        warnings: open,
      });
    const sheets: Sheet[] = [];
    const [alone] = places.places;
    const many = places.places.length > 1;
    const print = await this.begin(
      { name: places.name, position: many ? null : (alone?.position ?? null), many },
      { order: planned.order, pages: notes.pages, origin: { places: places.asked, choices } },
      ownerId,
      async (manager, { id: printId, fileName: called, madeAt }) => {
        planned.codes.forEach(({ place }, position) => {
          const { kind, paper } = planned.order.setup;
          sheets.push(
            Object.assign(new Sheet(), {
              id: newId(),
              materialId: place.material.id,
              stationId: place.station?.id ?? null,
              kind,
              paper,
              sizeMm: notes.sizesMm[position] ?? 0,
              content: planned.order.contents[position],
              fileName: called,
              madeAt,
              printId,
              position,
            }),
          );
        });
        for (let from = 0; from < sheets.length; from += 200)
          await manager.insert(Sheet, sheets.slice(from, from + 200));
      },
    );
    return { print, sheets };
  }

  /**
   * Keeps a print that was laid out, and begins to draw it where it is long.
   * @param remember keeps what is on it, in the same transaction
   */
  async begin(
    { name, position, many }: PrintName,
    { order, pages, origin }: PrintToBegin,
    ownerId: string,
    remember: (manager: EntityManager, print: Print) => Promise<void>,
  ): Promise<Print> {
    const { setup, han, contents } = order;
    const now = this.clock.now();
    const long = pages > pagesAtOnce;
    const named = fileName(`${name.slice(0, 90)}, ${fileWords[setup.kind][many ? 1 : 0]}`, position, 'pdf');
    const print: Print = this.prints.create({
      id: newId(),
      ownerId,
      name,
      kind: setup.kind,
      setup,
      han,
      codes: contents.length,
      pages,
      revision: 1,
      state: long ? 'drawing' : 'done',
      storageKey: null,
      fileName: named,
      madeAt: now,
      finishedAt: long ? null : now,
      removedAt: null,
      origin,
    });
    await this.prints.manager.transaction(async (manager) => {
      await manager.insert(Print, print);
      await remember(manager, print);
    });
    if (long) await this.drawing.enqueue(print);
    return print;
  }

  /** Counts pages and measures codes. @throws ProblemError invalid for pages that can't be */
  async layOut(order: SheetOrder, ownerId: string): Promise<SheetNotes> {
    const notes = (await this.workers.ask(ownerId, { kind: 'notes', order })) as SheetNotes;
    if (notes.problem !== null)
      throw new ProblemError('invalid', 'There can’t be such pages.', {
        fields: [{ field: 'choices', message: 'has no room for its cells', detail: notes.problem }],
      });
    return notes;
  }

  /**
   * Students on a print were erased: its file goes, one that is being drawn begins again without them, and of a print
   * of nothing no name is left.
   */
  async rewrite(printId: string): Promise<void> {
    // First of all: from now on no drawing of what was can be finished, and what was finished before is removed below.
    await this.prints.update({ id: printId }, { revision: () => 'revision + 1' });
    const print = await this.prints.findOneBy({ id: printId });
    if (!print) return;
    const order = await this.printOrders.load(print);
    await this.drawing.eraseFile(printId);
    if (order.contents.length === 0) {
      await this.prints.update({ id: printId }, erased(print));
      return this.drawing.cancel(print);
    }
    const { pages } = (await this.workers.ask(print.ownerId, { kind: 'notes', order })) as SheetNotes;
    await this.prints.update({ id: printId }, { codes: order.contents.length, pages });
    if (print.state === 'drawing') await this.drawing.restart(print);
  }
}

/** Nothing is on it any more, so that it says no name either. */
function erased({ kind, setup }: Print): Partial<Print> {
  const [, several] = fileWords[kind];
  return {
    state: 'erased',
    name: several,
    fileName: `${several}.pdf`,
    setup: { ...setup, head: { title: '', about: '' } },
    codes: 0,
    pages: 0,
  };
}

/** What the files of a kind are called: of one alone, and of several. */
export const fileWords = {
  poster: ['poster', 'posters'],
  'table-card': ['table card', 'table cards'],
  'small-card': ['card', 'cards'],
  handout: ['handout', 'handout'],
  label: ['label', 'labels'],
  'student-card': ['student card', 'student cards'],
} as const;
