/** What leaves on paper: posters in one click, and sheets that are composed for many codes at once. */
import type {
  AccessVerdict,
  GridProblem,
  HeaderPicture,
  Obstacle,
  PaperFormat,
  SheetKind,
  SheetSetup,
  TextField,
  VerdictReason,
} from '@hapset/core';

/** What somebody should look at before it is printed. */
export const sheetWarnings = [
  'no-code',
  'locked',
  'not-opening',
  'to-check',
  'not-opened-yet',
  'code-to-check',
  'does-not-read',
  'too-small',
  'text-cut',
  'text-left-out',
  'missing-characters',
  'address-not-reachable',
] as const;
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
  /** False where its file was too long to be kept until now. */
  readonly available: boolean;
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
  /** With `too-small`: what it is printed at, from where that reads, and from where it should. */
  readonly sizeMm: number | null;
  readonly reachM: number | null;
  readonly distanceM: number | null;
  /** With `too-small`: kinds of sheets that hold it as large as it must be. */
  readonly otherKinds: readonly SheetKind[];
  /** With `too-small`: the code could carry less. */
  readonly finer: boolean;
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

/** drawing -> done, failed or stopped; done -> expired a week later, where the file was kept. */
export const printStates = ['drawing', 'done', 'failed', 'stopped', 'expired'] as const;
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
  readonly fileName: string;
  readonly madeAt: string;
}

/** A design of the school's own: seen and used by all staff. */
export interface SheetTemplateView {
  readonly id: string;
  readonly name: string;
  readonly kind: SheetKind;
  readonly accent: string;
  readonly header: HeaderPicture | null;
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
}

/** All of a template under the version that was seen. */
export interface ChangeSheetTemplate {
  readonly name: string;
  readonly accent: string;
  readonly header: HeaderPicture | null;
  readonly version: number;
}

/** @property usual what sheets of that kind have from now on where nobody chooses */
export interface UsualSheetTemplate {
  readonly usual: boolean;
}
