/**
 * A code in its look as one description: shapes in module units, from the bottom to the top. SVG, PNG, JPEG, PDF and the page
 * all draw exactly this.
 */
import type { SymbolPlan } from '../symbol/plan.js';
import type { MeasureText } from '../typeface/text.js';
import { centreRim, placeCentre, type PlacedCentre } from './centre.js';
import { shapesPath } from './box.js';
import type { DrawnShape, Paint } from './drawn-shape.js';
import { placeFrame, plainSurround, type Surround } from './frame.js';
import { iconStrokes, type IconNode } from './icon-strokes.js';
import { plainLook, type LookDesign } from './look.js';
import { moduleShapesOf, type Modules } from './shapes.js';

/** A code as shapes, with the room around its symbol in modules. */
export interface CodeDrawing {
  readonly modules: number;
  /** Around the symbol, whole modules, quiet zone included. */
  readonly surround: Surround;
  readonly shapes: readonly DrawnShape[];
}

/** What a drawing needs besides the symbol. */
export interface DrawingOptions {
  readonly look: LookDesign;
  /** What the code leads to: the caption's words where a look takes its name. */
  readonly name: string;
  /** Null where the icon is not known: the code goes without. */
  readonly iconOf: (name: string) => readonly IconNode[] | null;
  readonly measure: MeasureText;
}

/** A code as shapes in modules from its upper left corner, with its quiet zone, frame and caption. */
export function drawCode(plan: SymbolPlan, { look, name, iconOf, measure }: DrawingOptions): CodeDrawing {
  const { modules } = plan;
  const centre = look.centre === null ? null : placeCentre(plan, look.centre);
  const words = look.caption === null ? '' : (look.caption.words ?? name.trim());
  const { surround, path, caption } = placeFrame(modules, look, words, measure);
  const solid: Paint = { kind: 'colour', colour: look.ink };
  const shapes: DrawnShape[] = [
    ...groundAndModules(plan, look, surround, centre?.covered),
    ...(centre && look.centre ? centreShapes(look, centre, modules, iconOf) : []),
    ...(path === '' ? [] : [{ kind: 'fill' as const, path, paint: solid }]),
    ...(caption
      ? [
          {
            kind: 'text' as const,
            lines: caption.lines,
            size: caption.size,
            x: caption.x,
            baselines: caption.baselines,
            paint: caption.onBand ? ({ kind: 'colour', colour: look.ground } as const) : solid,
          },
        ]
      : []),
  ];
  return { modules, surround, shapes };
}

/** Black squares on white. */
export function plainDrawing(plan: Modules): CodeDrawing {
  return { modules: plan.modules, surround: plainSurround, shapes: groundAndModules(plan, plainLook, plainSurround) };
}

function groundAndModules(
  plan: Modules,
  look: LookDesign,
  surround: Surround,
  covered?: Uint8Array,
): readonly DrawnShape[] {
  return [
    { kind: 'fill', path: groundPath(plan.modules, surround), paint: { kind: 'colour', colour: look.ground } },
    { kind: 'fill', path: shapesPath(moduleShapesOf(plan, look, covered)), paint: inkPaint(look, plan.modules) },
  ];
}

/** Width and height in modules. */
export function drawingSize({
  modules,
  surround: { left, top, right, bottom },
}: Pick<CodeDrawing, 'modules' | 'surround'>): { readonly width: number; readonly height: number } {
  return { width: left + modules + right, height: top + modules + bottom };
}

/** The whole of it, so that nothing behind shows through. */
function groundPath(modules: number, surround: Surround): string {
  const { width, height } = drawingSize({ modules, surround });
  return `M${-surround.left} ${-surround.top}h${width}v${height}h${-width}z`;
}

function inkPaint({ ink, inkTo, way }: LookDesign, modules: number): Paint {
  if (inkTo === null) return { kind: 'colour', colour: ink };
  const colours = [ink, inkTo] as const;
  if (way === 'outwards')
    return { kind: 'radial', centre: [modules / 2, modules / 2], radius: modules * Math.SQRT1_2, colours };
  return { kind: 'linear', from: [0, 0], to: [way === 'down' ? 0 : modules, way === 'across' ? 0 : modules], colours };
}

/** Where between its two colours a gradient is at a point, 0 to 1. */
export function gradientAt(way: LookDesign['way'], x: number, y: number, modules: number): number {
  const share =
    way === 'across'
      ? x / modules
      : way === 'down'
        ? y / modules
        : way === 'slanting'
          ? (x + y) / (2 * modules)
          : Math.hypot(x - modules / 2, y - modules / 2) / (modules * Math.SQRT1_2);
  return Math.min(1, Math.max(0, share));
}

function centreShapes(
  look: LookDesign,
  { width, height }: PlacedCentre,
  modules: number,
  iconOf: DrawingOptions['iconOf'],
): readonly DrawnShape[] {
  if (look.centre === null) return [];
  const [x, y] = [(modules - width) / 2 + centreRim, (modules - height) / 2 + centreRim];
  const [inWidth, inHeight] = [width - 2 * centreRim, height - 2 * centreRim];
  if (look.centre.kind === 'picture')
    return [
      { kind: 'picture', pictureId: look.centre.pictureId, ...inside(look.centre.aspect, inWidth, inHeight, x, y) },
    ];
  const nodes = iconOf(look.centre.icon);
  return nodes === null
    ? []
    : iconStrokes(nodes, { x, y, side: Math.min(inWidth, inHeight) }, { kind: 'colour', colour: look.ink });
}

/** The largest of that aspect inside a box, in its middle. */
function inside(
  aspect: number,
  width: number,
  height: number,
  x: number,
  y: number,
): { readonly x: number; readonly y: number; readonly width: number; readonly height: number } {
  const own = width / height > aspect ? { width: height * aspect, height } : { width, height: width / aspect };
  return { ...own, x: x + (width - own.width) / 2, y: y + (height - own.height) / 2 };
}
