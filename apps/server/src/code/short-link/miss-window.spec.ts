import { missesFree, MissWindow, slowMs } from './miss-window.js';

const minute = 60_000;

describe('addresses that lead nowhere', () => {
  it('cost nothing while a class mistypes, and slow down who goes on', () => {
    const window = new MissWindow();
    for (let miss = 0; miss < missesFree.fromOne; miss += 1) {
      expect(window.add('10.0.0.1', miss)).toBe(0);
    }
    expect(window.add('10.0.0.1', minute)).toBe(slowMs);
    expect(window.add('10.0.0.2', minute)).toBe(0);
  });

  it('are forgotten after ten minutes', () => {
    const window = new MissWindow();
    for (let miss = 0; miss <= missesFree.fromOne; miss += 1) window.add('10.0.0.1', 0);
    expect(window.add('10.0.0.1', 9 * minute)).toBe(slowMs);
    expect(window.add('10.0.0.1', 10 * minute)).toBe(0);
  });

  it('are counted in all as well: many who try a little are one who tries much', () => {
    const window = new MissWindow();
    for (let miss = 0; miss < missesFree.inAll; miss += 1) {
      expect(window.add(`10.0.${miss >> 8}.${miss & 255}`, 0)).toBe(0);
    }
    expect(window.add('192.0.2.1', 1)).toBe(slowMs);
  });

  it('keep no more addresses than fit, and push out the oldest alone', () => {
    const window = new MissWindow();
    for (let miss = 0; miss <= missesFree.fromOne; miss += 1) window.add('10.9.9.9', 0);
    for (let other = 0; other < 19_999; other += 1) window.add(`other ${other}`, 11 * minute);
    // Still known, and so counted again only because its ten minutes are over.
    expect(window.add('10.9.9.9', 11 * minute)).toBe(slowMs);
  });
});
