/**
 * The one form that everything of a code is made of: a box whose corners may be round or cut. It can be drawn as a path, for
 * SVG and PDF, and asked for a point, for the camera's raster; so both always mean the same.
 */

/** In modules; radii from the upper left corner clockwise. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly radii: readonly [number, number, number, number];
  /** Corners are cut off straight instead of rounded. */
  readonly cut: boolean;
}

/** A filled box, with a hole in it where a ring is meant. */
export interface CodeShape {
  readonly box: Box;
  readonly hole: Box | null;
}

/** One radius for all corners, or one for each; round unless they are said to be cut. */
export type Corners = number | Box['radii'] | { readonly radius: number | Box['radii']; readonly cut: boolean };

/** A box by its upper left corner and its size, in modules. */
export function box(x: number, y: number, width: number, height: number, corners: Corners = 0): Box {
  const { radius, cut } =
    typeof corners === 'object' && 'radius' in corners ? corners : { radius: corners, cut: false };
  return { x, y, width, height, radii: typeof radius === 'number' ? [radius, radius, radius, radius] : radius, cut };
}

/** The same box with each side moved outwards; inwards below 0. Corners keep their form. */
export function grown({ x, y, width, height, radii, cut }: Box, by: number): Box {
  const grow = (radius: number): number => (radius === 0 ? 0 : Math.max(0, radius + by));
  return {
    x: x - by,
    y: y - by,
    width: width + 2 * by,
    height: height + 2 * by,
    radii: [grow(radii[0]), grow(radii[1]), grow(radii[2]), grow(radii[3])],
    cut,
  };
}

/** SVG path data. */
export function boxPath({ x, y, width, height, radii: [tl, tr, br, bl], cut }: Box): string {
  const corner = (radius: number, dx: number, dy: number): string => {
    if (radius === 0) return '';
    const end = `${inThousandths(dx * radius)} ${inThousandths(dy * radius)}`;
    return cut ? `l${end}` : `a${inThousandths(radius)} ${inThousandths(radius)} 0 0 1 ${end}`;
  };
  const line = (command: 'h' | 'v', length: number): string =>
    Math.abs(length) < 5e-4 ? '' : `${command}${inThousandths(length)}`;
  return [
    `M${inThousandths(x + tl)} ${inThousandths(y)}`,
    line('h', width - tl - tr),
    corner(tr, 1, 1),
    line('v', height - tr - br),
    corner(br, -1, 1),
    line('h', br + bl - width),
    corner(bl, -1, -1),
    // Without a corner to come, the closing line is this one.
    tl === 0 ? '' : line('v', bl + tl - height),
    corner(tl, 1, -1),
    'z',
  ].join('');
}

/** Path data of shapes for the even-odd rule, since holes are drawn like boxes. */
export function shapesPath(shapes: readonly CodeShape[]): string {
  return shapes.map((shape) => boxPath(shape.box) + (shape.hole ? boxPath(shape.hole) : '')).join('');
}

/** Whether a point lies in the box with its corners; all in modules. */
export function boxHolds({ x, y, width, height, radii: [tl, tr, br, bl], cut }: Box, px: number, py: number): boolean {
  const [right, down] = [px - x, py - y];
  if (right < 0 || down < 0 || right > width || down > height) return false;
  const [left, up] = [width - right, height - down];
  return (
    inCorner(tl, right, down, cut) &&
    inCorner(tr, left, down, cut) &&
    inCorner(br, left, up, cut) &&
    inCorner(bl, right, up, cut)
  );
}

/** @param across distance to the corner's one side. @param along distance to its other side */
function inCorner(radius: number, across: number, along: number, cut: boolean): boolean {
  if (across >= radius || along >= radius) return true;
  return cut ? across + along >= radius : (radius - across) ** 2 + (radius - along) ** 2 <= radius ** 2;
}

/** As path data has it: three digits are a thousandth of a module, less than printers show. */
export function inThousandths(value: number): string {
  return String(Math.round(value * 1000) / 1000 + 0);
}
