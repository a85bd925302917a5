/** The shape of demo/scenario.json. */
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Role } from '@hapset/contract';
import type { Content, DeviceProfile, PaperFormat, StudentAccounts } from '@hapset/core';

export interface DemoItem {
  /** `{cofferlane}` and `{askleaf}` stand for the stand-ins' addresses. */
  readonly link?: string;
  readonly words?: string;
  readonly content?: Content;
  readonly title?: string;
  readonly instruction?: string;
  readonly tags?: readonly string[];
}

export interface DemoScenario {
  readonly school: { readonly name: string; readonly timeZone: string; readonly paper: PaperFormat };
  readonly accounts: readonly { readonly email: string; readonly name: string; readonly role: Role }[];
  readonly devices: readonly (Omit<DeviceProfile, 'id'> & { readonly count: number | null })[];
  readonly classes: readonly { readonly name: string; readonly studentAccounts: StudentAccounts; readonly devices: readonly string[] }[];
  readonly lessons: readonly {
    readonly owner: string;
    readonly name: string;
    readonly class: string;
    readonly date: string;
    readonly startsAt: string;
    readonly place: string;
    readonly viewingDistanceM: number;
    readonly stations: readonly DemoItem[];
  }[];
  readonly shelf: readonly { readonly owner: string; readonly items: readonly DemoItem[] }[];
}

export function readScenario(): DemoScenario {
  const file = fileURLToPath(new URL('../../../../demo/scenario.json', import.meta.url));
  return JSON.parse(readFileSync(file, 'utf8')) as DemoScenario;
}
