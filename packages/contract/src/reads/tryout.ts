import type { VisitorKind } from '@hapset/core';

/** What a real device made of a code. */
export const tryoutOutcomes = ['as-meant', 'otherwise', 'nothing'] as const;
/** What a real device did: what was meant, something else, or nothing at all. */
export type TryoutOutcome = (typeof tryoutOutcomes)[number];

/** One tryout of a real device. */
export interface TryoutView {
  readonly id: string;
  readonly deviceId: string | null;
  readonly deviceName: string | null;
  readonly outcome: TryoutOutcome;
  /** Null where the teacher told it. */
  readonly visitor: VisitorKind | null;
  readonly afterMs: number | null;
  /** Null where the page behind it is not this server's to see. */
  readonly pageOpened: boolean | null;
  /** False where the code says something else by now. */
  readonly current: boolean;
  readonly at: string;
}

/** While it is on, an opening of the short link is taken for the device that is tried. */
export interface TryoutListening {
  readonly until: string;
}

/** What a teacher saw a device do. */
export interface TellTryout {
  readonly deviceId: string | null;
  readonly outcome: TryoutOutcome;
}

/** Which device of the school it was. */
export interface ChangeTryout {
  readonly deviceId: string | null;
}
