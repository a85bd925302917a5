/** Looks in words: what they are made of, and what they leave to be desired. */
import type { LookMakers, LookOrigin } from '@hapset/contract';
import type { FinderShape, FrameForm, GradientWay, LookReason, ModuleShape } from '@hapset/core';

interface ReasonWords {
  /** In a cell of the bench. */
  readonly short: string;
  /** What is wrong, then what fixes it. */
  readonly long: string;
}

export const lookReasonWords: Readonly<Record<LookReason, ReasonWords>> = {
  'too-little-contrast': {
    short: 'too little contrast',
    long: 'Too little contrast: in grey print or in colour the modules can’t be told from what is behind them. Take a darker colour.',
  },
  'not-read-flat': {
    short: 'a reader can’t read it',
    long: 'One of our three readers can’t read this look, even flat and straight. Take squares, darker colours or a smaller middle.',
  },
  'light-on-dark': {
    short: 'light on dark',
    long: 'Light on dark: scanners don’t see a code. Swap the two colours.',
  },
  'covers-patterns': {
    short: 'middle too large',
    long: 'What is in the middle reaches the patterns by which a reader finds the code. Make it smaller.',
  },
  'beyond-repair': {
    short: 'middle too large',
    long: 'What is in the middle takes more than can be repaired. Make it smaller.',
  },
  'little-spare-repair': {
    short: 'little spare repair',
    long: 'Less than half of the repair is left: a crease or a stain can cost the code. Make what is in the middle smaller.',
  },
  'no-room-for-centre': {
    short: 'no room in the middle',
    long: 'This code has no room in its middle; it goes without the picture. A higher level of repair makes room.',
  },
  'not-allowed': {
    short: 'not allowed any more',
    long: 'The school does not allow this look any more. What hangs on the wall stays; choose another one before the next print.',
  },
};

export const moduleShapeWords: Readonly<Record<ModuleShape, string>> = {
  plain: 'Squares',
  worn: 'Worn',
  pebbles: 'Pebbles',
  facets: 'Facets',
  reeds: 'Reeds',
  planks: 'Planks',
};
export const finderShapeWords: Readonly<Record<FinderShape, string>> = {
  plain: 'Square',
  worn: 'Worn',
  ring: 'Ring',
  facet: 'Facet',
};
export const gradientWayWords: Readonly<Record<GradientWay, string>> = {
  across: 'Left to right',
  down: 'Top to bottom',
  slanting: 'Corner to corner',
  outwards: 'From the middle',
};
export const frameWords: Readonly<Record<FrameForm, string>> = {
  line: 'Line',
  band: 'Band',
  ticket: 'Ticket',
  tide: 'Tide',
};

/** Nobody gets a look that fails without being told. */
export function failing(reason: string): string {
  return reason === '' ? '' : ` It fails: ${reason}. No station with it is ready.`;
}

/** Who chose the look that a code has. */
export const lookOriginWords: Readonly<Record<LookOrigin, string>> = {
  material: 'chosen for this code',
  lesson: 'from the lesson',
  school: 'the school’s',
  nobody: 'nothing else was chosen',
};
export const lookMakerWords: Readonly<Record<LookMakers, string>> = {
  staff: 'All staff',
  administrator: 'The administrator only',
};

export const plainLookWords = 'Plain, black on white';
