import type { VerdictReason } from '@hapset/core';
import { locked } from '../../test/sample-readiness.js';
import { carriesWords, opensWords, paperWords, readsWords } from './answers.js';

const reads = {
  state: 'done',
  leastReachM: 2.64,
  distanceM: 2.5,
  devices: 4,
  fallShort: [],
  failed: [],
  look: [],
} as const;

describe('cells of the bench', () => {
  it('say what stops and how many steps fix it', () => {
    expect(opensWords(locked)).toEqual({
      mark: 'stop',
      title: 'Asks to sign in',
      figure: 'Fix in 2 steps',
      isFix: true,
    });
    expect(opensWords({ ...locked, steps: 1 }).figure).toBe('Fix in 1 step');
    expect(opensWords({ ...locked, opening: true })).toMatchObject({ figure: 'checking again…', isFix: false });
  });
  it('say that a verdict is too old, and that a class with accounts gets in', () => {
    expect(opensWords({ ...locked, state: 'look-at', verdict: 'open', stale: true })).toEqual({
      mark: 'look-at',
      title: 'Anyone',
      figure: 'checked too long ago',
      isFix: false,
    });
    expect(opensWords({ ...locked, state: 'done', verdict: 'organisation' })).toEqual({
      mark: 'done',
      title: 'School accounts only',
      figure: 'this class has them',
      isFix: false,
    });
  });
  it('say that words need no network', () => {
    expect(opensWords({ ...locked, state: 'done', verdict: null, inTheCode: true })).toMatchObject({
      mark: 'done',
      title: 'In the code',
    });
  });
  it('offer a fix only where its steps are known', () => {
    expect(opensWords({ ...locked, steps: 0 })).toMatchObject({ figure: 'Check it yourself', isFix: true });
  });
  it('tell an error from silence, and claim no reason for a bare refusal', () => {
    const title = (reason: VerdictReason): string => opensWords({ ...locked, verdict: 'failing', reason }).title;
    expect(
      ['server-error', 'status-error', 'took-too-long', 'not-reached', 'bad-certificate'].map((reason) =>
        title(reason as VerdictReason),
      ),
    ).toEqual(['Error', 'Error', 'No answer', 'No answer', 'Can’t be opened']);
    const refusal = { ...locked, verdict: 'named-only' } as const;
    expect(opensWords({ ...refusal, reason: 'status-forbidden' }).title).toBe('Blocks students');
    expect(opensWords({ ...refusal, reason: 'says-private' }).title).toBe('Chosen people only');
  });
  it('show a person’s answer as a person’s', () => {
    const answer = { opens: true, by: 'Maren Dallow', at: '2026-11-20T09:00:00.000Z' };
    const unknown = { ...locked, state: 'done', verdict: 'unknown', reason: 'needs-script' } as const;
    expect(opensWords({ ...unknown, answer })).toMatchObject({
      mark: 'done',
      title: 'It opens',
      figure: 'Maren Dallow tried it',
    });
    expect(opensWords({ ...unknown, state: 'stop', answer: { ...answer, opens: false } }).title).toBe('Doesn’t open');
  });
  it('name who does not play a sound or film', () => {
    const open = { ...locked, state: 'look-at', verdict: 'open', reason: 'kept-here' } as const;
    const by = (names: readonly string[]): string =>
      opensWords({ ...open, unplayed: { formats: ['webm'], by: names } }).figure;
    expect([by([]), by(['Tablets']), by(['Tablets', 'Phones'])]).toEqual([
      'by many phones',
      'by Tablets',
      'by 2 kinds of devices',
    ]);
  });
  it.each([
    ['hours', 'Closed at that time'],
    ['shown-until', 'Not shown that day'],
    ['address', 'No phone can reach it'],
  ] as const)('say first what keeps students out whatever the page: %s', (obstacle, title) => {
    expect(opensWords({ ...locked, obstacle })).toMatchObject({ mark: 'stop', title, isFix: true });
  });
  it('say when a short link is closed at the time', () => {
    expect(opensWords({ ...locked, verdict: 'open', obstacle: 'hours' })).toMatchObject({
      mark: 'stop',
      title: 'Closed at that time',
    });
  });
  it('say how far, and who falls short', () => {
    expect(readsWords(reads)).toMatchObject({ title: '2.6 m', figure: 'all 4 devices' });
    expect(readsWords({ ...reads, state: 'look-at', leastReachM: 2, fallShort: ['Clamshell laptops'] }).figure).toBe(
      'Clamshell laptops can’t read at 2.5 m',
    );
    expect(readsWords({ ...reads, state: 'stop', leastReachM: 0, fallShort: ['a', 'b'] })).toMatchObject({
      title: 'Not read',
      figure: '2 devices can’t read at 2.5 m',
    });
    expect(readsWords({ ...reads, state: 'not-yet', leastReachM: null }, true).title).toBe('Rehearsing…');
  });
  it('believe real devices more than the rehearsal', () => {
    const tried = (failed: readonly (string | null)[]): object => readsWords({ ...reads, state: 'look-at', failed });
    expect(tried(['Tablets'])).toMatchObject({ mark: 'look-at', title: 'Did not read when tried', figure: 'Tablets' });
    expect(tried([null])).toMatchObject({ figure: 'on a real device' });
    expect(tried(['Tablets', 'Laptops'])).toMatchObject({ figure: 'on 2 devices' });
  });
  it('say that a look fails, whatever the rehearsal says, and what it leaves to be desired', () => {
    expect(readsWords({ ...reads, state: 'stop', look: ['too-little-contrast', 'not-allowed'] })).toEqual({
      mark: 'stop',
      title: 'Look fails',
      figure: 'too little contrast',
      isFix: false,
    });
    expect(readsWords({ ...reads, state: 'look-at', look: ['little-spare-repair'] })).toMatchObject({
      mark: 'look-at',
      title: '2.6 m',
      figure: 'little error correction left',
    });
    expect(
      readsWords({
        ...reads,
        state: 'look-at',
        leastReachM: 2,
        fallShort: ['Clamshell laptops'],
        look: ['little-spare-repair'],
      }).figure,
    ).toBe('Clamshell laptops can’t read at 2.5 m');
  });
  it('say how fine the code is, or that none holds it', () => {
    expect(
      carriesWords({ state: 'done', carry: 'link', grain: 'medium', modules: 33, act: null, ignoredBy: [] }, 'form'),
    ).toMatchObject({ title: 'Link itself', figure: 'Medium · 33 × 33' });
    expect(
      carriesWords({ state: 'stop', carry: 'words', grain: null, modules: null, act: null, ignoredBy: [] }, 'message'),
    ).toMatchObject({ mark: 'stop', title: 'Too long' });
  });
  it('name the kind that the code holds', () => {
    expect(
      carriesWords({ state: 'done', carry: 'words', grain: 'fine', modules: 41, act: null, ignoredBy: [] }, 'event')
        .title,
    ).toBe('Event');
    expect(
      carriesWords({ state: 'done', carry: 'words', grain: 'fine', modules: 41, act: null, ignoredBy: [] }, 'message')
        .title,
    ).toBe('Words');
  });
  it('name what a code carries by choice, and the scanners that do nothing with it', () => {
    expect(
      carriesWords(
        { state: 'look-at', carry: 'words', grain: 'fine', modules: 41, act: 'event', ignoredBy: ['Laptops'] },
        'event',
      ),
    ).toMatchObject({ title: 'Event', figure: 'only text on one device' });
    expect(
      carriesWords(
        {
          state: 'look-at',
          carry: 'bare',
          grain: 'medium',
          modules: 29,
          act: 'bare-address',
          ignoredBy: ['Laptops', 'Tablets'],
        },
        'form',
      ),
    ).toMatchObject({ title: 'Without https://', figure: 'only text on 2 devices' });
    expect(
      carriesWords(
        { state: 'done', carry: 'trimmed', grain: 'medium', modules: 29, act: 'link', ignoredBy: [] },
        'form',
      ).title,
    ).toBe('Shorter link');
  });
  it('say what is on paper', () => {
    expect(paperWords({ state: 'not-yet', changed: [], sizeMm: null, madeAt: null }).title).toBe('Not made yet');
    expect(paperWords({ state: 'done', changed: [], sizeMm: 154.6, madeAt: '' })).toMatchObject({
      title: 'Poster',
      figure: 'code 155 mm',
    });
    expect(paperWords({ state: 'look-at', changed: ['title', 'instruction'], sizeMm: 155, madeAt: '' }).figure).toBe(
      'changed: title and task',
    );
    expect(paperWords({ state: 'look-at', changed: ['payload'], sizeMm: 155, madeAt: '' }).title).toBe('Out of date');
  });
});
