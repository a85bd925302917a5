/**
 * How a code looks: colours, shapes, a picture in the middle, words and a frame around. A look never changes the payload;
 * how much of the readability it uses up is for judge-look.ts to say. Reading one from outside checks every value.
 */
import { fail, succeed, type Result } from '../../platform/result.js';
import type { HexColour } from './colour.js';
import type { LookColours } from './contrast.js';

/** Shapes of dark modules. */
export const moduleShapes = ['plain', 'worn', 'pebbles', 'facets', 'reeds', 'planks'] as const;
/** Of the data: squares; squares with worn corners; round stones; cut stones; strands downwards; strands across. */
export type ModuleShape = (typeof moduleShapes)[number];

/** Shapes of finder patterns. */
export const finderShapes = ['plain', 'worn', 'ring', 'facet'] as const;
/** Of the finder patterns; all keep 1:1:3:1:1 through their middle. */
export type FinderShape = (typeof finderShapes)[number];

/** Ways in which one ink runs into another. */
export const gradientWays = ['across', 'down', 'slanting', 'outwards'] as const;
/** One of them. */
export type GradientWay = (typeof gradientWays)[number];

/** Forms of frames outside the quiet zone. */
export const frameForms = ['line', 'band', 'ticket', 'tide'] as const;
/** A line; a line with a filled band for the words; one with notches at its sides; one whose band has waves. */
export type FrameForm = (typeof frameForms)[number];

/** Where words beside a code stand. */
export const captionPlaces = ['above', 'below'] as const;
/** One of them. */
export type CaptionPlace = (typeof captionPlaces)[number];

/** In the middle. `side`: the longer one as a share of the symbol's; null for the largest that leaves half of the spare repair. */
export type LookCentre =
  | { readonly kind: 'icon'; readonly icon: string; readonly side: number | null }
  | {
      readonly kind: 'picture';
      readonly pictureId: string;
      /** Width : height. */ readonly aspect: number;
      readonly side: number | null;
    };

/** Words beside a code, and where they is. */
export interface LookCaption {
  /** Null for the name of what the code leads to. */
  readonly words: string | null;
  readonly place: CaptionPlace;
}

/** Everything that a look is made of. */
export interface LookDesign {
  /** Of the modules; darker than `ground` unless somebody insists. */
  readonly ink: HexColour;
  /** Where a gradient ends; null for one colour. */
  readonly inkTo: HexColour | null;
  readonly way: GradientWay;
  /** Behind the modules, quiet zone included. */
  readonly ground: HexColour;
  readonly modules: ModuleShape;
  readonly finders: FinderShape;
  readonly centre: LookCentre | null;
  readonly caption: LookCaption | null;
  readonly frame: FrameForm | null;
}

/** Black squares on white. */
export const plainLook: LookDesign = {
  ink: '#000000',
  inkTo: null,
  way: 'across',
  ground: '#ffffff',
  modules: 'plain',
  finders: 'plain',
  centre: null,
  caption: null,
  frame: null,
};

/** Where a gradient ends until somebody chooses another colour: dark enough on any light ground. */
export const firstInkTo: HexColour = '#123a6b';

/** Without words and frame, which lie outside the quiet zone: what a camera meets. */
export function withoutSurround(look: LookDesign): LookDesign {
  return { ...look, caption: null, frame: null };
}

/** Bounds of what can be asked for. */
export const lookLimits = {
  captionLength: 60,
  side: { least: 0.08, most: 0.5 },
  aspect: { least: 0.2, most: 5 },
} as const;

/** The colours of dark and light modules; two dark ones where ink runs from one to another. */
export function lookColours({ ink, inkTo, ground }: Pick<LookDesign, 'ink' | 'inkTo' | 'ground'>): LookColours {
  return { dark: inkTo === null ? [ink] : [ink, inkTo], light: ground };
}

/** The same look in other colours. */
export function withColours(look: LookDesign, { dark: [ink, inkTo], light }: LookColours): LookDesign {
  return { ...look, ink, inkTo: inkTo ?? null, ground: light };
}

/** What of a design can't be drawn. */
export interface LookProblem {
  /** Of the design: `ink`, `caption.words`. */
  readonly field: string;
}

/** A look as it comes from outside, value by value; anything else in it is left out. */
export function readLook(given: unknown): Result<LookDesign, LookProblem> {
  if (!isRecord(given)) return fail({ field: '' });
  const colours = readColours(given);
  if (!colours.ok) return colours;
  const forms = readForms(given);
  if (!forms.ok) return forms;
  const centre = given.centre === null ? succeed(null) : readCentre(given.centre);
  if (!centre.ok) return centre;
  const caption = given.caption === null ? succeed(null) : readCaption(given.caption);
  if (!caption.ok) return caption;
  return succeed({ ...colours.value, ...forms.value, centre: centre.value, caption: caption.value });
}

function readColours({ ink, inkTo, ground }: Given): Result<Pick<LookDesign, 'ink' | 'inkTo' | 'ground'>, LookProblem> {
  if (!isColour(ink)) return fail({ field: 'ink' });
  if (inkTo !== null && !isColour(inkTo)) return fail({ field: 'inkTo' });
  if (!isColour(ground)) return fail({ field: 'ground' });
  return succeed({ ink: lower(ink), inkTo: inkTo === null ? null : lower(inkTo), ground: lower(ground) });
}

function readForms({
  way,
  modules,
  finders,
  frame,
}: Given): Result<Pick<LookDesign, 'way' | 'modules' | 'finders' | 'frame'>, LookProblem> {
  if (!isOneOf(gradientWays, way)) return fail({ field: 'way' });
  if (!isOneOf(moduleShapes, modules)) return fail({ field: 'modules' });
  if (!isOneOf(finderShapes, finders)) return fail({ field: 'finders' });
  if (frame !== null && !isOneOf(frameForms, frame)) return fail({ field: 'frame' });
  return succeed({ way, modules, finders, frame });
}

function readCentre(given: unknown): Result<LookCentre, LookProblem> {
  if (!isRecord(given)) return fail({ field: 'centre' });
  const { kind, icon, pictureId, aspect, side } = given;
  if (side !== null && !isWithin(side, lookLimits.side)) return fail({ field: 'centre.side' });
  if (kind === 'icon')
    return typeof icon === 'string' && /^[a-z0-9-]{1,40}$/.test(icon)
      ? succeed({ kind, icon, side })
      : fail({ field: 'centre.icon' });
  if (kind !== 'picture') return fail({ field: 'centre.kind' });
  if (typeof pictureId !== 'string' || !/^[0-9a-f-]{36}$/.test(pictureId)) return fail({ field: 'centre.pictureId' });
  return isWithin(aspect, lookLimits.aspect)
    ? succeed({ kind, pictureId, aspect, side })
    : fail({ field: 'centre.aspect' });
}

function readCaption(given: unknown): Result<LookCaption, LookProblem> {
  if (!isRecord(given)) return fail({ field: 'caption' });
  const { words, place } = given;
  if (!isOneOf(captionPlaces, place)) return fail({ field: 'caption.place' });
  if (words === null) return succeed({ words, place });
  const tidy = typeof words === 'string' ? words.normalize('NFC').replace(/\s+/gu, ' ').trim() : '';
  return tidy !== '' && [...tidy].length <= lookLimits.captionLength
    ? succeed({ words: tidy, place })
    : fail({ field: 'caption.words' });
}

type Given = Readonly<Record<string, unknown>>;

function isRecord(value: unknown): value is Given {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function isOneOf<Value extends string>(values: readonly Value[], value: unknown): value is Value {
  return (values as readonly unknown[]).includes(value);
}

function isColour(value: unknown): value is HexColour {
  return typeof value === 'string' && /^#[0-9a-f]{6}$/i.test(value);
}

function isWithin(value: unknown, { least, most }: { readonly least: number; readonly most: number }): value is number {
  return typeof value === 'number' && value >= least && value <= most;
}

function lower(colour: HexColour): HexColour {
  return colour.toLowerCase();
}
