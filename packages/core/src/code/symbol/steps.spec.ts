import fc from 'fast-check';
import { figuresOf } from '../../reads/ladder/figures.js';
import { smallestVersion } from './fit.js';
import { levelChoices } from '../../reads/ladder/levels.js';
import { growthSteps, type GrowthSteps } from './steps.js';
import { tablet } from '../../test/sample-optics.js';

const steps = (payload: string): GrowthSteps => {
  const found = growthSteps(payload);
  if (!found) throw new Error('no symbol holds it');
  return found;
};

describe('the steps around a payload', () => {
  it('are those of the standard for bytes at level M', () => {
    expect(steps('x'.repeat(30))).toMatchObject({
      characters: 30,
      now: 2,
      steps: [
        { modules: 21, upTo: 14 },
        { modules: 25, upTo: 26 },
        { modules: 29, upTo: 42 },
        { modules: 33, upTo: 62 },
        { modules: 37, upTo: 84 },
      ],
    });
    expect(steps('x')).toMatchObject({
      now: 0,
      steps: [
        { version: 1, upTo: 14 },
        { version: 2, upTo: 26 },
        { version: 3, upTo: 42 },
      ],
    });
  });

  it('cross from nine to ten, where counts get longer', () => {
    const { steps: around, now } = steps('x'.repeat(170));
    expect(around.slice(now, now + 3).map(({ version, upTo }) => [version, upTo])).toEqual([
      [9, 180],
      [10, 213],
      [11, 251],
    ]);
  });

  it('end at version 40, and are none where nothing holds it', () => {
    expect(steps('x'.repeat(2331)).steps.at(-1)).toMatchObject({ version: 40, upTo: 2331 });
    expect(growthSteps('x'.repeat(2332))).toBeNull();
    expect(growthSteps('')).toBeNull();
  });

  it('hold: up to there the version stays, and one character more leaves it', () => {
    const text = fc.string({ unit: fc.constantFrom(...'aA7 é潮🐚-'), minLength: 1, maxLength: 180 });
    fc.assert(
      fc.property(text, (payload) => {
        const { characters, steps: around, now } = steps(payload);
        const all = [...payload];
        expect(characters).toBe(all.length);
        expect(around[now]?.version).toBe(smallestVersion(payload, 'M'));
        for (const { version, upTo } of around.slice(0, now)) {
          expect(smallestVersion(all.slice(0, upTo).join('') || 'x', 'M')).toBeLessThanOrEqual(version);
          expect(smallestVersion(all.slice(0, upTo + 1).join(''), 'M')).toBeGreaterThan(version);
        }
        expect(around.map(({ upTo }) => upTo)).toEqual([...around.map(({ upTo }) => upTo)].sort((a, b) => a - b));
      }),
      { numRuns: 80 },
    );
  });
});

const printed = { sizeMmOf: () => 100, reachShare: 1, devices: [tablet] };

describe('a level chosen by hand', () => {
  it('costs modules and reach as it rises', () => {
    const choices = levelChoices('x'.repeat(40), printed);
    expect(choices.map(({ level, figures }) => [level, figures?.version])).toEqual([
      ['L', 3],
      ['M', 3],
      ['Q', 4],
      ['H', 5],
    ]);
    const reaches = choices.map(({ figures }) => figures?.reachM ?? 0);
    expect(reaches[0]).toBe(reaches[1]);
    expect(reaches[3]).toBeLessThan(reaches[2] ?? 0);
  });

  it('is null where nothing holds the payload at it', () => {
    expect(levelChoices('x'.repeat(2000), printed).map(({ figures }) => figures !== null)).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });

  it('left alone is raised for nothing, with steps counted at M', () => {
    expect(figuresOf('a'.repeat(11), null, printed)).toMatchObject({
      version: 1,
      level: 'Q',
      charactersUntilGrowth: 3,
    });
    expect(figuresOf('a'.repeat(11), 'Q', printed)).toMatchObject({ version: 1, level: 'Q', charactersUntilGrowth: 0 });
    expect(figuresOf('', null, printed)).toBeNull();
  });
});
