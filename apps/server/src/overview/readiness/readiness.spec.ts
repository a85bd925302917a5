import type { DeviceView } from '@hapset/contract';
import { commonFormats, plainLook, scannerActs } from '@hapset/core';
import type { ChosenLook } from '../../code/look/look.service.js';
import type { AccessCheck } from '../../opens/access-check/access-check.entity.js';
import type { Lesson } from '../../lessons/lesson/lesson.entity.js';
import type { Material } from '../../gather/material/material.entity.js';
import type { Sheet } from '../../paper/sheet/sheet.entity.js';
import { PlannedSymbols } from '../../code/symbol/planned-symbols.js';
import { toCarriable } from '../../gather/material/material-address.js';
import { toRehearsalView, type CodeFacts } from '../../reads/placed-code/answers.js';
import { distanceWithoutLessonM, planPrint } from '../../reads/placed-code/print-plan.js';
import { toPlacedCode } from '../../reads/placed-code/placed-code.js';
import type { RehearsedResults } from '../../reads/rehearsal-results/rehearsal-results.service.js';
import type { Place } from '../../lessons/station/place.js';
import { toStanding } from './readiness.service.js';
import type { SchoolRecord } from '../../school/settings/school-record.js';

const tablet: DeviceView = {
  id: 't',
  name: 'Tablets',
  count: 12,
  previewWidthPx: 1280,
  previewHeightPx: 720,
  horizontalFovDeg: 60,
  nearestFocusM: 0.15,
  blurPx: 0.8,
  noiseGrey: 6,
  jpegQuality: null,
  engine: 'zxing',
  actsOn: scannerActs,
  plays: commonFormats,
};
const laptop: DeviceView = { ...tablet, id: 'l', name: 'Laptops', horizontalFovDeg: 70 };
const devices = [tablet, laptop];

const material = (more: Partial<Material> = {}): Material =>
  ({
    kind: 'document',
    title: 'Guide',
    link: 'http://cofferlane.localhost:1/leaf/guide',
    words: null,
    content: null,
    pageToken: null,
    carry: 'link',
    trimmedLink: null,
    slug: null,
    level: null,
    ...more,
  }) as Material;
const lesson = (viewingDistanceM: number): Lesson => ({ viewingDistanceM }) as Lesson;
const school = { publicAddress: 'https://hapset.example', shortLinkHost: 'k.example' };
const symbols = new PlannedSymbols();
const plain = { design: plainLook, name: 'Guide' };
const noLook: ChosenLook = { from: 'nobody', id: null, name: null, design: plainLook, allowed: true };

function facts(more: Partial<CodeFacts> & { readonly material?: Material } = {}): CodeFacts {
  const look = more.look ?? noLook;
  const place: Place = more.place ?? {
    material: more.material ?? material(),
    station: null,
    lesson: lesson(2),
    position: null,
  };
  const code = symbols.plan(toCarriable(place.material, school), 'Europe/Dublin', place.material.level, {
    design: look.design,
    name: 'Guide',
  });
  const print = planPrint(place, code, { devices, paper: 'A4', look: look.design });
  return {
    place,
    code,
    look,
    print,
    checks: { done: null, pending: null, steps: 0, answer: null },
    rehearsal: null,
    like: null,
    tried: [],
    opening: null,
    timeZone: 'Europe/Dublin',
    accounts: 'none',
    now: new Date('2026-11-21T09:00:00Z'),
    lessonAt: null,
    ...more,
  };
}

const check = (verdict: AccessCheck['verdict']): AccessCheck =>
  ({ verdict, finishedAt: new Date('2026-11-20T09:00:00Z') }) as AccessCheck;
const rehearsal = (reachM: number): RehearsedResults =>
  ({
    results: devices.map(({ id }) => ({
      deviceId: id,
      reachM,
      hitAndMissM: reachM,
      fromM: 0.2,
      frames: 9,
      misread: null,
    })),
    unreadBy: [],
    rehearsedAt: new Date('2026-11-20T09:01:00Z'),
  }) as unknown as RehearsedResults;
const texts = { title: 'Guide', instruction: undefined };
const sheet = (payload: string, sizeMm: number): Sheet =>
  ({
    content: { payload, address: payload, ...texts },
    sizeMm,
    madeAt: new Date('2026-11-20T09:02:00Z'),
  }) as unknown as Sheet;

const toReadinessView = (known: CodeFacts, lastSheet: Sheet | null = null) =>
  toStanding(
    toPlacedCode(known, school as SchoolRecord, () => known.print.sizeMm),
    lastSheet,
  ).readiness;

describe('what is printed', () => {
  it('is larger for students who stand farther away', () => {
    const near = facts({ place: { material: material(), station: null, lesson: lesson(0.8), position: null } }).print;
    const far = facts().print;
    expect(near.sizeMm).toBeLessThan(far.sizeMm);
    expect(far.distanceM).toBe(2);
  });

  it('has a distance of its own without a lesson', () => {
    expect(
      facts({ place: { material: material(), station: null, lesson: null, position: null } }).print.distanceM,
    ).toBe(distanceWithoutLessonM);
  });

  it('is rehearsed under a key that every change of code, size or devices changes, and the distance alone does not', () => {
    const { print, place, code } = facts();
    const other = symbols.plan(toCarriable(material({ link: 'https://a.example/other' }), school), 'UTC', null, plain);
    const green = { ...plainLook, ink: '#1d6f5b' };
    const keys = [
      print.rehearsalKey,
      planPrint(place, other, { devices, paper: 'A4', look: plainLook }).rehearsalKey,
      planPrint(place, code, { devices: [tablet], paper: 'A4', look: plainLook }).rehearsalKey,
      planPrint(place, code, { devices: [tablet, { ...laptop, blurPx: 1.4 }], paper: 'A4', look: plainLook })
        .rehearsalKey,
      planPrint(place, code, { devices, paper: 'A4', look: green }).rehearsalKey,
      facts({ material: material({ level: 'H' }) }).print.rehearsalKey,
      planPrint({ ...place, lesson: lesson(0.9) }, code, { devices, paper: 'A4', look: plainLook }).rehearsalKey,
    ];
    expect(new Set(keys).size).toBe(keys.length);
    // Both are as small as posters get, so the code hangs in the same size and reads as far.
    expect(
      planPrint({ ...place, lesson: lesson(0.3) }, code, { devices, paper: 'A4', look: plainLook }).rehearsalKey,
    ).toBe(planPrint({ ...place, lesson: lesson(0.25) }, code, { devices, paper: 'A4', look: plainLook }).rehearsalKey);
    expect(
      planPrint(place, code, {
        devices: [{ ...tablet, name: 'Renamed', count: 1 }, laptop],
        paper: 'A4',
        look: plainLook,
      }).rehearsalKey,
    ).toBe(print.rehearsalKey);
  });
});

describe('the four answers', () => {
  it('are not yet where nothing is known', () => {
    const { opens, carries, reads, paper } = toReadinessView(facts());
    expect([opens.state, carries.state, reads.state, paper.state]).toEqual(['not-yet', 'done', 'not-yet', 'not-yet']);
    expect(toRehearsalView(facts())).toMatchObject({ results: null, rehearsedAt: null, distanceM: 2 });
  });

  it('say nothing of what seems to open while a browser still looks at it', () => {
    const seen = (verdict: AccessCheck['verdict'], view: AccessCheck['view']) =>
      toReadinessView(
        facts({ checks: { done: { ...check(verdict), id: 'c', view }, pending: null, steps: 0, answer: null } }),
      ).opens;
    expect(seen('open', 'drawing')).toMatchObject({ state: 'not-yet', opening: true, viewing: true, verdict: 'open' });
    expect(seen('sign-in', 'waiting')).toMatchObject({ state: 'stop', opening: true, viewing: true });
    expect(seen('open', 'seen')).toMatchObject({ state: 'done', opening: false, viewing: false, viewId: null });
  });

  it('name verdict and steps, and keep the verdict while it is opened again', () => {
    const { opens } = toReadinessView(
      facts({ checks: { done: check('sign-in'), pending: check(null), steps: 2, answer: null } }),
    );
    expect(opens).toEqual({
      state: 'stop',
      opening: true,
      viewing: false,
      viewId: null,
      verdict: 'sign-in',
      checkedAt: '2026-11-20T09:00:00.000Z',
      stale: false,
      steps: 2,
      inTheCode: false,
      reason: null,
      obstacle: null,
      unplayed: null,
      answer: null,
      answerBefore: null,
    });
    expect(
      toReadinessView(facts({ checks: { done: check('open'), pending: null, steps: 0, answer: null } })).opens,
    ).toMatchObject({
      state: 'done',
      opening: false,
      steps: 0,
    });
  });

  it('are done for the school’s own people in a class that has accounts, and to be looked at once they are old', () => {
    const done = { done: check('organisation'), pending: null, steps: 1, answer: null };
    expect(toReadinessView(facts({ checks: done })).opens.state).toBe('stop');
    expect(toReadinessView(facts({ checks: done, accounts: 'school' })).opens.state).toBe('done');
    const old = {
      checks: { done: check('open'), pending: null, steps: 0, answer: null },
      now: new Date('2026-12-20T09:00:00Z'),
    };
    expect(toReadinessView(facts(old)).opens).toMatchObject({ state: 'look-at', verdict: 'open', stale: true });
  });

  it('ask no network for words', () => {
    expect(
      toReadinessView(facts({ material: material({ kind: 'message', link: null, words: 'Who am I?' }) })).opens,
    ).toMatchObject({ state: 'done', inTheCode: true });
  });

  it('ask for what is kept here as for any link, under its public address', () => {
    const kept = facts({ material: material({ link: null, kind: 'file', pageToken: 'abcdefghijkmnpqr' }) });
    expect(kept.code.carried).toEqual({ carry: 'link', payload: 'https://hapset.example/p/abcdefghijkmnpqr' });
    expect(toReadinessView(kept).opens).toMatchObject({ state: 'not-yet', inTheCode: false });
  });

  it('name the devices that fall short', () => {
    expect(toReadinessView(facts({ rehearsal: rehearsal(2.1) })).reads).toEqual({
      state: 'done',
      leastReachM: 2.1,
      distanceM: 2,
      devices: 2,
      fallShort: [],
      failed: [],
      look: [],
    });
    expect(toReadinessView(facts({ rehearsal: rehearsal(1.9) })).reads).toMatchObject({
      state: 'look-at',
      fallShort: ['Tablets', 'Laptops'],
    });
  });

  it('believe real devices of the class more than the rehearsal', () => {
    const reads = (tried: CodeFacts['tried']): unknown =>
      toReadinessView(facts({ rehearsal: rehearsal(2.1), tried })).reads;
    expect(reads([{ deviceId: 't', outcome: 'nothing' }])).toMatchObject({ state: 'look-at', failed: ['Tablets'] });
    expect(reads([{ deviceId: 'l', outcome: 'otherwise' }])).toMatchObject({ state: 'stop', failed: ['Laptops'] });
    expect(reads([{ deviceId: null, outcome: 'nothing' }])).toMatchObject({ state: 'look-at', failed: [null] });
    expect(reads([{ deviceId: 't', outcome: 'as-meant' }])).toMatchObject({ state: 'done', failed: [] });
    expect(reads([{ deviceId: 'of another class', outcome: 'nothing' }])).toMatchObject({ state: 'done', failed: [] });
  });

  it('stop where no code holds it', () => {
    const { carries } = toReadinessView(
      facts({ material: material({ link: null, words: 'ä'.repeat(2000), kind: 'message' }) }),
    );
    expect(carries).toEqual({ state: 'stop', carry: 'words', grain: null, modules: null, act: null, ignoredBy: [] });
  });

  it('stop where a short link does not lead on when the lesson begins', () => {
    const opening = { from: '2026-11-24T09:30', until: '2026-11-24T11:00', hours: [] };
    const at = (time: string | null): unknown =>
      toReadinessView(
        facts({
          opening,
          lessonAt: time === null ? null : Date.parse(time),
          checks: { done: check('open'), pending: null, steps: 0, answer: null },
        }),
      ).opens;
    expect(at('2026-11-24T10:00:00Z')).toMatchObject({ state: 'done', obstacle: null });
    expect(at('2026-11-25T10:00:00Z')).toMatchObject({ state: 'stop', obstacle: 'hours' });
    // Without a lesson, and for one that has been, now counts: the hours begin three days later.
    expect(at(null)).toMatchObject({ state: 'stop', obstacle: 'hours' });
    expect(at('2026-11-20T10:00:00Z')).toMatchObject({ state: 'stop', obstacle: 'hours' });
  });

  it('tell paper that is older than the change', () => {
    const now = facts();
    expect(toReadinessView(now, sheet(now.code.carried.payload, now.print.sizeMm)).paper).toMatchObject({
      state: 'done',
      changed: [],
      madeAt: '2026-11-20T09:02:00.000Z',
    });
    expect(toReadinessView(now, sheet('https://a.example/old', now.print.sizeMm - 30)).paper).toMatchObject({
      state: 'look-at',
      changed: ['payload', 'size'],
    });
    const green = { ...plainLook, ink: '#1d6f5b' };
    const inGreen = facts({ look: { ...noLook, design: green } });
    const printedNow = sheet(now.code.carried.payload, inGreen.print.sizeMm);
    expect(toReadinessView(inGreen, printedNow).paper).toMatchObject({
      state: 'look-at',
      changed: ['look'],
    });
    expect(
      toReadinessView(inGreen, { ...printedNow, content: { ...printedNow.content, look: green } }).paper.state,
    ).toBe('done');
  });

  it('stop where one engine can’t read the look even flat, whatever the devices read', () => {
    const unread = { ...rehearsal(9), unreadBy: ['qr'] as const };
    expect(toReadinessView(facts({ rehearsal: unread })).reads).toMatchObject({
      state: 'stop',
      look: ['not-read-flat'],
    });
    expect(toPlacedCode(facts({ rehearsal: unread }), school as SchoolRecord, () => 100).look.judgement).toMatchObject({
      state: 'stop',
      reasons: ['not-read-flat'],
    });
  });

  it('never let a rehearsal make good what a look fails at', () => {
    const look = (design: object, allowed = true): ChosenLook => ({
      ...noLook,
      design: { ...plainLook, ...design },
      allowed,
    });
    expect(toReadinessView(facts({ look: look({ ink: '#f0f0f0' }), rehearsal: rehearsal(9) })).reads).toMatchObject({
      state: 'stop',
      look: ['too-little-contrast'],
    });
    expect(toReadinessView(facts({ look: look({ ink: '#c0c0c0' }), rehearsal: rehearsal(9) })).reads).toMatchObject({
      state: 'stop',
      look: ['too-little-contrast'],
    });
    expect(
      toReadinessView(facts({ look: look({ ink: '#1d6f5b' }, false), rehearsal: rehearsal(9) })).reads,
    ).toMatchObject({ state: 'look-at', look: ['not-allowed'] });
    expect(toReadinessView(facts({ look: look({ ink: '#1d6f5b' }), rehearsal: rehearsal(9) })).reads).toMatchObject({
      state: 'done',
      look: [],
    });
    expect(toReadinessView(facts({ look: look({ ink: '#1d6f5b' }) })).reads.state).toBe('not-yet');
  });
});
