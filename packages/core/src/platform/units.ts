/**
 * Units used across the core. A number carries its unit in its name: `sizeMm`, `distanceM`,
 * `blurPx`, `tiltDeg`, `sizePt`. Only the conversions that several folders need live here.
 */

/** PostScript points in a millimetre (1 in = 25.4 mm = 72 pt). */
export const pointsPerMm = 72 / 25.4;

/** Degrees to radians. */
export function radians(degrees: number): number {
  return (degrees * Math.PI) / 180;
}

/**
 * Throws unless `value` is a finite number above zero. Guards the doors of public functions.
 * @throws TypeError for what is not a number, RangeError for zero, negative or infinite values.
 */
export function requirePositive(name: string, value: number): void {
  if (typeof value !== 'number') throw new TypeError(`${name} must be a number, got ${typeof value}`);
  if (!Number.isFinite(value) || value <= 0) throw new RangeError(`${name} must be above 0, got ${value}`);
}
