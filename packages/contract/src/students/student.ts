/** Students, the rosters they come from, their cards, and cards that are read. */
import type { CardCode, CardDesign, EditedParts, NameParts, PaperFormat, RosterPart, YearEndMove } from '@hapset/core';
import type { PrintView, SheetsPreview } from '../paper/sheet.js';

/** A student as staff see them. */
export interface StudentView extends NameParts {
  readonly id: string;
  /** As the school writes it; null where there is none. */
  readonly schoolId: string | null;
  /** As it is printed and said. */
  readonly name: string;
  readonly className: string;
  readonly year: string;
  /** Left the school. */
  readonly left: boolean;
  /** When a card was printed last; null where there is none. */
  readonly cardMadeAt: string | null;
  /** Since when their card is lost, where none was made after it. */
  readonly cardLostAt: string | null;
  /** When their photo was added; null without, and where the school has none. */
  readonly photoAt: string | null;
  /** What was edited by hand, with what the roster says instead. */
  readonly edited: EditedParts;
  readonly version: number;
}

/** Students by class and name. `next` asks for the following ones; null at the end. */
export interface StudentsPage {
  readonly rows: readonly StudentView[];
  readonly next: string | null;
  readonly total: number;
}

/** Classes and years that students are in, with how many. */
export interface StudentGroups {
  readonly classes: readonly StudentGroup[];
  readonly years: readonly StudentGroup[];
  /** Who have not left, and of those who have. */
  readonly students: number;
  readonly left: number;
}

/** A class or a year with how many are in it. */
export interface StudentGroup {
  readonly name: string;
  readonly students: number;
}

/** A student as a roster says it; empty texts where it says nothing. */
export interface ImportedStudent extends NameParts {
  readonly schoolId: string | null;
  readonly className: string;
  readonly year: string;
}

/** A roster that is compared with who is known, and kept for its import. */
export interface CompareRoster {
  readonly students: readonly ImportedStudent[];
}

/** What an import would change. Lists are cut to their first rows; the counts are whole. */
export interface RosterComparisonView {
  /** The server keeps the roster for a day under it, so that it is sent once. */
  readonly id: string;
  readonly added: number;
  readonly changed: number;
  readonly same: number;
  readonly leftOut: number;
  readonly someAdded: readonly string[];
  readonly someChanged: readonly {
    readonly name: string;
    readonly parts: readonly RosterPart[];
    readonly before: string;
    readonly back: boolean;
  }[];
  readonly someLeftOut: readonly string[];
  /** Who keep what was edited by hand though the roster says something else. */
  readonly kept: number;
  readonly someKept: readonly string[];
}

/** The roster that was compared. */
export interface ImportRoster {
  readonly rosterComparisonId: string;
  /** Those who are not in it any more have left the school. */
  readonly leave: boolean;
  readonly fileName: string;
}

/** What changed many students at once. */
export const rosterImportKinds = ['roster', 'year-end'] as const;
/** One of them. */
export type RosterImportKind = (typeof rosterImportKinds)[number];

/** An import of the past, or the end of a school year. */
export interface RosterImportView {
  readonly id: string;
  readonly kind: RosterImportKind;
  /** Empty for the end of a year. */
  readonly fileName: string;
  readonly importedAt: string;
  readonly added: number;
  readonly changed: number;
  readonly left: number;
  readonly undone: boolean;
  /** Only the last one can be undone. */
  readonly undoable: boolean;
}

/** What undoing an import does, or did. Lists are cut to their first rows; the counts are whole. */
export interface RosterUndoView {
  /** Came with the import, have no card and were not changed since: deleted. */
  readonly deleted: number;
  readonly someDeleted: readonly string[];
  /** Are what they were before the import again. */
  readonly restored: number;
  readonly someRestored: readonly string[];
  /** Stay as they are, and why. */
  readonly untouched: number;
  readonly someUntouched: readonly { readonly name: string; readonly why: RosterUntouched }[];
}

/** Changed since the import; got a card or a reading since; nobody knows any more what came after it. */
export const rosterUntouched = ['changed', 'card', 'unknown'] as const;
/** Why undoing leaves a student alone. */
export type RosterUntouched = (typeof rosterUntouched)[number];

/** Who is erased with all traces. */
export interface EraseStudents {
  /** Of that class; null for all who left the school. */
  readonly className: string | null;
}

/** Fields without a value stay as they are. */
export interface ChangeStudent {
  readonly version: number;
  readonly className?: string;
  readonly year?: string;
  readonly left?: boolean;
  readonly name?: NameParts;
  readonly schoolId?: string | null;
}

/** Names of files, whose photos they are is looked for. */
export interface MatchPhotos {
  readonly files: readonly string[];
}

/** For each file, in their order, the student whose photo it is; null where nobody or more than one is meant. */
export interface PhotoMatches {
  readonly students: readonly (Pick<StudentView, 'id' | 'name' | 'className'> | null)[];
}

/** A photo as it is to be on the card. @property picture base64 of a JPEG, PNG or WebP; it is cut to 4:5 in its middle */
export interface AddPhoto {
  readonly picture: string;
}

/** Students who leave the school together, or are back. */
export interface LeaveStudents {
  readonly studentIds: readonly string[];
  readonly left: boolean;
}

/** Where each class goes at the end of a school year. Classes that are not named stay. */
export interface EndYear {
  readonly moves: readonly YearEndMove[];
}

/** @property className whose students leave the school, as at the end of a year */
export interface LeaveClass {
  readonly className: string;
}

/** What may stand on a card beside the name. */
export const cardFields = ['class', 'id', 'school', 'photo'] as const;
/** One of them. */
export type CardField = (typeof cardFields)[number];

/** What the colour of a card's band tells. */
export const cardBands = ['class', 'year', 'none'] as const;
/** One of them. */
export type CardBand = (typeof cardBands)[number];

/** Cards to be made: for whom, what the code says, how they look. */
export interface CardsRequest {
  /** Of those classes; all where none is named. */
  readonly classNames: readonly string[];
  /** These alone; empty for all of the classes. */
  readonly studentIds: readonly string[];
  /** Who have no card yet. */
  readonly onlyNew: boolean;
  readonly code: CardCode;
  readonly design: CardDesign;
  readonly band: CardBand;
  readonly perPage: number;
  readonly paper: PaperFormat;
  /** A new page begins with each class. */
  readonly newPagePerClass: boolean;
  /** As the school says it: "2026/27"; '' for none. */
  readonly schoolYear: string;
  /** Day, ISO 8601; null for none. */
  readonly validUntil: string | null;
  /** Beside the name. */
  readonly fields: readonly CardField[];
  /** An icon that tells at a glance whose class it is; null without. */
  readonly symbol: string | null;
  readonly backs: boolean;
  readonly templateId: string | null;
}

/** Which cards are wanted, and which page is looked at, from 0. */
export interface PreviewCards {
  readonly request: CardsRequest;
  readonly page: number;
}

/** One page of cards as they would be printed. */
export interface CardsPreview extends SheetsPreview {
  /** Who can't have a card, since there is no id that it could say. */
  readonly withoutId: readonly string[];
  /** One of the codes, to be rehearsed; null without students. */
  readonly sample: { readonly payload: string; readonly sizeMm: number } | null;
}

/** Cards to be made. */
export interface MakeCards {
  readonly request: CardsRequest;
}

/** The print that the cards became. */
export type CardsMade = PrintView;

/** What was found behind a card that was read. */
export const cardReadingResults = ['student', 'left', 'replaced', 'misread', 'other-class', 'unknown'] as const;
/** One of them. */
export type CardReadingResult = (typeof cardReadingResults)[number];

/** What a scanner read, letter by letter. */
export interface ReadCard {
  readonly text: string;
  /** Somebody typed it: an id that was typed proves no card. */
  readonly typed?: boolean;
  /** How long it waited for the server since it was read, milliseconds, at most a day; devices' clocks may be wrong. */
  readonly waitedMs?: number;
}

/** Who it is, where it is a student's card. */
export interface ReadCardView {
  readonly result: CardReadingResult;
  /** Null where no student is known by it. */
  readonly student: Pick<StudentView, 'id' | 'name' | 'className' | 'schoolId'> | null;
  /** In the list of readings. */
  readonly readingId: string | null;
}

/** A reading in somebody's list. */
export interface CardReadingView {
  readonly id: string;
  readonly readAt: string;
  readonly name: string;
  readonly className: string;
  readonly schoolId: string | null;
  /** An id was typed; no card was there. */
  readonly byId: boolean;
}

/** Readings, the newest first, and how many there are in all. */
export interface CardReadingsPage {
  readonly rows: readonly CardReadingView[];
  readonly total: number;
  /** Of them, those without a card. */
  readonly byId: number;
}
