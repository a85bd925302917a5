/** Which designs each kind of sheet has, by name. */
import { largeBack, plainBack, smallCardBack, studentCardBack } from './back-designs.js';
import { handouts, labels, smallCards, tableCards } from './card-designs.js';
import type { FaceDesign } from './face-node.js';
import type { SheetKind } from './sheet-kind.js';
import { bigNumber, littleInk, pictureFirst, taskFirst, twoLanguages } from './poster-designs.js';

/** Names of designs by what they put first. */
export const faceLayouts = [
  'big-number',
  'picture-first',
  'task-first',
  'two-languages',
  'little-ink',
  'title-first',
  'code-first',
] as const;
/** One of them. */
export type FaceLayoutName = (typeof faceLayouts)[number];

type Designs = Readonly<Partial<Record<FaceLayoutName, FaceDesign>>>;

const posters: Designs = {
  'big-number': bigNumber,
  'picture-first': pictureFirst,
  'task-first': taskFirst,
  'two-languages': twoLanguages,
  'little-ink': littleInk,
};
const designs: Readonly<Record<SheetKind, Designs>> = {
  poster: posters,
  'table-card': tableCards,
  'small-card': smallCards,
  handout: handouts,
  label: labels,
  'student-card': {},
};

/** The designs of a kind; the first is the usual one. None for students' cards. */
export function layoutsOf(kind: SheetKind): readonly FaceLayoutName[] {
  return Object.keys(designs[kind]) as FaceLayoutName[];
}

/** The front of a kind in that design; in the usual one if the kind has no design of that name. */
export function frontOf(kind: SheetKind, layout: FaceLayoutName | undefined): FaceDesign {
  const own = designs[kind];
  return (layout && own[layout]) ?? Object.values(own)[0] ?? bigNumber;
}

/** The back of a kind. */
export function backDesignOf(kind: SheetKind): FaceDesign {
  switch (kind) {
    case 'poster':
    case 'table-card':
      return largeBack;
    case 'small-card':
      return smallCardBack;
    case 'student-card':
      return studentCardBack;
    case 'handout':
    case 'label':
      return plainBack;
  }
}
