/** Colours of codes: sRGB as teachers name them, linear light as cameras see it, OKLCH where a nearby one is looked for. */

/** `#rrggbb`, lower case. */
export type HexColour = string;

/** sRGB channels, 0 to 1. */
export type Rgb = readonly [number, number, number];

/** Channels 0 to 1, gamma-encoded. @throws RangeError unless it is `#rrggbb` */
export function rgbOf(colour: HexColour): Rgb {
  if (!/^#[0-9a-f]{6}$/i.test(colour)) throw new RangeError(`colour must be #rrggbb, got ${colour}`);
  return [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16) / 255) as unknown as Rgb;
}

/** `#rrggbb`; channels beyond 0 to 1 are cut. */
export function hexOf(rgb: Rgb): HexColour {
  return `#${rgb
    .map((channel) =>
      Math.round(Math.min(1, Math.max(0, channel)) * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}

/** sRGB transfer function (IEC 61966-2-1). */
export function linear(channel: number): number {
  return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
}

/** sRGB of linear light, both 0 to 1 (IEC 61966-2-1). */
export function encoded(value: number): number {
  return value <= 0.0031308 ? value * 12.92 : 1.055 * value ** (1 / 2.4) - 0.055;
}

/** Relative luminance, 0 to 1 (Rec. 709 primaries). */
export function luminance(rgb: Rgb): number {
  const [red, green, blue] = rgb.map(linear) as unknown as Rgb;
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

/** What a printer without colour makes of it: the luma that drivers take (Rec. 601), on all channels. */
export function inGrey(rgb: Rgb): Rgb {
  const luma = 0.299 * rgb[0] + 0.587 * rgb[1] + 0.114 * rgb[2];
  return [luma, luma, luma];
}

/** Lightness 0 to 1, chroma, hue in degrees. */
export interface Oklch {
  /** 0 black to 1 white. */
  readonly lightness: number;
  readonly chroma: number;
  /** Radians. */
  readonly hue: number;
}

/** Björn Ottosson's OKLab matrices (2020), in cylinder coordinates. */
export function toOklch(rgb: Rgb): Oklch {
  const [r, g, b] = rgb.map(linear) as unknown as Rgb;
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  const lightness = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
  const a = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
  const c = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;
  return { lightness, chroma: Math.hypot(a, c), hue: Math.atan2(c, a) };
}

/** Chroma is lowered until the colour exists in sRGB. */
export function fromOklch({ lightness, chroma, hue }: Oklch): Rgb {
  let [inside, outside] = [0, chroma];
  if (inGamut(rgbFrom(lightness, chroma, hue))) return clipped(rgbFrom(lightness, chroma, hue));
  for (let step = 0; step < 24; step += 1) {
    const middle = (inside + outside) / 2;
    if (inGamut(rgbFrom(lightness, middle, hue))) inside = middle;
    else outside = middle;
  }
  return clipped(rgbFrom(lightness, inside, hue));
}

function rgbFrom(lightness: number, chroma: number, hue: number): Rgb {
  const [a, b] = [chroma * Math.cos(hue), chroma * Math.sin(hue)];
  const l = (lightness + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const m = (lightness - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const s = (lightness - 0.0894841775 * a - 1.291485548 * b) ** 3;
  const values = [
    4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s,
    -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s,
    -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s,
  ];
  return values.map((value) => (value < 0 ? value * 12.92 : encoded(value))) as unknown as Rgb;
}

const rounding = 1e-6;

function inGamut(rgb: Rgb): boolean {
  return rgb.every((channel) => channel >= -rounding && channel <= 1 + rounding);
}

function clipped(rgb: Rgb): Rgb {
  return rgb.map((channel) => Math.min(1, Math.max(0, channel))) as unknown as Rgb;
}
