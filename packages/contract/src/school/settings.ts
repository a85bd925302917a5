import type { DuplexEdge, PaperFormat } from '@hapset/core';

/** What the school's printer does. */
export interface PrinterSettings {
  /** At the edges that it can't reach. */
  readonly printerMarginMm: number;
  readonly duplexEdge: DuplexEdge;
  /** How far backs are moved to meet their fronts, to the right and down as the back is looked at. */
  readonly duplexRightMm: number;
  readonly duplexDownMm: number;
}

/** Settings of the school, as signed-in staff see them. */
export interface SchoolView extends PrinterSettings {
  readonly name: string;
  /** IANA time zone: "Europe/Dublin". */
  readonly timeZone: string;
  /** BCP 47: "en-GB". Dates and numbers are written as there, and pages are in it as far as there are texts in it. */
  readonly language: string;
  readonly paper: PaperFormat;
  /** Address under which phones reach this server: "https://hapset.school.example". */
  readonly publicAddress: string;
  /** Host of the school's short links; null when it has none. */
  readonly shortLinkHost: string | null;
  /** Networks from which the links of codes are followed without signing in: "10.20.0.0/16". */
  readonly visitorNetworks: readonly string[];
  /** Where found student cards are to be brought, as it is printed on their backs: address and phone; '' for the name alone. */
  readonly cardReturnTo: string;
  /** The school keeps photos of students for their cards. */
  readonly studentPhotos: boolean;
  readonly version: number;
}

/** Sheets that carry an address of this server. */
export interface AddressesOnPaper {
  readonly shortLinks: number;
  readonly pages: number;
}

/** All settings at once, under the version they were read with. */
export type ChangeSchool = SchoolView;

/** Which teachers see which classes of students. */
export interface TeacherClassesView {
  /** Null: every teacher sees all classes. */
  readonly limited: readonly TeacherClasses[] | null;
  readonly teachers: readonly { readonly accountId: string; readonly name: string }[];
  readonly classes: readonly string[];
}

/** Classes that a teacher sees, where teachers are limited. */
export interface TeacherClasses {
  readonly accountId: string;
  readonly classNames: readonly string[];
}

/** Teachers who are not named see no class. */
export interface ChangeTeacherClasses {
  readonly limited: readonly TeacherClasses[] | null;
}

/** What the administrator should know of the server. */
export interface ServerNotes {
  /** Hosts of short links before: their links still work, as long as their names lead here. */
  readonly formerShortHosts: readonly string[];
  /** All visitors seem to come from one address: a proxy in front is not declared. */
  readonly undeclaredProxy: boolean;
  /** Addresses under /K/ that lead nowhere, within the last 24 hours; many mean that somebody is guessing. */
  readonly unknownShortLinks: number;
  /** How many of them were slowed down. */
  readonly slowedShortLinks: number;
  /** Short links of an earlier, shorter form. */
  readonly shortSlugs: number;
}
