/** What leaves on paper: posters in one click, and sheets that are composed for many codes at once. */
import type {
  AccessVerdict,
  FaceLayoutName,
  GridProblem,
  HeaderPicture,
  LabelGrid,
  LargerWay,
  Obstacle,
  PaperFormat,
  SheetKind,
  SheetSetup,
  TextField,
  VerdictReason,
} from '@hapset/core';

/** What somebody should look at before it is printed; what stops students comes first. */
export const sheetWarnings = [
  'no-code',
  'locked',
  'not-opening',
  'address-not-reachable',
  'to-check',
  'not-opened-yet',
  'code-to-check',
  'does-not-read',
  'too-small',
  'text-cut',
  'text-left-out',
  'missing-characters',
  'text-small',
  'address-long',
] as const;
/** To know before printing: nothing has to be confirmed. */
export const sheetAdvice: readonly SheetWarning[] = ['text-small', 'address-long'];
/** One of them; printing goes on where it was confirmed. */
export type SheetWarning = (typeof sheetWarnings)[number];

/** A poster of one material in one click. */
export interface MakeSheet {
  readonly kind: 'poster';
  readonly paper: PaperFormat;
  /** Warnings that the teacher has seen and goes on with. */
  readonly goAhead: readonly SheetWarning[];
}

/** One code on paper. */
export interface SheetView {
  readonly id: string;
  readonly kind: SheetKind;
  readonly paper: PaperFormat;
  readonly sizeMm: number;
  readonly madeAt: string;
  readonly fileName: string;
  /** Whether there is a file to open, and if not, why. */
  readonly state: PrintState;
}

/** What is put on paper. Exactly one of the four is given. */
export interface SheetPlaces {
  readonly lessonId: string | null;
  readonly stationIds: readonly string[];
  readonly materialIds: readonly string[];
  readonly tag: string | null;
}

/** How: what the pages are set up with, and what is computed on the server. */
export interface SheetChoices extends Pick<
  SheetSetup,
  'kind' | 'paper' | 'lying' | 'perPage' | 'inColumns' | 'labels' | 'startAt' | 'copies' | 'fields'
> {
  /** What opens, as a picture; on posters, where there is room. */
  readonly picture: boolean;
  readonly backs: boolean;
  /** From where it is read, metres; null for what the kind or the lesson says. */
  readonly distanceM: number | null;
  /** Forms of Chinese characters where nothing else tells. */
  readonly han: 'sc' | 'jp';
  /** Null for the plain one. */
  readonly templateId: string | null;
  /** Null for the template's, or the usual one of the kind. */
  readonly layout: FaceLayoutName | null;
  /** Of what sheets say by themselves: one or two tags of BCP 47. */
  readonly languages: readonly string[];
}

/** Which pages are wanted, and which of them is looked at, from 0. */
export interface PreviewSheets {
  readonly places: SheetPlaces;
  readonly choices: SheetChoices;
  /** From 0; the last one where there are fewer. */
  readonly page: number;
}

/** A warning about one code. */
export interface SheetNotice {
  readonly warning: SheetWarning;
  /** Name of the station or material. */
  readonly name: string;
  readonly stationId: string | null;
  readonly materialId: string;
  readonly field: TextField | null;
  /** With `locked`, `not-opening` and `to-check`: what was found. */
  readonly opens: {
    readonly verdict: AccessVerdict | null;
    readonly reason: VerdictReason | null;
    readonly obstacle: Obstacle | null;
  } | null;
  /** That no font has. */
  readonly characters: readonly string[];
  /**
   * With `too-small`: what it is printed at, from where that reads, and from where it should. With `text-small`: from where the text is
   * read, and from where it should be.
   */
  readonly sizeMm: number | null;
  readonly reachM: number | null;
  readonly distanceM: number | null;
  /** With `too-small`: kinds of sheets that hold it as large as it must be. */
  readonly otherKinds: readonly SheetKind[];
  /** With `too-small`: what would make it larger, and from where it would read then, metres. */
  readonly larger: readonly { readonly way: LargerWay; readonly reachM: number }[];
  /** With `too-small`: the code could carry less. */
  readonly finer: boolean;
  /** With `address-long`: how many characters the address has. */
  readonly length: number | null;
}

/** One page of sheets as they would be printed, and what all of them come to. */
export interface SheetsPreview {
  readonly pages: number;
  readonly page: number;
  readonly side: 'front' | 'back';
  readonly widthMm: number;
  readonly heightMm: number;
  /** The page as an SVG file; '' where there is no room for cells. */
  readonly svg: string;
  readonly codes: number;
  /** Smallest and largest symbol, mm; null without codes. */
  readonly sizesMm: readonly [number, number] | null;
  readonly notices: readonly SheetNotice[];
  /** Why there can't be such pages. */
  readonly problem: GridProblem['reason'] | null;
}

/** Sheets to be made, with the warnings that were confirmed. */
export interface MakePrint {
  readonly places: SheetPlaces;
  readonly choices: SheetChoices;
  readonly goAhead: readonly SheetWarning[];
}

/**
 * drawing -> done, failed or stopped. Afterwards there may be no file any more: `expired` a week later, `erased` with a
 * student who was on it, `deleted` by the teacher.
 */
export const printStates = ['drawing', 'done', 'failed', 'stopped', 'expired', 'erased', 'deleted'] as const;
/** How far a print is. */
export type PrintState = (typeof printStates)[number];

/** Pages that were made in one go. */
export interface PrintView {
  readonly id: string;
  readonly name: string;
  readonly kind: SheetKind;
  readonly paper: PaperFormat;
  readonly lying: boolean;
  readonly codes: number;
  readonly pages: number;
  /** Of those, drawn so far. */
  readonly drawn: number;
  readonly state: PrintState;
  /** Its file is gone, but what was on it is known: the same can be drawn again. */
  readonly canBeDrawnAgain: boolean;
  /** The composer can be opened with the same codes and choices. */
  readonly canBeComposed: boolean;
  readonly fileName: string;
  /** Name of the template; null for the plain design. */
  readonly design: string | null;
  /** Name of whose print it is. */
  readonly author: string;
  readonly madeAt: string;
}

/** Prints, the newest first. `next` asks for the following ones; null at the end. */
export interface PrintsPage {
  readonly rows: readonly PrintView[];
  readonly next: string | null;
  readonly total: number;
}

/** What a print was made with. */
export interface PrintOrigin {
  readonly places: SheetPlaces;
  readonly choices: SheetChoices;
}

/** A design of the school's own: seen and used by all staff. */
export interface SheetTemplateView {
  readonly id: string;
  readonly name: string;
  readonly kind: SheetKind;
  readonly accent: string;
  readonly header: HeaderPicture | null;
  /** Null for the usual one of its kind. */
  readonly layout: FaceLayoutName | null;
  /** In the line at the foot; '' for the school's name. */
  readonly footer: string;
  /** Of labels, how their sheet is cut; null where nobody said. */
  readonly labels: LabelGrid | null;
  /** What sheets of its kind have where nobody chose. */
  readonly usual: boolean;
  /** The one who asks may change and remove it. */
  readonly mine: boolean;
  readonly version: number;
}

/** What a template needs to be made. */
export interface CreateSheetTemplate {
  readonly name: string;
  readonly kind: SheetKind;
  readonly accent: string;
  readonly header: HeaderPicture | null;
  readonly layout: FaceLayoutName | null;
  readonly footer: string;
  readonly labels: LabelGrid | null;
}

/** All of a template under the version that was seen. */
export interface ChangeSheetTemplate {
  readonly name: string;
  readonly accent: string;
  readonly header: HeaderPicture | null;
  readonly layout: FaceLayoutName | null;
  readonly footer: string;
  readonly labels: LabelGrid | null;
  readonly version: number;
}

/** @property usual what sheets of that kind have from now on where nobody chooses */
export interface UsualSheetTemplate {
  readonly usual: boolean;
}
