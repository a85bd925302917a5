/** How fine a code is, in words. The bounds are product rules: coarse to version 2, medium to 4, fine to 6. */
export const grains = ['coarse', 'medium', 'fine', 'very-fine'] as const;
/** How fine a code is. */
export type Grain = (typeof grains)[number];

/** @throws RangeError unless version is a whole number from 1 to 40. */
export function grainOf(version: number): Grain {
  if (!Number.isInteger(version) || version < 1 || version > 40)
    throw new RangeError(`version must be 1 to 40, got ${version}`);
  if (version <= 2) return 'coarse';
  if (version <= 4) return 'medium';
  return version <= 6 ? 'fine' : 'very-fine';
}
