/**
 * Would a reader tell the dark modules from the light ones? Symbol contrast and modulation as ISO/IEC 15415 defines them (7.8.3,
 * 7.8.4), from reflectances as printed: in colour, and in grey, since many school printers have no colour. A gradient is judged
 * at its worst point. What passes is this core's own measure of its readers (docs/optics.md), stricter than the grades.
 */
import { fromOklch, hexOf, inGrey, luminance, rgbOf, toOklch, type HexColour, type Rgb } from './colour.js';

/** Colours of dark and light modules, `#rrggbb`. */
export interface LookColours {
  /** Of the dark modules; two for a gradient. */
  readonly dark: readonly [HexColour] | readonly [HexColour, HexColour];
  /** Behind them, quiet zone included. */
  readonly light: HexColour;
}

/** How a look may be printed. */
export const prints = ['colour', 'grey'] as const;
/** One of them. */
export type Print = (typeof prints)[number];

/** What a camera sees of dark and light (ISO/IEC 15415). */
export interface Contrast {
  /** Reflectance of the light less that of the darkest point's rival: Rmax - Rmin, 0 to 1, at the worst point. */
  readonly symbolContrast: number;
  /** Least modulation over the symbol, 0 to 1. */
  readonly modulation: number;
  /** ISO/IEC 15415, table 4: 4 (A) to 0 (F), of symbol contrast. */
  readonly grade: 4 | 3 | 2 | 1 | 0;
  /** Dark and light have changed places: some readers refuse that. */
  readonly lightOnDark: boolean;
}

/** Linear reflectances of office paper and toner: nothing printed is quite white or black. The camera model prints with these. */
export const paperReflectance = 0.82;
/** Of black toner, 0 to 1. */
export const inkReflectance = 0.05;
/**
 * From here on every engine reads a flat print (docs/optics.md): the one threshold for looks, for the colours that are
 * offered instead, and for the figures beside them.
 */
export const leastContrast = 0.45;

/**
 * Contrast as a camera sees it, at the point of the ink where it is weakest (ISO/IEC 15415, symbol contrast).
 * @param print decides how much light colours throw back
 */
export function contrastOf({ dark, light }: LookColours, print: Print): Contrast {
  const { ground: background, inks: points } = reflectancesOf({ dark, light }, print);
  const [least, most] = [Math.min(...points), Math.max(...points)];
  const lightOnDark = background < (least + most) / 2;
  // The point that differs least from what is behind it decides.
  const worst = points.reduce(
    (near, point) => (Math.abs(point - background) < Math.abs(near - background) ? point : near),
    points[0] ?? background,
  );
  const symbolContrast = Math.abs(background - worst);
  const all = [background, least, most];
  const threshold = (Math.max(...all) + Math.min(...all)) / 2;
  const whole = Math.max(...all) - Math.min(...all);
  const modulation =
    whole === 0
      ? 0
      : Math.min(1, (2 * Math.min(Math.abs(worst - threshold), Math.abs(background - threshold))) / whole);
  // A gradient that crosses what is behind it hides a part of the modules altogether.
  const crosses = least < background && most > background;
  return {
    symbolContrast: crosses ? 0 : symbolContrast,
    modulation: crosses ? 0 : modulation,
    grade: gradeOf(crosses ? 0 : symbolContrast),
    lightOnDark,
  };
}

/** Reflectances as printed; the inks are those along the gradient, from its begin to its end. */
export function reflectancesOf(
  { dark, light }: LookColours,
  print: Print,
): { readonly ground: number; readonly inks: readonly number[] } {
  return { ground: reflectance(rgbOf(light), print), inks: gradientPoints(dark).map((rgb) => reflectance(rgb, print)) };
}

/** The print in which less is left of the contrast. */
export function worsePrint(colours: LookColours): Print {
  return prints.reduce((worse, print) =>
    contrastOf(colours, print).symbolContrast < contrastOf(colours, worse).symbolContrast ? print : worse,
  );
}

/** Whether readers tell dark from light in both prints. */
export function hasEnoughContrast(colours: LookColours): boolean {
  return prints.every((print) => contrastOf(colours, print).symbolContrast >= leastContrast);
}

/**
 * The nearest colours that pass: the dark ones get darker, in OKLCH, hue kept; and only if black would not do either, the
 * light one lighter. Null where they pass already.
 */
export function nearestEnough(colours: LookColours): LookColours | null {
  if (hasEnoughContrast(colours)) return null;
  const darker = (share: number): LookColours => ({
    ...colours,
    dark: colours.dark.map((colour) =>
      withLightness(colour, (lightness) => lightness * (1 - share)),
    ) as unknown as LookColours['dark'],
  });
  if (hasEnoughContrast(darker(1))) return darker(leastShare((share) => hasEnoughContrast(darker(share))));
  const both = (share: number): LookColours => ({
    ...darker(1),
    light: withLightness(colours.light, (lightness) => lightness + (1 - lightness) * share),
  });
  return both(leastShare((share) => hasEnoughContrast(both(share))));
}

/** Bisection down to a step that no eye sees. @param passes true for 1 */
function leastShare(passes: (share: number) => boolean): number {
  let [fails, works] = [0, 1];
  for (let step = 0; step < 10; step += 1) {
    const middle = (fails + works) / 2;
    if (passes(middle)) works = middle;
    else fails = middle;
  }
  return works;
}

function withLightness(colour: HexColour, change: (lightness: number) => number): HexColour {
  const oklch = toOklch(rgbOf(colour));
  return hexOf(fromOklch({ ...oklch, lightness: change(oklch.lightness) }));
}

const gradientSteps = 16;

function gradientPoints(dark: LookColours['dark']): readonly Rgb[] {
  const [first, last] = [rgbOf(dark[0]), rgbOf(dark[1] ?? dark[0])];
  return Array.from(
    { length: gradientSteps + 1 },
    (_, step) =>
      first.map(
        (channel, index) => channel + ((last[index] ?? 0) - channel) * (step / gradientSteps),
      ) as unknown as Rgb,
  );
}

function reflectance(rgb: Rgb, print: Print): number {
  return inkReflectance + (paperReflectance - inkReflectance) * luminance(print === 'grey' ? inGrey(rgb) : rgb);
}

function gradeOf(symbolContrast: number): Contrast['grade'] {
  if (symbolContrast >= 0.7) return 4;
  if (symbolContrast >= 0.55) return 3;
  if (symbolContrast >= 0.4) return 2;
  return symbolContrast >= 0.2 ? 1 : 0;
}
