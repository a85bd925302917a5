import { keepPxPerMm, nominalPxPerMm, readPxPerMm, shownSize } from './calibration.js';

describe('a calibrated screen', () => {
  const store = (kept: Record<string, string> = {}) => ({
    kept,
    getItem: (key: string) => kept[key] ?? null,
    setItem: (key: string, value: string) => void (kept[key] = value),
  });
  it('is remembered, and nonsense is not', () => {
    const memory = store();
    expect(readPxPerMm(memory)).toBeNull();
    keepPxPerMm(memory, 5.2);
    expect(readPxPerMm(memory)).toBe(5.2);
    keepPxPerMm(memory, 400);
    expect(readPxPerMm(memory)).toBe(12);
    expect(readPxPerMm(store({ 'hapset.pxPerMm': 'x' }))).toBeNull();
  });

  it('shows a code at its printed size, or as large as fits with how much nearer one stands', () => {
    expect(shownSize(60, 25, 600, nominalPxPerMm)).toEqual({ sizeMm: 60, nearer: 1 });
    const large = shownSize(200, 25, 500, nominalPxPerMm);
    expect(large.sizeMm * (1 + 8 / 25) * nominalPxPerMm).toBeCloseTo(500, 6);
    expect(large.nearer).toBeCloseTo(large.sizeMm / 200, 9);
  });
});
