/** From a request to pages: what each code shows, how the pages are set up, and what is not right with them. */
import { Injectable } from '@nestjs/common';
import type { SheetChoices, SheetNotice, SheetWarning } from '@hapset/contract';
import {
  isLocked,
  kindsThatHold,
  layoutsOf,
  perPageChoices,
  plainSheetDesign,
  standing,
  usualPerPage,
  withBacks,
  type FaceLayoutName,
  type SheetDesign,
  type SheetKind,
  type SheetNote,
  type SheetSetup,
} from '@hapset/core';
import { languageOf } from '@hapset/student-texts';
import { Clock } from '../../platform/clock/clock.js';
import { LookPictureService } from '../../code/look/look-picture.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { missingCharacters } from '../../code/typeface/shaped-line.js';
import { blankNotice } from './blank-notice.js';
import { contentOf, distanceOf, reachAtM } from './sheet-content.js';
import { textsOf, type SheetContent, type SheetOrder } from './sheet-order.js';
import { SheetPictures } from './sheet-pictures.js';
import type { PlacesToPrint } from './sheet-places.js';
import { titleOf } from './sheet-places.js';
import type { SheetTemplate } from './sheet-template.entity.js';
import { SheetTemplateService } from './sheet-template.service.js';
import type { SheetNotes } from './sheet.work.js';
import type { Place } from '../../lessons/station/place.js';
import { PlacedCodeService } from '../../reads/placed-code/placed-code.service.js';
import type { PlacedCode } from '../../reads/placed-code/placed-code.js';

export interface PlannedSheets {
  readonly order: SheetOrder;
  /** In the order of its codes. */
  readonly codes: readonly PlacedCode[];
  /** Places for which there is no code. */
  readonly without: readonly Place[];
}

@Injectable()
export class SheetPlanner {
  constructor(
    private readonly codes: PlacedCodeService,
    private readonly school: SchoolService,
    private readonly templates: SheetTemplateService,
    private readonly sheetPictures: SheetPictures,
    private readonly lookPictures: LookPictureService,
    private readonly clock: Clock,
  ) {}

  async plan({ name, places }: PlacesToPrint, choices: SheetChoices): Promise<PlannedSheets> {
    const all = await this.codes.list(places);
    const codes = all.filter(({ code }) => code !== null);
    const setup = await this.setup(name, codes, choices);
    const withPictures = choices.kind === 'poster' && choices.picture && setup.design.layout === 'picture-first';
    const pictures = await this.sheetPictures.load(withPictures ? codes : []);
    const contents = codes.map((placed) =>
      contentOf(placed, choices, pictures.shown.get(placed.place.material.id) ?? null),
    );
    const order: SheetOrder = {
      setup,
      contents,
      han: choices.han,
      pictures: { ...pictures.bytes, ...(await this.picturesOf(contents, setup)) },
      title: name,
      madeAt: this.clock.now().getTime(),
    };
    return {
      order,
      codes,
      without: places.filter((place) => !codes.some((placed) => placed.place === place)),
    };
  }

  /** What is drawn with: pictures of looks and of the header. */
  async picturesOf(contents: readonly SheetContent[], { design }: SheetSetup): Promise<Record<string, Uint8Array>> {
    const ofLooks = contents.flatMap(({ look }) => (look?.centre?.kind === 'picture' ? [look.centre.pictureId] : []));
    const ids = [...new Set([...ofLooks, ...(design.header ? [design.header.pictureId] : [])])];
    const found = await Promise.all(ids.map(async (id) => [id, await this.lookPictures.find(id)] as const));
    return Object.fromEntries(found.flatMap(([id, bytes]) => (bytes ? [[id, bytes]] : [])));
  }

  /** The plain design in the chosen template's colours. @throws ProblemError invalid for a template of another kind */
  async designOf(kind: SheetKind, templateId: string | null): Promise<SheetDesign> {
    return designIn(kind, await this.templates.choose(kind, templateId), null);
  }

  /** What sheets say by themselves is in the school's language where nobody chose. */
  async usualLanguages(): Promise<readonly string[]> {
    const { language } = await this.school.get();
    return [languageOf(language)?.tag ?? 'en'];
  }

  private async setup(
    name: string,
    codes: readonly PlacedCode[],
    {
      kind,
      paper,
      lying,
      perPage,
      inColumns,
      labels,
      startAt,
      copies,
      fields,
      backs,
      templateId,
      layout,
    }: SheetChoices,
  ): Promise<SheetSetup> {
    const { name: schoolName, printerMarginMm, duplexEdge, duplexRightMm, duplexDownMm } = await this.school.get();
    const template = await this.templates.choose(kind, templateId);
    const lesson = codes[0]?.place.lesson ?? null;
    return {
      kind,
      paper,
      lying,
      perPage: perPageChoices[kind].includes(perPage) ? perPage : usualPerPage[kind],
      inColumns,
      labels,
      startAt,
      copies,
      fields,
      backs:
        backs && withBacks.includes(kind)
          ? { edge: duplexEdge, adjustment: { rightMm: duplexRightMm, downMm: duplexDownMm } }
          : null,
      design: designIn(kind, template, layout),
      footer: template?.footer || schoolName,
      printerMarginMm,
      head: {
        title: lesson?.name ?? name,
        about: lesson ? [lesson.class?.name, lesson.place, lesson.date].filter((part) => part).join(' · ') : '',
      },
    };
  }
}

/** @param layout that was chosen for these sheets; null for the template's, or the usual one */
function designIn(kind: SheetKind, template: SheetTemplate | null, layout: FaceLayoutName | null): SheetDesign {
  return {
    ...plainSheetDesign(kind),
    ...(template && { name: template.name, accent: template.accent, header: template.header }),
    ...(template?.layout && { layout: template.layout }),
    ...(layout !== null && layoutsOf(kind).includes(layout) && { layout }),
  };
}

/** What is not right, station by station: product rules, and what the layout found. */
export function noticesOf(
  { order, codes, without }: PlannedSheets,
  { notes, sizesMm }: Pick<SheetNotes, 'notes' | 'sizesMm'>,
  choices: SheetChoices,
): readonly SheetNotice[] {
  return [
    ...without.map((place) => blank('no-code', place)),
    ...codes.flatMap((placed, index) => {
      const content = order.contents[index] as SheetContent;
      const ofLayout = notes.filter(({ item }) => item === index);
      return [
        ...rulesOf(placed, choices).map((warning) => ({
          ...blank(warning, placed.place),
          opens: foundOf(warning, placed),
        })),
        ...missingOf(placed, content, order.setup),
        ...ofLayout.map((note) => noticeOf(note, placed, sizesMm[index] ?? 0, order.setup, choices)),
      ];
    }),
  ];
}

function noticeOf(
  note: SheetNote,
  placed: PlacedCode,
  sizeMm: number,
  setup: SheetSetup,
  choices: SheetChoices,
): SheetNotice {
  const empty = blank(note.reason, placed.place);
  switch (note.reason) {
    case 'too-small':
      return tooSmall(placed, { ...note, sizeMm }, setup, choices);
    case 'text-small':
      return { ...empty, field: note.field, reachM: note.readsFromM, distanceM: note.distanceM };
    case 'address-long':
      return { ...empty, field: 'address', length: note.characters };
    case 'text-cut':
    case 'text-left-out':
      return { ...empty, field: note.field };
  }
}

/** Characters that no typeface has, of what would be printed. */
function missingOf(placed: PlacedCode, content: SheetContent, { fields, backs }: SheetSetup): readonly SheetNotice[] {
  const shown = [...fields, ...(backs ? (['what', 'meaning', 'for-whom', 'where'] as const) : [])];
  const notices = shown.map((field) => ({
    ...blank('missing-characters', placed.place),
    field,
    characters: missingCharacters(textsOf(content)[field], 'text'),
  }));
  const caption = missingCharacters(placed.look.design.caption?.words ?? '', 'text-bold');
  return [...notices, { ...blank('missing-characters', placed.place), characters: caption }].filter(
    ({ characters }) => characters.length > 0,
  );
}

function tooSmall(
  placed: PlacedCode,
  { sizeMm, neededMm, larger }: Pick<Extract<SheetNote, { reason: 'too-small' }>, 'sizeMm' | 'neededMm' | 'larger'>,
  setup: SheetSetup,
  choices: SheetChoices,
): SheetNotice {
  return {
    ...blank('too-small', placed.place),
    sizeMm,
    reachM: reachAtM(placed, sizeMm),
    distanceM: distanceOf(placed, choices),
    otherKinds: placed.code ? kindsThatHold(setup, { ...placed.code.drawing, neededMm }) : [],
    finer: placed.code?.grain !== 'coarse' && placed.code?.carry !== 'words',
    larger: larger.map(({ way, sizeMm: largerMm }) => ({ way, reachM: reachAtM(placed, largerMm) ?? 0 })),
  };
}

function blank(warning: SheetWarning, place: PlacedCode['place']): SheetNotice {
  return blankNotice(warning, {
    name: titleOf(place),
    stationId: place.station?.id ?? null,
    materialId: place.material.id,
  });
}

/** Whatever is not green is named, and printed on purpose only. */
function rulesOf({ opens, carries, reads }: PlacedCode, { kind, distanceM }: SheetChoices): readonly SheetWarning[] {
  const asRehearsed = kind === 'poster' && distanceM === null;
  const { state, look } = reads;
  const isUnread = asRehearsed
    ? state === 'look-at' || state === 'stop'
    : look.some((reason) => standing([reason]).state !== 'done');
  const opensTrouble = troubleOf(opens);
  return [
    ...(opensTrouble ? [opensTrouble] : []),
    ...(carries.state === 'look-at' ? (['code-to-check'] as const) : []),
    ...(isUnread ? (['does-not-read'] as const) : []),
  ];
}

function troubleOf(opens: PlacedCode['opens']): SheetWarning | null {
  switch (opens.state) {
    case 'done':
      return null;
    case 'not-yet':
      return 'not-opened-yet';
    case 'look-at':
      return 'to-check';
    case 'stop':
      if (opens.obstacle === 'address') return 'address-not-reachable';
      return isLocked(opens) ? 'locked' : 'not-opening';
  }
}

const aboutOpening: readonly SheetWarning[] = ['locked', 'not-opening', 'to-check'];

function foundOf(warning: SheetWarning, { opens: { verdict, reason, obstacle } }: PlacedCode): SheetNotice['opens'] {
  return aboutOpening.includes(warning) ? { verdict, reason, obstacle } : null;
}
