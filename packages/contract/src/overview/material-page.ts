import type { Ladder, LevelChoice, PaperFormat } from '@hapset/core';
import type { CodeLookView } from '../code/look.js';
import type { ShortLinkView } from '../code/short-link.js';
import type { CodeView } from '../code/symbol.js';
import type { KeptView } from '../gather/kept.js';
import type { MaterialView } from '../gather/material.js';
import type { StationPlace } from '../lessons/station.js';
import type { AccessCheckView } from '../opens/access-check.js';
import type { PicturesView } from '../paper/picture.js';
import type { SheetView } from '../paper/sheet.js';
import type { RehearsalView } from '../reads/rehearsal.js';
import type { ReadinessView } from './readiness.js';

/** The page of a material: the same inside and outside a lesson. */
export interface MaterialPage {
  readonly material: MaterialView;
  /** What it holds, where the school's own server keeps it. */
  readonly kept: KeptView | null;
  readonly station: StationPlace | null;
  readonly lessons: readonly { readonly id: string; readonly name: string; readonly date: string | null }[];
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
