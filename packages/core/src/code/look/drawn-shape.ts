/** What a drawing is made of, in module units with the symbol's corner as origin. */
import type { HexColour } from './colour.js';

/** What a shape is filled with. */
export type Paint =
  | { readonly kind: 'colour'; readonly colour: HexColour }
  /** From one point to the other, in modules; clamped beyond. */
  | {
      readonly kind: 'linear';
      readonly from: readonly [number, number];
      readonly to: readonly [number, number];
      readonly colours: readonly [HexColour, HexColour];
    }
  | {
      readonly kind: 'radial';
      readonly centre: readonly [number, number];
      readonly radius: number;
      readonly colours: readonly [HexColour, HexColour];
    };

/** A part of a drawn code, in modules from the symbol's upper left corner. */
export type DrawnShape =
  /** SVG path data, filled by the even-odd rule. */
  | { readonly kind: 'fill'; readonly path: string; readonly paint: Paint }
  /** Round caps and joins; path and width are in the shape's own units, moved and scaled. */
  | {
      readonly kind: 'stroke';
      readonly path: string;
      readonly paint: Paint;
      readonly width: number;
      readonly at: readonly [number, number];
      readonly scale: number;
    }
  | {
      readonly kind: 'picture';
      readonly pictureId: string;
      readonly x: number;
      readonly y: number;
      readonly width: number;
      readonly height: number;
    }
  /** Centred at x; one baseline a line. */
  | {
      readonly kind: 'text';
      readonly lines: readonly string[];
      readonly size: number;
      readonly x: number;
      readonly baselines: readonly number[];
      readonly paint: Paint;
    };
