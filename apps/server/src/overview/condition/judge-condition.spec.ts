import { conditionNames, type ConditionName, type ConditionState } from '@hapset/contract';
import { judgeCondition, type ConditionFacts } from './judge-condition.js';

const now = Date.parse('2026-11-24T10:00:00Z');
const hourMs = 3600 * 1000;
const good: ConditionFacts = {
  now,
  database: { now, migration: 'Ground' },
  disk: { freeBytes: 50e9, allBytes: 100e9 },
  filesWritable: true,
  publicAddress: 'https://hapset.school.example',
  addressAnswers: true,
  phoneAt: now - hourMs,
  queue: { waiting: 3, failed: 0, oldestAt: now - 60_000 },
  backup: { madeAt: now - 20 * hourMs, problem: null },
  browser: 'ready',
  office: true,
};
const stateOf = (name: ConditionName, change: Partial<ConditionFacts>): ConditionState | undefined =>
  judgeCondition({ ...good, ...change }).find((check) => check.name === name)?.state;

describe('the condition of a server', () => {
  it('is good where all is well, in the order of the page', () => {
    const checks = judgeCondition(good);
    expect(checks.map(({ name }) => name)).toEqual(conditionNames);
    expect(new Set(checks.map(({ state }) => state))).toEqual(new Set(['good']));
  });

  it.each([
    ['database', { database: null }, 'stop'],
    ['clock', { database: null }, 'good'],
    ['disk', { disk: null }, 'stop'],
    ['disk', { disk: { freeBytes: 1.9e9, allBytes: 100e9 } }, 'stop'],
    ['disk', { disk: { freeBytes: 9e9, allBytes: 100e9 } }, 'attention'],
    ['disk', { disk: { freeBytes: 11e9, allBytes: 500e9 } }, 'good'],
    ['disk', { disk: { freeBytes: 9e9, allBytes: 20e9 } }, 'good'],
    ['files', { filesWritable: false }, 'stop'],
    ['address', { addressAnswers: false }, 'attention'],
    ['phone', { phoneAt: null }, 'attention'],
    ['https', { publicAddress: 'http://192.0.2.7' }, 'attention'],
    ['clock', { database: { now: now + 5000, migration: '' } }, 'good'],
    ['clock', { database: { now: now - 5001, migration: '' } }, 'attention'],
    ['queue', { queue: { waiting: 0, failed: 1, oldestAt: null } }, 'attention'],
    ['queue', { queue: { waiting: 1, failed: 0, oldestAt: now - 16 * 60_000 } }, 'attention'],
    ['queue', { queue: { waiting: 0, failed: 0, oldestAt: null } }, 'good'],
    ['backup', { backup: null }, 'attention'],
    ['backup', { backup: { madeAt: now - 51 * hourMs, problem: null } }, 'attention'],
    ['backup', { backup: { madeAt: now, problem: 'disk full' } }, 'stop'],
    ['browser', { browser: 'does-not-start' }, 'attention'],
    ['office', { office: false }, 'attention'],
  ] as const)('%s with %j is %s', (name, change, state) => expect(stateOf(name, change)).toBe(state));
});
