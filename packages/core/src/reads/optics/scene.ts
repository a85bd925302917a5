/**
 * What is between a symbol and a camera: how it was printed, and the light it hangs in. Figures are assumptions of this
 * model, named here once and listed in docs/optics.md; none is a property of a product.
 */

/** How a sheet is printed. */
export const printTechniques = ['laser', 'ink', 'grey'] as const;
/** `grey`: saved toner, a copy, a tired cartridge. */
export type PrintTechnique = (typeof printTechniques)[number];

/** What a sheet is behind. */
export const surfaces = ['matte', 'taped', 'laminated'] as const;
/** One of them. */
export type Surface = (typeof surfaces)[number];

/** How bright a room is. */
export const lightLevels = ['daylight', 'evening', 'dim'] as const;
/** `evening`: lamps are on in the room; `dim`: a corridor without windows. */
export type LightLevel = (typeof lightLevels)[number];

/** Light, print and surface of a sheet on a wall. */
export interface Scene {
  readonly technique: PrintTechnique;
  readonly surface: Surface;
  readonly light: LightLevel;
  /** How much darker one side of the code is than the other, 0 to below 1. */
  readonly uneven: number;
}

/** Paper on a wall in the evening: what a rehearsal takes where nobody says otherwise. */
export const usualScene: Scene = { technique: 'laser', surface: 'matte', light: 'evening', uneven: 0.15 };

/** By how much toner or ink spreads beyond a module's edge, in modules, and how much of the contrast it does not print, 0 to 1. */
export const techniqueFigures: Readonly<Record<PrintTechnique, { readonly spread: number; readonly paler: number }>> = {
  laser: { spread: 1 / 16, paler: 0 },
  ink: { spread: 2 / 16, paler: 0.03 },
  grey: { spread: 1 / 16, paler: 0.28 },
};

/** Reflectance that a lamp's mirror image adds at its middle, 0 to 1. */
export const glossOf: Readonly<Record<Surface, number>> = { matte: 0, taped: 0.14, laminated: 0.3 };

/** Noise against that of evening light, and how long a preview frame is exposed, seconds. */
export const lightFigures: Readonly<Record<LightLevel, { readonly noise: number; readonly exposureS: number }>> = {
  daylight: { noise: 0.7, exposureS: 0.008 },
  evening: { noise: 1, exposureS: 0.025 },
  dim: { noise: 1.8, exposureS: 0.06 },
};

/** A hand that aims turns as fast as that at most, degrees a second. */
export const fastestHandDegPerS = 2;
