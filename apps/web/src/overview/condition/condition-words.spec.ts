import { conditionNames, type ConditionCheck } from '@hapset/contract';
import { conditionTitles, conditionWords } from './condition-words.js';

const say = (
  name: ConditionCheck['name'],
  state: ConditionCheck['state'],
  facts: ConditionCheck['facts'] = {},
): string => conditionWords({ name, state, facts });
const at = new Date().toISOString();
const figures: readonly ConditionCheck['facts'][] = [
  {},
  { at, freeBytes: 5e9, address: 'https://a.example', waiting: 2, failed: 1, oldest: at },
];

describe('the words of a server’s condition', () => {
  it('are there for everything, whatever it is like', () => {
    for (const name of conditionNames)
      for (const state of ['good', 'attention', 'stop'] as const)
        for (const facts of figures)
          expect(`${conditionTitles[name]}: ${say(name, state, facts)}`).not.toMatch(/\{\{|undefined|NaN/);
  });

  it('say what is and what to do', () => {
    expect(say('disk', 'attention', { freeBytes: 3e9 })).toBe('3 GB free. Make room, or move to a larger disk.');
    expect(say('queue', 'good', { waiting: 0, failed: 0 })).toBe('Nothing waits.');
    expect(say('queue', 'attention', { waiting: 2, failed: 1 })).toContain('1 failed');
    expect(say('backup', 'stop', { at, problem: 'no room' })).toContain('no room');
    expect(say('browser', 'attention', { browser: 'missing' })).toContain('chromium');
  });
});
