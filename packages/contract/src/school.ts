import type { PaperFormat } from '@hapset/core';
import type { PrinterSettings } from './sheet.js';

export interface SchoolView extends PrinterSettings {
  readonly name: string;
  /** IANA time zone: "Europe/Dublin". */
  readonly timeZone: string;
  readonly paper: PaperFormat;
  /** Address under which phones reach this server: "https://hapset.school.example". */
  readonly publicAddress: string;
  /** Host of the school's short links; null when it has none. */
  readonly shortLinkHost: string | null;
  /** Networks from which the links of codes are followed without signing in: "10.20.0.0/16". */
  readonly visitorNetworks: readonly string[];
  readonly version: number;
}

/** Sheets that carry an address of this server. */
export interface AddressesOnPaper {
  readonly shortLinks: number;
  readonly pages: number;
}

/** All settings at once, under the version they were read with. */
export type ChangeSchool = SchoolView;
