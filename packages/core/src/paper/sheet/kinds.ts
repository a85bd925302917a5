/** What is peculiar to each kind of sheet: how many lie on a page, from where they are read, and how they are where nobody chose. */
import { usualFields, type SheetKind } from './design.js';
import type { Grid } from './grid.js';
import type { PaperFormat } from './paper.js';

/** How many of a kind lie on a page; one number where there is no choice. */
export const perPageChoices: Readonly<Record<SheetKind, readonly number[]>> = {
  poster: [1],
  'table-card': [2, 4],
  'small-card': [8, 10, 12, 15, 18, 21, 24],
  // 0 takes the number that fills its pages.
  handout: [0, 4, 5, 6, 8, 10, 12, 15, 20],
  label: [1],
  // Ten are as large as bank cards.
  'student-card': [8, 10, 24],
};
/** How many codes a page of a kind has where nothing is chosen. */
export const usualPerPage: Readonly<Record<SheetKind, number>> = {
  poster: 1,
  'table-card': 2,
  'small-card': 12,
  handout: 0,
  label: 1,
  'student-card': 10,
};

/** More rows than these are too low for texts of a usual length. */
const mostRows = 8;
/** Fewer are higher than their texts need. */
const fewestRows = 4;

/** How many are on a page where 0 was chosen: as many as make the fewest pages, all equally full. */
export function perPageOf(kind: SheetKind, chosen: number, codes: number): number {
  if (kind !== 'handout' || chosen !== 0) return chosen;
  const pages = Math.max(1, Math.ceil(codes / mostRows));
  return Math.max(fewestRows, Math.ceil(codes / pages));
}

/** From where sheets in the hand and on the table are read, metres; null for the lesson's own distance. */
export const kindDistanceM: Readonly<Record<SheetKind, number | null>> = {
  poster: null,
  'table-card': 0.5,
  'small-card': 0.3,
  handout: 0.3,
  label: 0.3,
  'student-card': 0.2,
};

/** Kinds that have a back to print on. */
export const withBacks: readonly SheetKind[] = ['poster', 'table-card', 'small-card', 'student-card'];

/** A sheet of labels by its figures, millimetres. */
export type LabelGrid = Pick<
  Grid,
  'columns' | 'rows' | 'widthMm' | 'heightMm' | 'leftMm' | 'topMm' | 'pitchXMm' | 'pitchYMm'
>;
/** A common sheet of 24. */
export const usualLabels: LabelGrid = {
  columns: 3,
  rows: 8,
  widthMm: 64,
  heightMm: 34,
  leftMm: 9,
  topMm: 12.5,
  pitchXMm: 64,
  pitchYMm: 34,
};

/** How sheets of a kind are where nobody chose. @param languages of what sheets say by themselves (BCP 47) */
export function plainChoices(kind: SheetKind, paper: PaperFormat, languages: readonly string[] = ['en']) {
  return {
    kind,
    paper,
    lying: false,
    perPage: usualPerPage[kind],
    inColumns: false,
    labels: usualLabels,
    startAt: 0,
    copies: 1,
    fields: usualFields[kind],
    picture: true,
    backs: false,
    distanceM: null,
    han: 'sc',
    templateId: null,
    layout: null,
    languages,
  } as const;
}
