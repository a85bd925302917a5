import fc from 'fast-check';
import type { DeviceProfile } from '../../school/device/device.js';
import { ladderOf, type Ladder, type LadderOptions } from './ladder.js';
import { tablet } from '../../test/sample-optics.js';

const phone: DeviceProfile = { ...tablet, id: 'p', previewWidthPx: 1920 };
const ladder = (payload: string, more: Partial<LadderOptions> = {}): Ladder =>
  ladderOf({
    kind: 'link',
    payload,
    trimmed: null,
    short: null,
    level: null,
    sizeMmOf: () => 120,
    reachShare: 1,
    distanceM: 2,
    devices: [tablet, phone],
    ...more,
  });
const long = `https://a.example/leaf/${'x'.repeat(90)}`;
const counted = `${long}?utm_source=mail&utm_medium=newsletter&utm_campaign=tides`;

describe('the carry ladder', () => {
  it('has the link, the trimmed link where both lead to the same page, and the bare address last', () => {
    expect(
      ladder(counted, { trimmed: long }).rungs.map(({ kind, payload, dependsOn }) => [kind, payload, dependsOn]),
    ).toEqual([
      ['link', counted, 'page'],
      ['trimmed', long, 'page'],
      ['bare', long.slice(8), 'page-and-reader'],
    ]);
    expect(ladder('http://a.example/x').rungs.map(({ kind }) => kind)).toEqual(['link']);
    expect(ladder('Who am I?', { kind: 'words' })).toMatchObject({
      rungs: [{ kind: 'words', dependsOn: 'nothing' }],
      recommended: 0,
      reason: 'only-one',
    });
  });

  it('tells figures of each: size of a module, reach of the weakest device, steps', () => {
    const [rung] = ladder('https://a.example/x').rungs;
    expect(rung?.figures).toMatchObject({
      version: 2,
      modules: 25,
      grain: 'coarse',
      characters: 19,
      moduleMm: 120 / 25,
      charactersToShrink: 5,
    });
    const weakest = ladder('https://a.example/x', { devices: [tablet] }).rungs[0]?.figures?.reachM;
    expect(rung?.figures?.reachM).toBe(weakest);
    expect(ladder('https://a.example/x', { devices: [] }).rungs[0]?.figures?.reachM).toBeNull();
  });

  it('recommends what reads from where students stand, then what is coarser at no cost, and never the bare address', () => {
    expect(ladder('https://a.example/x')).toMatchObject({ recommended: 0, reason: 'exact' });
    const far = ladder(counted, { trimmed: long, distanceM: 2.1, sizeMmOf: () => 155 });
    const [linkReach = 0, trimmedReach = 0] = far.rungs.map(({ figures }) => figures?.reachM ?? 0);
    expect(
      ladder(counted, { trimmed: long, sizeMmOf: () => 155, distanceM: (linkReach + trimmedReach) / 2 }),
    ).toMatchObject({
      recommended: 1,
      reason: 'fits-the-room',
    });
    expect(ladder(counted, { trimmed: long, sizeMmOf: () => 155, distanceM: trimmedReach * 2 })).toMatchObject({
      recommended: 1,
      reason: 'reads-farther',
    });
    expect(ladder(counted, { trimmed: long, sizeMmOf: () => 155, distanceM: linkReach / 2 })).toMatchObject({
      recommended: 1,
      reason: 'coarser',
    });
    const short = 'https://a.example/x?utm_id=1';
    expect(ladder(`${short}2`, { trimmed: short, distanceM: 0.5 })).toMatchObject({ recommended: 0, reason: 'exact' });
  });

  it('recommends the school’s short link where nothing direct reads from where students stand, and only there', () => {
    const short = 'HTTPS://K.FERNHOLLOW.EXAMPLE/CD3F7';
    const options = { trimmed: long, short, sizeMmOf: () => 155 };
    const { rungs } = ladder(counted, options);
    expect(rungs.map(({ kind, dependsOn }) => [kind, dependsOn])).toEqual([
      ['link', 'page'],
      ['trimmed', 'page'],
      ['short-link', 'page-and-school'],
      ['bare', 'page-and-reader'],
    ]);
    const [, trimmedReach = 0, shortReach = 0] = rungs.map(({ figures }) => figures?.reachM ?? 0);
    expect(ladder(counted, { ...options, distanceM: (trimmedReach + shortReach) / 2 })).toMatchObject({
      recommended: 2,
      reason: 'short-reads',
    });
    expect(ladder(counted, { ...options, distanceM: shortReach * 2 })).toMatchObject({
      recommended: 2,
      reason: 'reads-farther',
    });
    expect(ladder(counted, { ...options, distanceM: 0.3 })).toMatchObject({ recommended: 1, reason: 'coarser' });
    expect(ladder('https://a.example/x', { short, distanceM: 0.3 })).toMatchObject({ recommended: 0, reason: 'exact' });
    expect(ladder(`https://a.example/${'x'.repeat(3000)}`, { short })).toMatchObject({ recommended: 1 });
  });

  it('says so where no symbol holds it', () => {
    const all = ladder(`https://a.example/${'x'.repeat(3000)}`);
    expect(all).toMatchObject({ recommended: null });
    expect(all.rungs.every(({ figures }) => figures === null)).toBe(true);
  });

  it('never lets a shorter rung be finer', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^https:\/\/[a-z]{3,10}\.example\/[a-z0-9/]{0,120}$/), (link) => {
        const versions = ladder(`${link}?utm_source=x`, { trimmed: link }).rungs.map(
          ({ figures }) => figures?.version ?? 41,
        );
        expect([...versions].sort((a, b) => b - a)).toEqual(versions);
      }),
      { numRuns: 50 },
    );
  });

  it('judges each rung at the size at which it would be printed, and in the look that it would have', () => {
    const bySize = ladder(counted, { trimmed: long, sizeMmOf: (modules) => modules * 2 });
    expect(bySize.rungs.map(({ figures }) => figures && figures.sizeMm / figures.modules)).toEqual([2, 2, 2]);
    // Twice the modules at twice the size read from as far away.
    const [reach = 0, other = 0] = bySize.rungs.map(({ figures }) => figures?.reachM ?? 0);
    expect(Math.abs(reach - other) / other).toBeLessThan(0.06);
    const [plain] = ladder(long).rungs;
    const [faint] = ladder(long, { reachShare: 0.8 }).rungs;
    expect((faint?.figures?.reachM ?? 0) / (plain?.figures?.reachM ?? 1)).toBeCloseTo(0.8);
  });
});
