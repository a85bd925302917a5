/** What stands on each card, how the pages are set up, and what is not right with them. */
import { Injectable } from '@nestjs/common';
import type { CardsWish, SheetNotice } from '@hapset/contract';
import { cardPayload, cardTokenNumbers, cardTokenOf, chooseSize, deskDistanceM, deskScene, modulesOf, neededSizeMm, plainChoices, type DeviceProfile, type FaceField, type SheetSetup } from '@hapset/core';
import { Clock } from '../clock/clock.js';
import { DeviceService } from '../device/device.service.js';
import { SchoolService } from '../school/school.service.js';
import { noTexts, type SheetContent, type SheetJob } from '../sheet/sheet-job.js';
import { symbolPicture, symbolPictures } from '../sheet/sheet-pictures.js';
import { SheetPlanner } from '../sheet/sheet-planner.js';
import type { SheetNotes } from '../sheet/sheet.work.js';
import type { Student } from '../student/student.entity.js';
import { missingCharacters } from '../typeface/shaped-line.js';

/** As long as all are: what is previewed has no card yet. */
const tokenToCome = cardTokenOf(Array.from({ length: cardTokenNumbers }, (_, index) => index));
const fieldOf: Readonly<Record<CardsWish['fields'][number], FaceField>> = { class: 'class', id: 'number', school: 'place' };

export interface PlannedCards {
  readonly job: SheetJob;
  /** Of the cards of the job, in its order. */
  readonly students: readonly Student[];
  /** Who can't have one, since there is no id that it could say. */
  readonly withoutId: readonly Student[];
}

@Injectable()
export class CardPlanner {
  constructor(
    private readonly sheets: SheetPlanner,
    private readonly devices: DeviceService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  /** @param tokens by the student's id; of none while it is only looked at */
  async plan(wish: CardsWish, all: readonly Student[], tokens: ReadonlyMap<string, string>): Promise<PlannedCards> {
    const withoutId = wish.code === 'id' ? all.filter(({ schoolId }) => schoolId === null) : [];
    const students = all.filter((student) => !withoutId.includes(student));
    const { name: school, printerMarginMm, duplexEdge, duplexRightMm, duplexDownMm } = await this.school.get();
    const devices = await this.devices.list();
    const contents = students.map((student) => contentOf(student, cardPayload(wish.code, { schoolId: student.schoolId ?? '', name: student.name, token: tokens.get(student.id) ?? tokenToCome }), { school, symbol: wish.symbol, devices }));
    const setup: SheetSetup = {
      ...plainChoices('student-card', wish.paper),
      perPage: wish.perPage,
      fields: ['title', ...wish.fields.map((field) => fieldOf[field])],
      backs: wish.backs ? { edge: duplexEdge, adjustment: { rightMm: duplexRightMm, downMm: duplexDownMm } } : null,
      design: await this.sheets.designOf('student-card', wish.templateId),
      printerMarginMm,
      head: { title: '', about: '' },
    };
    const symbol = symbolPicture(wish.symbol);
    const pictures = { ...(await this.sheets.picturesOf(contents, setup)), ...(await symbolPictures(symbol === null ? [] : [symbol.id])) };
    return { job: { setup, contents, han: 'sc', pictures, title: `Student cards, ${school}`, madeAt: this.clock.now().getTime() }, students, withoutId };
  }
}

interface CardFacts {
  readonly school: string;
  readonly symbol: string | null;
  readonly devices: readonly DeviceProfile[];
}

function contentOf({ name, className, schoolId }: Student, payload: string, { school, symbol, devices }: CardFacts): SheetContent {
  const size = chooseSize(payload);
  const modules = size.ok ? modulesOf(size.value.version) : 21;
  const neededMm = Math.ceil(Math.max(0, ...devices.map((device) => neededSizeMm(device, modules, deskDistanceM, deskScene))));
  return {
    payload,
    title: name,
    instruction: '',
    address: null,
    more: { texts: { ...noTexts, number: schoolId ?? '', class: className, place: school, what: name, 'for-whom': className, where: school }, neededMm, rehearsedMm: neededMm, picture: symbolPicture(symbol) },
  };
}

/** Names that can't be written or have no room, and codes that are too small for a desk. */
export function cardNotices({ job, students }: PlannedCards, { notes, sizesMm }: Pick<SheetNotes, 'notes' | 'sizesMm'>): readonly SheetNotice[] {
  const about = (item: number): Omit<SheetNotice, 'warning'> => ({ name: students[item]?.name ?? '', stationId: null, materialId: students[item]?.id ?? '', field: null, characters: [], sizeMm: null, reachM: null, distanceM: null, otherKinds: [], finer: false });
  const missing = students.flatMap(({ name, className }, item): readonly SheetNotice[] => {
    const characters = missingCharacters(`${name} ${className}`, 'text');
    return characters.length === 0 ? [] : [{ ...about(item), warning: 'missing-characters', field: 'title', characters }];
  });
  const laid = notes.map((note): SheetNotice => {
    if (note.reason !== 'too-small') return { ...about(note.item), warning: note.reason, field: note.field };
    const [sizeMm, neededMm] = [sizesMm[note.item] ?? 0, job.contents[note.item]?.more?.neededMm ?? 1];
    return { ...about(note.item), warning: 'too-small', sizeMm, reachM: (deskDistanceM * sizeMm) / neededMm, distanceM: deskDistanceM };
  });
  return [...missing, ...laid];
}
