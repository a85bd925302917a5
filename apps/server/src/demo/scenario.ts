/** The shape of demo/scenario.json. */
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Role } from '@hapset/contract';
import Papa from 'papaparse';
import type {
  Content,
  DeviceProfile,
  MediaProfile,
  LookDesign,
  PageDocument,
  PaperFormat,
  ScannerProfile,
  StudentAccounts,
} from '@hapset/core';

export interface DemoItem {
  /** `{cofferlane}`, `{askleaf}`, `{glimreel}` and `{hushtone}` stand for the stand-ins' addresses. */
  readonly link?: string;
  readonly words?: string;
  readonly content?: Content;
  readonly kept?: DemoKept;
  readonly title?: string;
  readonly instruction?: string;
  readonly tags?: readonly string[];
  /** Its code carries the school's short link. */
  readonly shortLink?: boolean;
}

/** What the server keeps; files by the names of media that are drawn or synthesised. In a page, `{name}` stands for a file's id. */
export type DemoKept =
  | { readonly kind: 'file'; readonly file: string; readonly transcript: string }
  | {
      readonly kind: 'picture-set';
      readonly pictures: readonly { readonly file: string; readonly caption: string; readonly alternative: string }[];
    }
  | { readonly kind: 'written-page'; readonly document: PageDocument };

export interface DemoScenario {
  readonly school: {
    readonly name: string;
    readonly timeZone: string;
    readonly language: string;
    readonly paper: PaperFormat;
  };
  readonly accounts: readonly { readonly email: string; readonly name: string; readonly role: Role }[];
  readonly devices: readonly (Omit<DeviceProfile & ScannerProfile & MediaProfile, 'id'> & {
    readonly count: number | null;
  })[];
  readonly classes: readonly {
    readonly name: string;
    readonly studentAccounts: StudentAccounts;
    readonly devices: readonly string[];
  }[];
  /** A class of a year group's roster, which is in a file beside the scenario. */
  readonly roster: { readonly file: string; readonly className: string };
  readonly looks: readonly { readonly name: string; readonly madeBy: string; readonly design: LookDesign }[];
  readonly lessons: readonly {
    readonly owner: string;
    readonly name: string;
    readonly class: string;
    readonly date: string;
    readonly startsAt: string;
    readonly place: string;
    readonly viewingDistanceM: number;
    /** By its name. */
    readonly look?: string;
    readonly stations: readonly DemoItem[];
  }[];
  readonly shelf: readonly { readonly owner: string; readonly items: readonly DemoItem[] }[];
}

export function readScenario(): DemoScenario {
  return JSON.parse(readDemoFile('scenario.json')) as DemoScenario;
}

/** Cells of a CSV file of the demo. */
export function readDemoTable(name: string): readonly (readonly string[])[] {
  return Papa.parse<string[]>(readDemoFile(name), { skipEmptyLines: true }).data;
}

function readDemoFile(name: string): string {
  return readFileSync(fileURLToPath(new URL(`../../../../demo/${name}`, import.meta.url)), 'utf8');
}
