/** Cards for students: looked at, printed for a whole year group in one go, replaced when one is lost. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CardsPreview, CardsWish, StudentView } from '@hapset/contract';
import { IsNull, Repository } from 'typeorm';
import { LatestOnly } from '../../platform/clock/latest-only.js';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { PrintService } from '../../paper/sheet/print.service.js';
import { StudentService, type StudentOnCard } from '../student/student.service.js';
import { StudentVisibility } from '../student/student-visibility.js';
import { cardNotices, CardPlanner } from './card-planner.js';
import { CardTokens } from './card-tokens.js';
import { PrintedCard } from './printed-card.entity.js';
import type { PrintRecord } from '../../paper/sheet/sheet-record.js';
import type { SignedIn } from '../../school/rights/signed-in.js';

const atOnce = 200;

@Injectable()
export class StudentCardService {
  private readonly previews = new LatestOnly();

  constructor(
    @InjectRepository(PrintedCard) private readonly printed: Repository<PrintedCard>,
    private readonly tokens: CardTokens,
    private readonly planner: CardPlanner,
    private readonly students: StudentService,
    private readonly prints: PrintService,
    private readonly visibility: StudentVisibility,
    private readonly clock: Clock,
  ) {
    prints.contents('student-card', {
      of: async (printId) =>
        (await this.printed.find({ where: { printId }, order: { position: 'ASC' } })).map(({ content }) => content),
      forget: async (printId) => void (await this.printed.delete({ printId })),
    });
  }

  async preview(wish: CardsWish, page: number, who: SignedIn): Promise<CardsPreview> {
    return this.previews.run(who.id, () => this.drawPreview(wish, page, who));
  }

  private async drawPreview(wish: CardsWish, page: number, who: SignedIn): Promise<CardsPreview> {
    const planned = await this.planner.plan(wish, await this.chosen(wish, who), new Map());
    const { shown, notes } = await this.prints.previewJob(planned.job, page, who.id);
    const [first] = planned.job.contents;
    return {
      ...shown,
      notices: await cardNotices(planned, notes),
      withoutId: planned.withoutId.map(({ name }) => name),
      sample: first && shown.sizesMm ? { payload: first.payload, sizeMm: shown.sizesMm[0] } : null,
    };
  }

  /** @throws ProblemError invalid without students */
  async make(wish: CardsWish, who: SignedIn): Promise<PrintRecord> {
    const chosen = await this.chosen(wish, who);
    const tokens = wish.code === 'token' ? await this.tokens.of(chosen.map(({ id }) => id)) : new Map<string, string>();
    const { job, students } = await this.planner.plan(wish, chosen, tokens);
    if (students.length === 0)
      throw new ProblemError('invalid', 'There is nobody to make a card for.', {
        fields: [{ field: 'wish', message: 'chooses no students' }],
      });
    return this.prints.begin(
      { name: nameOf(wish, students), position: null, many: students.length > 1 },
      job,
      who.id,
      async (manager, { id: printId }) => {
        const rows = students.map((student, position) =>
          Object.assign(new PrintedCard(), {
            id: newId(),
            printId,
            studentId: student.id,
            position,
            content: job.contents[position],
            replacedAt: null,
          }),
        );
        for (let from = 0; from < rows.length; from += atOnce)
          await manager.insert(PrintedCard, rows.slice(from, from + atOnce));
      },
    );
  }

  /** The lost one opens nothing any more; the next print has another token. @throws ProblemError not-found */
  async replace(studentId: string): Promise<StudentView> {
    await this.students.require(studentId);
    await this.tokens.replace(studentId);
    await this.printed.update({ studentId, replacedAt: IsNull() }, { replacedAt: this.clock.now() });
    return this.students.view(studentId);
  }

  /** By class and name. */
  private async chosen(
    { classNames, studentIds, onlyNew }: CardsWish,
    who: SignedIn,
  ): Promise<readonly StudentOnCard[]> {
    const all = await this.students.lean({
      find: '',
      className: null,
      year: null,
      left: false,
      visible: await this.visibility.of(who),
    });
    const ids = new Set(studentIds);
    const wanted = all.filter(({ id, className }) =>
      ids.size > 0 ? ids.has(id) : classNames.length === 0 || classNames.includes(className),
    );
    if (!onlyNew) return wanted;
    const known = await this.printed.find({ where: { replacedAt: IsNull() }, select: { id: true, studentId: true } });
    const withCard = new Set(known.map(({ studentId }) => studentId));
    return wanted.filter(({ id }) => !withCard.has(id));
  }
}

function nameOf({ classNames }: CardsWish, students: readonly StudentOnCard[]): string {
  const [only] = students;
  if (only && students.length === 1) return only.name;
  return classNames.length === 0 ? 'All classes' : classNames.join(', ').slice(0, 90);
}
