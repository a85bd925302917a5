/** Cards for students: looked at, printed for a whole year group in one go, replaced when one is lost. */
import { Injectable } from '@nestjs/common';
import type { CardsPreview, CardsRequest, StudentView } from '@hapset/contract';
import { LatestOnly } from '../../platform/clock/latest-only.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { PrintService } from '../../paper/sheet/print.service.js';
import { StudentService, type StudentOnCard } from '../student/student.service.js';
import { StudentVisibility } from '../student/student-visibility.js';
import { cardNotices, CardPlanner } from './card-planner.js';
import { CardTokens } from './card-tokens.js';
import type { PrintRecord } from '../../paper/sheet/sheet-record.js';
import type { SignedIn } from '../../school/rights/signed-in.js';
import { PrintedCards } from './printed-cards.js';
import type { SheetContent } from '../../paper/sheet/sheet-order.js';

@Injectable()
export class StudentCardService {
  private readonly previews = new LatestOnly();

  constructor(
    private readonly printed: PrintedCards,
    private readonly tokens: CardTokens,
    private readonly planner: CardPlanner,
    private readonly students: StudentService,
    private readonly prints: PrintService,
    private readonly visibility: StudentVisibility,
  ) {
    prints.contents('student-card', {
      load: (printId) => this.printed.listContents(printId),
      pictures: (contents) => this.planner.photosOf(contents),
      forget: (printId) => this.printed.forget(printId),
    });
  }

  async preview(request: CardsRequest, page: number, who: SignedIn): Promise<CardsPreview> {
    return this.previews.run(who.id, () => this.drawPreview(request, page, who));
  }

  private async drawPreview(request: CardsRequest, page: number, who: SignedIn): Promise<CardsPreview> {
    const planned = await this.planner.plan(request, await this.chosen(request, who), new Map());
    const { shown, notes } = await this.prints.previewOrder(planned.order, page, who.id);
    const [first] = planned.order.contents;
    return {
      ...shown,
      notices: await cardNotices(planned, notes),
      withoutId: planned.withoutId.map(({ name }) => name),
      sample: first && shown.sizesMm ? { payload: first.payload, sizeMm: shown.sizesMm[0] } : null,
    };
  }

  /** @throws ProblemError invalid without students, or for pages that can't be */
  async make(request: CardsRequest, who: SignedIn): Promise<PrintRecord> {
    const chosen = await this.chosen(request, who);
    const tokens =
      request.code === 'token' ? await this.tokens.load(chosen.map(({ id }) => id)) : new Map<string, string>();
    const { order, students } = await this.planner.plan(request, chosen, tokens);
    if (students.length === 0)
      throw new ProblemError('invalid', 'There is nobody to make a card for.', {
        fields: [{ field: 'request', message: 'chooses no students' }],
      });
    return this.prints.begin(
      {
        name: `${nameOf(request, students)}, ${request.paper}, ${request.perPage} per page`,
        position: null,
        many: students.length > 1,
      },
      { order, pages: (await this.prints.layOut(order, who.id)).pages, origin: null },
      who.id,
      async (manager, { id: printId }) => {
        await this.printed.remember(
          manager,
          printId,
          students.map(({ id }, index) => ({ studentId: id, content: order.contents[index] as SheetContent })),
        );
      },
    );
  }

  /** The lost one opens nothing any more; the next print has another token. @throws ProblemError not-found */
  async replace(studentId: string): Promise<StudentView> {
    await this.students.require(studentId);
    await this.tokens.replace(studentId);
    await this.printed.markReplaced(studentId);
    return this.students.view(studentId);
  }

  /** By class and name. */
  private async chosen(
    { classNames, studentIds, onlyNew }: CardsRequest,
    who: SignedIn,
  ): Promise<readonly StudentOnCard[]> {
    const all = await this.students.lean({
      find: '',
      className: null,
      year: null,
      left: false,
      visible: await this.visibility.find(who),
    });
    const ids = new Set(studentIds);
    const wanted = all.filter(({ id, className }) =>
      ids.size > 0 ? ids.has(id) : classNames.length === 0 || classNames.includes(className),
    );
    if (!onlyNew) return wanted;
    const withCard = await this.printed.studentsWithCard();
    return wanted.filter(({ id }) => !withCard.has(id));
  }
}

function nameOf({ classNames }: CardsRequest, students: readonly StudentOnCard[]): string {
  const [only] = students;
  if (only && students.length === 1) return only.name;
  return classNames.length === 0 ? 'All classes' : classNames.join(', ').slice(0, 90);
}
