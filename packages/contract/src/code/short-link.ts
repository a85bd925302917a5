import type { AccessVerdict, Opening, VisitorKind } from '@hapset/core';

/** A short link of the school's own, as its material's page shows it. */
export interface ShortLinkView {
  readonly slug: string;
  /** As the code carries it. */
  readonly address: string;
  /** Of an earlier version, short enough to be guessed: replace it before the next print. */
  readonly shortForm: boolean;
  /** In letters, in groups, as it is typed from paper. */
  readonly inLetters: string;
  readonly opening: Opening;
  /** Whether it leads on now. */
  readonly open: boolean;
  readonly opens: number;
}

/** Where it led before. */
export interface ShortLinkTurnView {
  readonly from: string;
  readonly to: string;
  readonly at: string;
}

/** A short link with its history and how often it was opened. */
export interface ShortLinkDetails extends ShortLinkView {
  /** The last ones first. */
  readonly turns: readonly ShortLinkTurnView[];
  /** The last 30 days in the school's zone, days without any left out. */
  readonly days: readonly { readonly day: string; readonly opens: number }[];
  /** By hour of the day in the school's zone, 24 of them, over the same days. */
  readonly hours: readonly number[];
  readonly visitors: Readonly<Record<VisitorKind, number>>;
}

/** When it leads on. */
export interface ChangeShortLink {
  readonly opening: Opening;
}

/** A row of the list of all short links. */
export interface ShortLinkRow {
  readonly slug: string;
  readonly address: string;
  /** Of an earlier version, short enough to be guessed: replace it before the next print. */
  readonly shortForm: boolean;
  readonly materialId: string;
  readonly title: string;
  /** Where it leads; null where its material was taken off the shelf. */
  readonly target: string | null;
  /** Whether the material's code carries it now. */
  readonly carried: boolean;
  readonly lessons: readonly { readonly id: string; readonly name: string }[];
  /** Sheets that were made with it. */
  readonly sheets: number;
  readonly opens: number;
  readonly verdict: AccessVerdict | null;
  readonly checkedAt: string | null;
  readonly createdAt: string;
}

/** Short links, the newest first. `next` asks for the following ones; null at the end. */
export interface ShortLinksPage {
  readonly rows: readonly ShortLinkRow[];
  readonly next: string | null;
  readonly total: number;
}

/** Which short links a list shows. */
export const shortLinkFilters = ['all', 'in-trouble', 'on-paper', 'to-replace', 'taken-down'] as const;
/** One of them. */
export type ShortLinkFilter = (typeof shortLinkFilters)[number];
