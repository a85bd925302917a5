/** What was printed before: listed page by page, deleted with a way back, drawn again where its file is gone. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { limits, type PrintOrigin, type PrintsPage, type PrintView } from '@hapset/contract';
import { plainChoices } from '@hapset/core';
import { In, IsNull, LessThan, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { PrintDrawing } from './print-drawing.js';
import { Print } from './print.entity.js';
import { mayBeDrawnAgain, toPrintView } from './print.view.js';
import type { PrintRecord } from './sheet-record.js';
import { SheetTemplateService } from './sheet-template.service.js';

@Injectable()
export class PrintList {
  constructor(
    @InjectRepository(Print) private readonly prints: Repository<Print>,
    private readonly drawing: PrintDrawing,
    private readonly templates: SheetTemplateService,
    private readonly clock: Clock,
  ) {}

  /** The newest first. @param after the `next` of the page before; null for the first one */
  async page(ownerId: string, after: string | null): Promise<PrintsPage> {
    const own = { ownerId, removedAt: IsNull() };
    const found = await this.prints.find({
      where: { ...own, ...(after !== null && { id: LessThan(after) }) },
      order: { id: 'DESC' },
      take: limits.printsPage + 1,
    });
    const shown = found.slice(0, limits.printsPage);
    return {
      rows: await this.view(shown),
      next: found.length > shown.length ? (shown.at(-1)?.id ?? null) : null,
      total: await this.prints.countBy(own),
    };
  }

  /** With how far they are, and who made them. */
  async view(prints: readonly PrintRecord[]): Promise<readonly PrintView[]> {
    const [drawn, made] = await Promise.all([
      this.drawing.listDrawn(prints),
      this.prints.find({
        where: { id: In(prints.map(({ id }) => id)) },
        relations: { owner: true },
        select: { id: true, owner: { id: true, name: true } },
      }),
    ]);
    const authors = new Map(made.map(({ id, owner }) => [id, owner.name]));
    return prints.map((print) =>
      toPrintView(print, { author: authors.get(print.id) ?? '', drawn: drawn.get(print.id) ?? 0 }),
    );
  }

  /** @throws ProblemError not-found */
  async viewOf(id: string): Promise<PrintView> {
    return (await this.view([await this.require(id)]))[0] as PrintView;
  }

  /** What to open the composer with. @throws ProblemError not-found where that is not known */
  async origin(id: string): Promise<PrintOrigin> {
    const { origin } = await this.require(id);
    if (!origin) throw notFound('origin');
    const { templateId } = origin.choices;
    const known = templateId === null || (await this.templates.exists(templateId));
    // Prints of before there were designs and languages have none of their own.
    const choices = { ...plainChoices(origin.choices.kind, origin.choices.paper), ...origin.choices };
    return { ...origin, choices: known ? choices : { ...choices, templateId: null } };
  }

  /** One that is being drawn is stopped. That its codes are on paper is remembered. @throws ProblemError not-found */
  async remove(id: string): Promise<void> {
    const print = await this.require(id);
    if (print.state === 'drawing') await this.drawing.stop(print);
    await this.prints.update({ id }, { removedAt: this.clock.now() });
  }

  async restore(id: string): Promise<void> {
    await this.prints.update({ id }, { removedAt: null });
  }

  /** @throws ProblemError not-found */
  async stop(id: string): Promise<void> {
    await this.drawing.stop(await this.require(id));
  }

  /** Makes a missing file again, with the same content. Does nothing while it is being drawn. @throws ProblemError not-found, gone */
  async drawAgain(id: string): Promise<void> {
    const print = await this.require(id);
    if (print.state === 'drawing') return;
    if (!mayBeDrawnAgain(print))
      throw new ProblemError('gone', 'Its content was not saved. Make it again in the composer.');
    await this.drawing.begin(print);
  }

  /** @throws ProblemError not-found */
  async require(id: string): Promise<Print> {
    const found = await this.prints.findOneBy({ id });
    if (!found) throw notFound('print');
    return found;
  }
}
