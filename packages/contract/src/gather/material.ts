import type {
  AddressCarry,
  AddressRole,
  Carry,
  CodeDrawing,
  Kept,
  Content,
  ErrorCorrectionLevel,
  Grain,
  Ladder,
  LevelChoice,
  LinkKind,
  LookDesign,
  MaterialKind,
  PaperFormat,
  ReaderEngineName,
  RehearsedDevice,
  Repair,
} from '@hapset/core';
import type { AccessCheckView } from '../opens/access-check.js';
import type { KeptView } from './kept.js';
import type { DeviceView } from '../school/device.js';
import type { CodeLookView, LookChoice } from '../code/look.js';
import type { PicturesView } from '../paper/picture.js';
import type { ShortLinkView } from '../code/short-link.js';
import type { ReadinessView } from '../overview/readiness.js';
import type { SheetView } from '../paper/sheet.js';

/** One thing to add: a link as repaired, words, the fields of a kind, or what is kept here. Exactly one of the four is given. */
export interface NewMaterial {
  readonly link?: string;
  readonly words?: string;
  readonly content?: Content;
  readonly kept?: Kept;
  /** What was pasted, before any repair. */
  readonly pasted: string;
  readonly repairs: readonly Repair[];
  /** Given where the teacher chose another kind of link than was recognised. */
  readonly kind?: LinkKind;
  /** Given where the teacher named it; otherwise the page's own title is used. */
  readonly title?: string;
  /** What students should do; a sentence that fits the kind otherwise. */
  readonly instruction?: string;
  /** Collections it belongs to. */
  readonly tags?: readonly string[];
}

export interface CreateMaterials {
  readonly items: readonly NewMaterial[];
}

export interface ChangeMaterial {
  readonly version: number;
  readonly title?: string;
  readonly kind?: MaterialKind;
  readonly link?: string;
  readonly words?: string;
  readonly content?: Content;
  readonly kept?: Kept;
  /** Last day in the school's zone on which students see what is kept here, `YYYY-MM-DD`; null without end. */
  readonly shownUntil?: string | null;
  readonly instruction?: string;
  readonly tags?: readonly string[];
  /** What of the address the code carries; `trimmed` needs a check that proved it. */
  readonly carry?: AddressCarry;
  /** Null for the highest that costs nothing. */
  readonly level?: ErrorCorrectionLevel | null;
  /** Null for what lesson or school say. */
  readonly look?: LookChoice;
  /** Side of the printed symbol outside lessons, millimetres; null to have it computed. */
  readonly sizeMm?: number | null;
}

/** A link in the light of its service's description. */
export interface DescribedLink {
  /** Name of the service. */
  readonly service: string;
  /** Whose page it is; null where the description does not know the path. */
  readonly role: AddressRole | null;
  /** The student's link, where this one is not and it can be worked out. */
  readonly studentLink: string | null;
  /** How to get the student's link by hand. */
  readonly steps: readonly string[];
}

export interface MaterialView {
  readonly id: string;
  readonly kind: MaterialKind;
  readonly title: string;
  readonly link: string | null;
  readonly words: string | null;
  readonly content: Content | null;
  readonly pasted: string;
  readonly repairs: readonly Repair[];
  readonly carry: AddressCarry;
  /** Chosen by hand; null for the highest that costs nothing. */
  readonly level: ErrorCorrectionLevel | null;
  /** Of its own; null for what lesson or school say. */
  readonly look: LookChoice;
  /** Address of its page, where the school's own server keeps it. */
  readonly pageAddress: string | null;
  readonly shownUntil: string | null;
  /** What the service's description says of the link; null for a stranger's or for words. */
  readonly at: DescribedLink | null;
  readonly instruction: string;
  readonly tags: readonly string[];
  readonly createdAt: string;
  readonly version: number;
}

/** The code of a material: its figures, and how it is drawn in its look. */
export interface CodeView {
  readonly carry: Carry;
  readonly payload: string;
  readonly version: number;
  readonly modules: number;
  readonly level: ErrorCorrectionLevel;
  readonly mask: number;
  readonly grain: Grain;
  readonly charactersUntilGrowth: number;
  /** Characters to remove for the next coarser step; null where there is none. */
  readonly charactersToShrink: number | null;
  readonly drawing: CodeDrawing;
}

/** A row of the shelf. */
export interface ShelfRow {
  readonly material: MaterialView;
  readonly code: CodeView | null;
  readonly readiness: ReadinessView;
  readonly lessons: readonly { readonly id: string; readonly name: string }[];
}

export interface ShelfPage {
  readonly rows: readonly ShelfRow[];
  /** Give it as `after` for the next page; null at the end. */
  readonly next: string | null;
  readonly total: number;
}

/** Where the material hangs: in a lesson as a station, or nowhere yet. */
export interface StationPlace {
  readonly stationId: string;
  readonly lessonId: string;
  readonly lessonName: string;
  /** From 1. */
  readonly position: number;
  /** The station's own name, null when it goes by the material's title. */
  readonly name: string | null;
  readonly instruction: string | null;
  readonly version: number;
}

/** The page of a material: the same inside and outside a lesson. */
export interface MaterialPage {
  readonly material: MaterialView;
  /** What it holds, where the school's own server keeps it. */
  readonly kept: KeptView | null;
  readonly station: StationPlace | null;
  readonly lessons: readonly { readonly id: string; readonly name: string }[];
  readonly code: CodeView | null;
  /** What the code could carry, side by side. */
  readonly ladder: Ladder;
  /** Error correction levels of what is carried now, with what each costs. */
  readonly levels: readonly LevelChoice[];
  /** Null until one was made. */
  readonly shortLink: ShortLinkView | null;
  readonly look: CodeLookView;
  /** Null where no code holds the payload. */
  readonly pictures: PicturesView | null;
  readonly check: AccessCheckView | null;
  readonly readiness: ReadinessView;
  readonly rehearsal: RehearsalView;
  readonly sheets: readonly SheetView[];
  readonly paper: PaperFormat;
}

export interface RehearsalView {
  /** Names what is rehearsed: payload, level, look, size and devices. Results are handed in under it. */
  readonly key: string;
  readonly sizeMm: number;
  /** Chosen by hand; null where it is computed. */
  readonly chosenSizeMm: number | null;
  /** What the school's paper holds. */
  readonly largestMm: number;
  readonly distanceM: number;
  /** The station's own; null where it is the lesson's, or none. */
  readonly ownDistanceM: number | null;
  readonly devices: readonly DeviceView[];
  /** How the code looks; null for black squares on white. */
  readonly look: LookDesign | null;
  /** Null until it was rehearsed as it is now. */
  readonly results: readonly RehearsalResult[] | null;
  readonly rehearsedAt: string | null;
}

/** What the engine that a device resembles makes of it, which decides; and the others, as far as they were asked. */
export interface RehearsalResult extends RehearsedDevice {
  readonly others: readonly OtherReader[];
}

export interface OtherReader extends Pick<RehearsedDevice, 'reachM' | 'misread'> {
  readonly engine: ReaderEngineName;
}

export interface SaveRehearsal {
  readonly results: readonly RehearsalResult[];
}

/** A tag is a collection: it can be opened and checked as one. */
export interface TagView {
  readonly tag: string;
  readonly materials: number;
}
