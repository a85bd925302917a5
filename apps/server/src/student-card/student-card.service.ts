/** Cards for students: what each says, printed for a whole year group in one go, replaced when one is lost. */
import { randomInt } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { CardsPreview, CardsWish, SheetNotice, StudentView } from '@hapset/contract';
import { cardPayload, cardTokenNumbers, cardTokenOf, chooseSize, modulesOf, neededSizeMm, plainChoices, slugAlphabet, usualScene, type FaceField, type Scene, type SheetSetup } from '@hapset/core';
import { In, IsNull, Repository } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { newId } from '../database/columns.js';
import { DeviceService } from '../device/device.service.js';
import { ProblemError } from '../problem/problem.js';
import { SchoolService } from '../school/school.service.js';
import type { Print } from '../sheet/print.entity.js';
import { PrintService } from '../sheet/print.service.js';
import { noTexts, type SheetContent, type SheetJob } from '../sheet/sheet-job.js';
import { symbolPicture, symbolPictures } from '../sheet/sheet-pictures.js';
import { SheetPlanner } from '../sheet/sheet-planner.js';
import type { Student } from '../student/student.entity.js';
import { StudentService } from '../student/student.service.js';
import { missingCharacters } from '../typeface/shaped-line.js';
import { PrintedCard } from './printed-card.entity.js';
import { StudentCard } from './student-card.entity.js';

/** In the hand of somebody at a desk, behind tape or laminate, as cards are. */
const deskDistanceM = 0.2;
export const cardScene: Scene = { ...usualScene, surface: 'taped' };
/** As long as any: what is previewed has no card yet. */
const tokenToCome = cardTokenOf(Array.from({ length: cardTokenNumbers }, (_, index) => index));

interface PlannedCards {
  readonly job: SheetJob;
  readonly students: readonly Student[];
  readonly withoutId: readonly Student[];
}

@Injectable()
export class StudentCardService {
  constructor(
    @InjectRepository(StudentCard) private readonly cards: Repository<StudentCard>,
    @InjectRepository(PrintedCard) private readonly printed: Repository<PrintedCard>,
    private readonly students: StudentService,
    private readonly prints: PrintService,
    private readonly planner: SheetPlanner,
    private readonly devices: DeviceService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {
    students.beforeErasing((id) => this.forget(id));
    prints.contents('student-card', {
      of: async (printId) => (await this.printed.find({ where: { printId }, order: { position: 'ASC' } })).map(({ content }) => content),
      forget: async (printId) => void (await this.printed.delete({ printId })),
    });
  }

  /** Files that show the student's card are put away; what else was on them can be printed again. */
  private async forget(studentId: string): Promise<void> {
    const rows = await this.printed.find({ where: { studentId }, select: { id: true, printId: true } });
    await this.prints.putAwayFiles([...new Set(rows.map(({ printId }) => printId))]);
  }

  async preview(wish: CardsWish, page: number, ownerId: string): Promise<CardsPreview> {
    const planned = await this.plan(wish, new Map());
    const preview = await this.prints.previewJob(planned.job, page, ownerId);
    const [first] = planned.job.contents;
    return {
      ...preview.shown,
      notices: noticesOf(planned, preview.notes),
      withoutId: planned.withoutId.map(({ name }) => name),
      sample: first && preview.shown.sizesMm ? { payload: first.payload, sizeMm: preview.shown.sizesMm[0] } : null,
    };
  }

  /** @throws ProblemError invalid without students */
  async make(wish: CardsWish, ownerId: string): Promise<Print> {
    const students = await this.chosen(wish);
    const tokens = wish.code === 'token' ? await this.tokensOf(students) : new Map<string, string>();
    const planned = await this.plan(wish, tokens, students);
    if (planned.students.length === 0) throw new ProblemError('invalid', 'There is nobody to make a card for.', { fields: [{ field: 'wish', message: 'chooses no students' }] });
    return this.prints.begin({ name: nameOf(wish, planned.students), position: null, many: planned.students.length > 1 }, planned.job, ownerId, async (manager, print) => {
      const rows = planned.students.map((student, position) => {
        const row = new PrintedCard();
        return Object.assign(row, { id: newId(), printId: print.id, studentId: student.id, position, content: planned.job.contents[position], replacedAt: null });
      });
      for (let from = 0; from < rows.length; from += 200) await manager.insert(PrintedCard, rows.slice(from, from + 200));
    });
  }

  /** The lost one opens nothing any more; the next print has another token. */
  async replace(studentId: string): Promise<StudentView> {
    await this.students.require(studentId);
    const replacedAt = this.clock.now();
    await this.cards.update({ studentId, replacedAt: IsNull() }, { replacedAt });
    await this.printed.update({ studentId, replacedAt: IsNull() }, { replacedAt });
    return this.students.view(studentId);
  }

  private async plan(wish: CardsWish, tokens: ReadonlyMap<string, string>, chosen?: readonly Student[]): Promise<PlannedCards> {
    const all = chosen ?? (await this.chosen(wish));
    const withoutId = wish.code === 'id' ? all.filter(({ schoolId }) => schoolId === null) : [];
    const students = all.filter((student) => !withoutId.includes(student));
    const { name: school, printerMarginMm, duplexEdge, duplexRightMm, duplexDownMm } = await this.school.get();
    const devices = await this.devices.list();
    const symbol = symbolPicture(wish.symbol);
    const contents = students.map((student): SheetContent => {
      const payload = cardPayload(wish.code, { schoolId: student.schoolId ?? '', name: student.name, token: tokens.get(student.id) ?? tokenToCome });
      const size = chooseSize(payload);
      const modules = size.ok ? modulesOf(size.value.version) : 21;
      const neededMm = Math.ceil(Math.max(0, ...devices.map((device) => neededSizeMm(device, modules, deskDistanceM, cardScene))));
      return {
        payload,
        title: student.name,
        instruction: '',
        address: null,
        more: { texts: { ...noTexts, number: student.schoolId ?? '', class: student.className, place: school, what: student.name, 'for-whom': student.className, where: school }, neededMm, rehearsedMm: neededMm, picture: symbol },
      };
    });
    const setup: SheetSetup = {
      ...plainChoices('student-card', wish.paper),
      perPage: wish.perPage,
      fields: ['title', ...wish.fields.map((field) => fieldOf[field])],
      backs: wish.backs ? { edge: duplexEdge, adjustment: { rightMm: duplexRightMm, downMm: duplexDownMm } } : null,
      design: await this.planner.designOf('student-card', wish.templateId),
      printerMarginMm,
      head: { title: '', about: '' },
    };
    const pictures = { ...(await this.planner.picturesOf(contents, setup)), ...(await symbolPictures(symbol === null ? [] : [symbol.id])) };
    return { job: { setup, contents, han: 'sc', pictures, title: `Student cards, ${school}`, madeAt: this.clock.now().getTime() }, students, withoutId };
  }

  /** By class and name. */
  private async chosen({ classNames, studentIds, onlyNew }: CardsWish): Promise<readonly Student[]> {
    const all = await this.students.all({ find: '', className: null, year: null, left: false });
    const wanted = all.filter(({ id, className }) => (studentIds.length > 0 ? studentIds.includes(id) : classNames.length === 0 || classNames.includes(className)));
    if (!onlyNew) return wanted;
    const known = await this.printed.find({ where: { replacedAt: IsNull() }, select: { id: true, studentId: true } });
    const withCard = new Set(known.map(({ studentId }) => studentId));
    return wanted.filter(({ id }) => !withCard.has(id));
  }

  /** The valid token of each; made where there is none. */
  private async tokensOf(students: readonly Student[]): Promise<ReadonlyMap<string, string>> {
    const ids = students.map(({ id }) => id);
    const known = ids.length === 0 ? [] : await this.cards.findBy({ studentId: In(ids), replacedAt: IsNull() });
    const tokens = new Map(known.map(({ studentId, token }) => [studentId, token]));
    const fresh = ids.filter((id) => !tokens.has(id)).map((studentId) => ({ id: newId(), studentId, token: newCardToken(), madeAt: this.clock.now(), replacedAt: null }));
    for (let from = 0; from < fresh.length; from += 500) await this.cards.insert(fresh.slice(from, from + 500));
    for (const { studentId, token } of fresh) tokens.set(studentId, token);
    return tokens;
  }
}

const fieldOf: Readonly<Record<CardsWish['fields'][number], FaceField>> = { class: 'class', id: 'number', school: 'place' };

function newCardToken(): string {
  return cardTokenOf(Array.from({ length: cardTokenNumbers }, () => randomInt(slugAlphabet.length)));
}

function nameOf({ classNames }: CardsWish, students: readonly Student[]): string {
  const [only] = students;
  if (only && students.length === 1) return only.name;
  return classNames.length === 0 ? 'All classes' : classNames.join(', ').slice(0, 90);
}

function noticesOf({ job, students }: PlannedCards, { notes, sizesMm }: { readonly notes: readonly { readonly item: number; readonly reason: 'text-cut' | 'text-left-out' | 'too-small'; readonly field?: SheetNotice['field'] }[]; readonly sizesMm: readonly number[] }): readonly SheetNotice[] {
  const about = (item: number): Omit<SheetNotice, 'warning'> => ({ name: students[item]?.name ?? '', stationId: null, materialId: students[item]?.id ?? '', field: null, characters: [], sizeMm: null, reachM: null, distanceM: null, otherKinds: [], finer: false });
  const missing = students.flatMap(({ name, className }, item): SheetNotice[] => {
    const characters = missingCharacters(`${name} ${className}`, 'text');
    return characters.length === 0 ? [] : [{ ...about(item), warning: 'missing-characters', field: 'title', characters }];
  });
  const laid = notes.map(({ item, reason, field = null }): SheetNotice => {
    if (reason !== 'too-small') return { ...about(item), warning: reason, field };
    const [sizeMm, neededMm] = [sizesMm[item] ?? 0, job.contents[item]?.more?.neededMm ?? 1];
    return { ...about(item), warning: 'too-small', sizeMm, reachM: (deskDistanceM * sizeMm) / neededMm, distanceM: deskDistanceM };
  });
  return [...missing, ...laid];
}
