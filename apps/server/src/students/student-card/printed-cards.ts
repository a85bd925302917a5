/** Which student's card is on which print. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, IsNull, Repository, type EntityManager } from 'typeorm';
import type { SheetContent } from '../../paper/sheet/sheet-order.js';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { PrintedCard } from './printed-card.entity.js';

const atOnce = 200;

@Injectable()
export class PrintedCards {
  constructor(
    @InjectRepository(PrintedCard) private readonly cards: Repository<PrintedCard>,
    private readonly clock: Clock,
  ) {}

  /** In their order on the print. */
  async remember(
    manager: EntityManager,
    printId: string,
    cards: readonly { readonly studentId: string; readonly content: SheetContent }[],
  ): Promise<void> {
    const rows = cards.map(({ studentId, content }, position) =>
      Object.assign(new PrintedCard(), { id: newId(), printId, studentId, position, content, replacedAt: null }),
    );
    for (let from = 0; from < rows.length; from += atOnce)
      await manager.insert(PrintedCard, rows.slice(from, from + atOnce));
  }

  async listContents(printId: string): Promise<readonly SheetContent[]> {
    const rows = await this.cards.find({ where: { printId }, order: { position: 'ASC' } });
    return rows.map(({ content }) => content);
  }

  async forget(printId: string): Promise<void> {
    await this.cards.delete({ printId });
  }

  /** What is drawn again shows none of these photos. @returns the prints that did */
  async forgetPhotos(studentIds: readonly string[]): Promise<readonly string[]> {
    if (studentIds.length === 0) return [];
    const cards = await this.cards.findBy({ studentId: In([...studentIds]) });
    const withPhoto = cards.filter(({ content }) => content.more?.photo !== undefined);
    for (const { id, content } of withPhoto) {
      const { photo: _photo, ...more } = content.more as NonNullable<SheetContent['more']>;
      await this.cards.update({ id }, { content: { ...content, more } });
    }
    return [...new Set(withPhoto.map(({ printId }) => printId))];
  }

  /** Ids of students who have a card that was not replaced. */
  async studentsWithCard(): Promise<ReadonlySet<string>> {
    const rows = await this.cards.find({ where: { replacedAt: IsNull() }, select: { id: true, studentId: true } });
    return new Set(rows.map(({ studentId }) => studentId));
  }

  async markReplaced(studentId: string): Promise<void> {
    await this.cards.update({ studentId, replacedAt: IsNull() }, { replacedAt: this.clock.now() });
  }
}
