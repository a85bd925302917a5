import fc from 'fast-check';
import { judgeLook, passingColours } from './judge-look.js';
import { plainLook, type LookDesign } from './look.js';
import { planned } from '../../test/sample-look.js';

describe('what a look leaves', () => {
  it('of the plain one is everything', () => {
    expect(judgeLook(planned(), plainLook)).toMatchObject({
      state: 'done',
      reasons: [],
      centre: null,
      refusedBy: [],
      spare: { spare: 1 },
    });
  });

  it('of a centre picture is at least half, by itself', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 120 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (payload, aspect) => {
          const { spare, centre, state, reasons } = judgeLook(planned(payload), {
            ...plainLook,
            centre: { kind: 'picture', pictureId: '01990000-0000-7000-8000-000000000001', aspect, side: null },
          });
          expect(spare.spare).toBeGreaterThanOrEqual(0.5);
          // Without room the code goes without, and reads as well.
          expect(state).toBe('done');
          expect(centre === null).toBe(reasons.includes('no-room-for-centre'));
        },
      ),
    );
  });

  it.each([
    ['colours too near', { ink: '#ffdf6b' }, 'stop', ['too-little-contrast']],
    ['colours a little near', { ink: '#c0c0c0' }, 'stop', ['too-little-contrast']],
    ['the same grey', { ink: '#d02020', ground: '#3a8f3a' }, 'stop', ['too-little-contrast']],
    ['light on dark', { ink: '#ffffff', ground: '#101010' }, 'stop', ['light-on-dark']],
    ['a gradient that ends in the ground', { inkTo: '#ffffff' }, 'stop', ['too-little-contrast']],
    [
      'half of the repair gone',
      { centre: { kind: 'icon', icon: 'shell', side: 0.3 } },
      'look-at',
      ['little-spare-repair'],
    ],
    ['nothing left to repair', { centre: { kind: 'icon', icon: 'shell', side: 0.45 } }, 'stop', ['beyond-repair']],
  ] as const)('%s', (_, look, state, reasons) => {
    expect(judgeLook(planned(), { ...plainLook, ...look })).toMatchObject({ state, reasons });
  });

  it('never shows what is too small to recognise: then the code goes without, and says so', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 120 }),
        fc.constantFrom('L', 'M', 'Q', 'H'),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        fc.option(fc.double({ min: 0.05, max: 0.3, noNaN: true })),
        (payload, level, aspect, side) => {
          const pictureId = '01990000-0000-7000-8000-000000000001';
          const { centre, reasons } = judgeLook(planned(payload, level), {
            ...plainLook,
            centre: { kind: 'picture', pictureId, aspect, side },
          });
          if (centre === null) expect(reasons).toContain('no-room-for-centre');
          else {
            expect(Math.max(centre.width, centre.height)).toBeGreaterThanOrEqual(5);
            expect(Math.min(centre.width, centre.height)).toBeGreaterThanOrEqual(3);
          }
        },
      ),
    );
  });

  it('says when a centre picture reaches the patterns that nothing repairs', () => {
    expect(
      judgeLook(planned('9'), { ...plainLook, centre: { kind: 'icon', icon: 'shell', side: 0.4 } }).reasons,
    ).toContain('covers-patterns');
  });

  it('proposes a higher level where that costs no version, and none otherwise', () => {
    const payload = 'https://a.example/leaf/x';
    expect(judgeLook(planned(payload, 'L'), plainLook).freeLevel).not.toBeNull();
    expect(judgeLook(planned(payload), plainLook).freeLevel).toBeNull();
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 200 }),
        fc.constantFrom('L' as const, 'M' as const, 'Q' as const, 'H' as const),
        (text, level) => {
          const plan = planned(text, level);
          const { freeLevel } = judgeLook(plan, plainLook);
          if (freeLevel !== null) expect(planned(text, freeLevel).version).toBe(plan.version);
        },
      ),
    );
  });

  it('fixes colours in one step, and leaves good ones alone', () => {
    const look: LookDesign = { ...plainLook, ink: '#ffc400', inkTo: '#d8e6f0', modules: 'worn' };
    const passing = passingColours(look);
    expect(passing && judgeLook(planned(), passing).state).toBe('done');
    expect(passing).toMatchObject({ modules: 'worn', ground: '#ffffff' });
    expect(passingColours(plainLook)).toBeNull();
  });
});
