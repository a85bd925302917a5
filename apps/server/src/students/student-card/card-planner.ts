/** What is on each card, how the pages are set up, and what is not right with them. */
import { Injectable } from '@nestjs/common';
import type { CardsRequest, SheetNotice, SheetWarning } from '@hapset/contract';
import { languageOf, studentTexts } from '@hapset/student-texts';
import {
  bandColours,
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
import { blankNotice } from '../../paper/sheet/blank-notice.js';
import { noTexts, type SheetContent, type SheetOrder } from '../../paper/sheet/sheet-order.js';
import { symbolPicture, symbolPictures } from '../../paper/sheet/sheet-pictures.js';
import { SheetPlanner } from '../../paper/sheet/sheet-planner.js';
import type { SheetNotes } from '../../paper/sheet/sheet.work.js';
import { StudentPhotoService } from '../student-photo/student-photo.service.js';
import { StudentService, type StudentOnCard } from '../student/student.service.js';
import { missingCharacters } from '../../code/typeface/shaped-line.js';

/** As long as all are: what is previewed has no card yet. */
const tokenToCome = cardTokenOf(Array.from({ length: cardTokenNumbers }, (_, index) => index));
const fieldOf: Readonly<Record<Exclude<CardsRequest['fields'][number], 'photo'>, FaceField>> = {
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
    private readonly students: StudentService,
    private readonly photos: StudentPhotoService,
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
    const school = await this.school.get();
    const namesakes = namesakesOf(students);
    const facts: CardFacts = {
      request,
      school,
      words: wordsOf(school.language),
      neededFor: neededSizes(await this.devices.list()),
      bands: await this.bands(request.band),
      photos: request.fields.includes('photo') ? await this.photos.load(students.map(({ id }) => id)) : new Map(),
      showsId: (id) => request.fields.includes('id') || namesakes.has(id),
    };
    const contents = await mapInSlices(students, (student) => {
      const { schoolId, name, id } = student;
      const token = tokens.get(id) ?? tokenToCome;
      return contentOf(student, cardPayload(request.code, { schoolId: schoolId ?? '', name, token }), facts);
    });
    const setup = await this.setupOf(request, school, namesakes);
    const symbol = symbolPicture(request.symbol);
    const pictures = {
      ...(await this.sheets.picturesOf(contents, setup)),
      ...(await symbolPictures(symbol === null ? [] : [symbol.id])),
      ...Object.fromEntries([...facts.photos].map(([id, bytes]) => [photoId(id), bytes])),
    };
    return {
      order: {
        setup,
        contents,
        han: 'sc',
        pictures,
        title: `Student cards, ${school.name}`,
        madeAt: this.clock.now().getTime(),
      },
      students,
      withoutId,
    };
  }

  /** For a print that is drawn again: photos that are still there. */
  async photosOf(contents: readonly SheetContent[]): Promise<Record<string, Uint8Array>> {
    const found = await this.photos.load(studentsInPhotos(contents));
    return Object.fromEntries([...found].map(([id, bytes]) => [photoId(id), bytes]));
  }

  private async setupOf(
    request: CardsRequest,
    { printerMarginMm, duplexEdge, duplexRightMm, duplexDownMm }: School,
    namesakes: ReadonlySet<string>,
  ): Promise<SheetSetup> {
    const design = await this.sheets.designOf('student-card', request.templateId);
    return {
      ...plainChoices('student-card', request.paper),
      // Two rows of five upright cards are on a page that lies.
      lying: request.design === 'upright',
      perPage: request.perPage,
      fields: ['title', 'instruction', 'tap', ...fieldsOf(withWords(request), namesakes)],
      backs: request.backs ? { edge: duplexEdge, adjustment: { rightMm: duplexRightMm, downMm: duplexDownMm } } : null,
      design: { ...design, card: request.design },
      newPagePerGroup: request.newPagePerClass,
      printerMarginMm,
      head: { title: '', about: '' },
    };
  }

  /** Of all classes or years of the school, so that a class has its colour on every print. */
  private async bands(by: CardsRequest['band']): Promise<ReadonlyMap<string, string>> {
    if (by === 'none') return new Map();
    const { classes, years } = await this.students.groups(null);
    return bandColours((by === 'class' ? classes : years).map(({ name }) => name).filter((name) => name !== ''));
  }
}

/** Width by height of all photos. */
const photoAspect = 4 / 5;
const photoPrefix = 'photo:';

/** Under which a student's photo is among the pictures of an order. */
function photoId(studentId: string): string {
  return `${photoPrefix}${studentId}`;
}

/** @param contents of a print @returns whose photos it shows */
function studentsInPhotos(contents: readonly SheetContent[]): readonly string[] {
  return contents.flatMap(({ more }) => (more?.photo ? [more.photo.id.slice(photoPrefix.length)] : []));
}

type School = Awaited<ReturnType<SchoolService['get']>>;

interface CardFacts {
  readonly request: CardsRequest;
  readonly school: School;
  readonly words: CardWords;
  /** Side of the symbol that a payload needs at a desk, mm. */
  readonly neededFor: (payload: string) => number;
  /** Colours by class or year. */
  readonly bands: ReadonlyMap<string, string>;
  /** JPEG by student. */
  readonly photos: ReadonlyMap<string, Uint8Array>;
  readonly showsId: (studentId: string) => boolean;
}

/** What is printed on cards in words, in the school's language. */
interface CardWords {
  readonly year: (year: string) => string;
  readonly validUntil: (isoDate: string) => string;
  readonly ifFound: string;
}

function wordsOf(tag: string): CardWords {
  const say = studentTexts(languageOf(tag)?.tag ?? 'en');
  const date = new Intl.DateTimeFormat(tag, { dateStyle: 'long', timeZone: 'UTC' });
  return {
    year: (year) => say('cardYear', { year }),
    validUntil: (isoDate) => say('cardValidUntil', { date: date.format(new Date(isoDate)) }),
    ifFound: say('cardIfFound'),
  };
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
  return fields.flatMap((field) => (field === 'photo' ? [] : [fieldOf[field]]));
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

/** Colour alone tells nobody: a band says in words what its colour means. */
function withWords({ fields, band }: CardsRequest): CardsRequest['fields'] {
  return band === 'none' || fields.includes('class') ? fields : ['class', ...fields];
}

function bandWords(band: CardsRequest['band'], { className, year }: StudentOnCard): string {
  return band !== 'year' || year === '' || className.includes(year) ? className : `${year} · ${className}`;
}

function contentOf(student: StudentOnCard, payload: string, facts: CardFacts): SheetContent {
  const { name, className, year, id, schoolId } = student;
  const { request, school, words, neededFor, bands, photos, showsId } = facts;
  const neededMm = neededFor(payload);
  const { schoolYear, validUntil, symbol } = request;
  const yearWords = schoolYear.trim() === '' ? '' : words.year(schoolYear.trim());
  const band = bands.get(request.band === 'year' ? year : className);
  return {
    payload,
    title: name,
    instruction: yearWords,
    tap: validUntil === null ? '' : words.validUntil(validUntil),
    address: null,
    more: {
      texts: {
        ...noTexts,
        number: showsId(id) ? (schoolId ?? '') : '',
        class: bandWords(request.band, student),
        place: school.name,
        what: words.ifFound,
        meaning: [school.name, school.cardReturnTo].filter((part) => part !== '').join(', '),
        'for-whom': name,
        where: [className, schoolYear.trim()].filter((part) => part !== '').join(' · '),
      },
      neededMm,
      rehearsedMm: neededMm,
      picture: symbolPicture(symbol),
      ...(photos.has(id) && { photo: { id: photoId(id), aspect: photoAspect } }),
      ...(band !== undefined && { band }),
      ...(request.newPagePerClass && { group: className }),
    },
  };
}

/** Names that can't be written or have no room, and codes that are too small for a desk. */
export async function cardNotices(
  { order, students }: PlannedCards,
  { notes, sizesMm }: Pick<SheetNotes, 'notes' | 'sizesMm'>,
): Promise<readonly SheetNotice[]> {
  const blank = (item: number, warning: SheetWarning): SheetNotice =>
    blankNotice(warning, { name: students[item]?.name ?? '', stationId: null, materialId: students[item]?.id ?? '' });
  const missing = await mapInSlices(students, ({ name, className }, item): readonly SheetNotice[] => {
    const characters = missingCharacters(`${name} ${className}`, 'text');
    return characters.length === 0 ? [] : [{ ...blank(item, 'missing-characters'), field: 'title', characters }];
  });
  const laid = notes.map((note): SheetNotice => {
    if (note.reason !== 'too-small')
      return { ...blank(note.item, note.reason), field: 'field' in note ? note.field : null };
    const [sizeMm, neededMm] = [sizesMm[note.item] ?? 0, order.contents[note.item]?.more?.neededMm ?? 1];
    return {
      ...blank(note.item, 'too-small'),
      sizeMm,
      reachM: (deskDistanceM * sizeMm) / neededMm,
      distanceM: deskDistanceM,
    };
  });
  return [...missing.flat(), ...laid];
}
