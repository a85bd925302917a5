/** The token that each student's card carries: made once, the same on every reprint, another one when a card is lost. */
import { randomInt } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { cardTokenNumbers, cardTokenOf, slugAlphabet } from '@hapset/core';
import { In, IsNull, Repository } from 'typeorm';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { retryingDeadlocks } from '../../platform/database/deadlock.js';
import { StudentCard } from './student-card.entity.js';

const atOnce = 500;

@Injectable()
export class CardTokens {
  constructor(
    @InjectRepository(StudentCard) private readonly cards: Repository<StudentCard>,
    private readonly clock: Clock,
  ) {}

  /** The valid one of each student, by the student's id; made where there is none. */
  async load(studentIds: readonly string[]): Promise<ReadonlyMap<string, string>> {
    const known =
      studentIds.length === 0 ? [] : await this.cards.findBy({ studentId: In([...studentIds]), replacedAt: IsNull() });
    const withCard = new Set(known.map(({ studentId }) => studentId));
    const fresh = studentIds
      .filter((id) => !withCard.has(id))
      .map((studentId) => ({
        id: newId(),
        studentId,
        validFor: studentId,
        token: newToken(),
        madeAt: this.clock.now(),
        replacedAt: null,
      }));
    // Two who print at once make one token: the second row is refused by the key, and the first is read.
    for (let from = 0; from < fresh.length; from += atOnce) {
      const rows = fresh.slice(from, from + atOnce);
      await retryingDeadlocks(() => this.cards.createQueryBuilder().insert().values(rows).orIgnore().execute());
    }
    const made =
      fresh.length === 0
        ? []
        : await this.cards.findBy({ studentId: In(fresh.map(({ studentId }) => studentId)), replacedAt: IsNull() });
    return new Map([...known, ...made].map(({ studentId, token }) => [studentId, token]));
  }

  /** It is known as replaced from now on. */
  async replace(studentId: string): Promise<void> {
    await this.cards.update({ studentId, replacedAt: IsNull() }, { replacedAt: this.clock.now(), validFor: null });
  }
}

function newToken(): string {
  return cardTokenOf(Array.from({ length: cardTokenNumbers }, () => randomInt(slugAlphabet.length)));
}
