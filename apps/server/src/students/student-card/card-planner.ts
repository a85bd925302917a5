/** What is on each card, how the pages are set up, and what is not right with them. */
import { Injectable } from '@nestjs/common';
import type { CardsRequest, SheetNotice } from '@hapset/contract';
import {
  cardPayload,
  cardTokenNumbers,
  cardTokenOf,
  chooseSize,
  deskDistanceM,
  deskScene,
  modulesOf,
  nameKey,
  neededSizeMm,
  plainChoices,
  type DeviceProfile,
  type FaceField,
  type SheetSetup,
} from '@hapset/core';
import { mapInSlices } from '../../platform/clock/in-slices.js';
import { Clock } from '../../platform/clock/clock.js';
import { DeviceService } from '../../school/device/device.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { noTexts, type SheetContent, type SheetOrder } from '../../paper/sheet/sheet-order.js';
import { symbolPicture, symbolPictures } from '../../paper/sheet/sheet-pictures.js';
import { SheetPlanner } from '../../paper/sheet/sheet-planner.js';
import type { SheetNotes } from '../../paper/sheet/sheet.work.js';
import type { StudentOnCard } from '../student/student.service.js';
import { missingCharacters } from '../../code/typeface/shaped-line.js';

/** As long as all are: what is previewed has no card yet. */
const tokenToCome = cardTokenOf(Array.from({ length: cardTokenNumbers }, (_, index) => index));
const fieldOf: Readonly<Record<CardsRequest['fields'][number], FaceField>> = {
  class: 'class',
  id: 'number',
  school: 'place',
};

export interface PlannedCards {
  readonly order: SheetOrder;
  /** Of the cards of the job, in its order. */
  readonly students: readonly StudentOnCard[];
  /** Who can't have one, since there is no id that it could say. */
  readonly withoutId: readonly StudentOnCard[];
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
  async plan(
    request: CardsRequest,
    all: readonly StudentOnCard[],
    tokens: ReadonlyMap<string, string>,
  ): Promise<PlannedCards> {
    const withoutId = request.code === 'id' ? all.filter(({ schoolId }) => schoolId === null) : [];
    const students = request.code === 'id' ? all.filter(({ schoolId }) => schoolId !== null) : all;
    const { name: school, printerMarginMm, duplexEdge, duplexRightMm, duplexDownMm } = await this.school.get();
    const devices = await this.devices.list();
    const neededFor = neededSizes(devices);
    const namesakes = namesakesOf(students);
    const withId = request.fields.includes('id');
    const contents = await mapInSlices(students, (student) =>
      contentOf(
        student,
        cardPayload(request.code, {
          schoolId: student.schoolId ?? '',
          name: student.name,
          token: tokens.get(student.id) ?? tokenToCome,
        }),
        { school, symbol: request.symbol, neededFor, showsId: withId || namesakes.has(student.id) },
      ),
    );
    const setup: SheetSetup = {
      ...plainChoices('student-card', request.paper),
      perPage: request.perPage,
      fields: ['title', ...fieldsOf(request.fields, namesakes)],
      backs: request.backs ? { edge: duplexEdge, adjustment: { rightMm: duplexRightMm, downMm: duplexDownMm } } : null,
      design: await this.sheets.designOf('student-card', request.templateId),
      printerMarginMm,
      head: { title: '', about: '' },
    };
    const symbol = symbolPicture(request.symbol);
    const pictures = {
      ...(await this.sheets.picturesOf(contents, setup)),
      ...(await symbolPictures(symbol === null ? [] : [symbol.id])),
    };
    return {
      order: {
        setup,
        contents,
        han: 'sc',
        pictures,
        title: `Student cards, ${school}`,
        madeAt: this.clock.now().getTime(),
      },
      students,
      withoutId,
    };
  }
}

interface CardFacts {
  readonly school: string;
  readonly symbol: string | null;
  /** Side of the symbol that a payload needs at a desk, mm. */
  readonly neededFor: (payload: string) => number;
  readonly showsId: boolean;
}

/** Ids of students whom name and class alone don't tell apart. */
function namesakesOf(students: readonly StudentOnCard[]): ReadonlySet<string> {
  const first = new Map<string, string>();
  const namesakes = new Set<string>();
  for (const { id, name, className } of students) {
    const key = `${nameKey(name)}\n${className}`;
    const other = first.get(key);
    if (other === undefined) first.set(key, id);
    else namesakes.add(id).add(other);
  }
  return namesakes;
}

/** With the id where namesakes need it, asked for or not. */
function fieldsOf(asked: CardsRequest['fields'], namesakes: ReadonlySet<string>): readonly FaceField[] {
  const fields = namesakes.size > 0 && !asked.includes('id') ? [...asked, 'id' as const] : asked;
  return fields.map((field) => fieldOf[field]);
}

/** Equal payloads, and equal sizes, are worked out once. */
function neededSizes(devices: readonly DeviceProfile[]): (payload: string) => number {
  const byModules = new Map<number, number>();
  const byPayload = new Map<string, number>();
  const forModules = (modules: number): number => {
    const known =
      byModules.get(modules) ??
      Math.ceil(Math.max(0, ...devices.map((device) => neededSizeMm(device, modules, deskDistanceM, deskScene))));
    byModules.set(modules, known);
    return known;
  };
  return (payload) => {
    const known = byPayload.get(payload);
    if (known !== undefined) return known;
    const size = chooseSize(payload);
    const needed = forModules(size.ok ? modulesOf(size.value.version) : 21);
    byPayload.set(payload, needed);
    return needed;
  };
}

function contentOf(
  { name, className, schoolId }: StudentOnCard,
  payload: string,
  { school, symbol, neededFor, showsId }: CardFacts,
): SheetContent {
  const neededMm = neededFor(payload);
  return {
    payload,
    title: name,
    instruction: '',
    address: null,
    more: {
      texts: {
        ...noTexts,
        number: showsId ? (schoolId ?? '') : '',
        class: className,
        place: school,
        what: name,
        'for-whom': className,
        where: school,
      },
      neededMm,
      rehearsedMm: neededMm,
      picture: symbolPicture(symbol),
    },
  };
}

/** Names that can't be written or have no room, and codes that are too small for a desk. */
export async function cardNotices(
  { order, students }: PlannedCards,
  { notes, sizesMm }: Pick<SheetNotes, 'notes' | 'sizesMm'>,
): Promise<readonly SheetNotice[]> {
  const about = (item: number): Omit<SheetNotice, 'warning'> => ({
    name: students[item]?.name ?? '',
    stationId: null,
    materialId: students[item]?.id ?? '',
    field: null,
    opens: null,
    characters: [],
    sizeMm: null,
    reachM: null,
    distanceM: null,
    otherKinds: [],
    finer: false,
  });
  const missing = await mapInSlices(students, ({ name, className }, item): readonly SheetNotice[] => {
    const characters = missingCharacters(`${name} ${className}`, 'text');
    return characters.length === 0
      ? []
      : [{ ...about(item), warning: 'missing-characters', field: 'title', characters }];
  });
  const laid = notes.map((note): SheetNotice => {
    if (note.reason !== 'too-small') return { ...about(note.item), warning: note.reason, field: note.field };
    const [sizeMm, neededMm] = [sizesMm[note.item] ?? 0, order.contents[note.item]?.more?.neededMm ?? 1];
    return {
      ...about(note.item),
      warning: 'too-small',
      sizeMm,
      reachM: (deskDistanceM * sizeMm) / neededMm,
      distanceM: deskDistanceM,
    };
  });
  return [...missing.flat(), ...laid];
}
