import { placeCentre } from './centre.js';
import type { LookCentre } from './look.js';

const placed = { version: 7, modules: 45, level: 'H' } as const;
const picture = (aspect: number, side: number | null): LookCentre => ({
  kind: 'picture',
  pictureId: 'x',
  aspect,
  side,
});
const sides = (aspect: number, side: number | null): readonly (number | undefined)[] => {
  const centre = placeCentre(placed, picture(aspect, side));
  return [centre?.width, centre?.height];
};

describe('a picture in the middle', () => {
  it('has the sides that its aspect asks for, odd in modules', () => {
    expect(sides(1, 0.2)).toEqual([9, 9]);
    expect(sides(2, 0.3)).toEqual([13, 5]);
    expect(sides(0.5, 0.3)).toEqual([5, 13]);
  });

  it('is never too small to recognise where its size is given', () => {
    expect(sides(1, 0.08)).toEqual([5, 5]);
    expect(sides(3, 0.08)).toEqual([5, 3]);
    expect(sides(1 / 3, 0.08)).toEqual([3, 5]);
  });

  it('is left out where none may cover anything', () => {
    expect(placeCentre({ version: 1, modules: 21, level: 'L' }, picture(1, null))).toBeNull();
  });

  it('covers the modules under it, and no others far away', () => {
    const centre = placeCentre(placed, picture(1, 0.2));
    const covered = centre?.covered.reduce((count, one) => count + one, 0) ?? 0;
    expect(covered).toBeGreaterThanOrEqual(81);
    expect(covered).toBeLessThanOrEqual(121);
  });
});
