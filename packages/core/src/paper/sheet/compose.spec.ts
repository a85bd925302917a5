import fc from 'fast-check';
import { charactersOf } from '../../code/typeface/text.js';
import { faceLayouts } from '../face/face-design-of.js';
import { faceFields } from '../face/fields.js';
import { plainSheetDesign, sheetKinds } from './design.js';
import { backSpace, compose, layoutPage } from './compose.js';
import { frontsOf, pagesOf, type SheetItem, type SheetSetup } from './sheet-page.js';
import { perPageChoices, usualLabels } from './kinds.js';
import { paperNames } from './paper.js';
import { kindsThatHold, notesOf } from './notes.js';
import { typedAddress } from './printed-address.js';
import {
  measure,
  limpets,
  setupOf,
  composed,
  manyOf,
  boxesOf,
  apart,
  onPage,
  bare,
  framed,
} from '../../test/sample-sheets.js';

const text = fc.oneof(
  fc.string({ unit: 'grapheme', maxLength: 200 }),
  fc.constantFrom(
    '',
    'Donaudampfschifffahrtsgesellschaftskapitän',
    '潮の満ち引きを観察してスケッチする',
    'تحت الماء والصخور',
    'https://a.example/leaf/a-very-long-address-that-goes-on-and-on?with=figures&more=12345',
  ),
);
const anyItem: fc.Arbitrary<SheetItem> = fc
  .tuple(
    fc.array(text, { minLength: 12, maxLength: 12 }),
    fc.constantFrom(21, 25, 33, 57, 97),
    fc.constantFrom(bare, framed),
    fc.double({ min: 5, max: 300, noNaN: true }),
    fc.constantFrom(null, 0.4, 1.8),
    fc.constantFrom(undefined, { point: null, tap: 'Then tap it.', secondPoint: '', secondTap: 'ثم اضغط.' }),
    fc.double({ min: 0.3, max: 9, noNaN: true }),
  )
  .map(([texts, modules, surround, neededMm, pictureAspect, phrases, distanceM]) => ({
    texts: Object.fromEntries(
      Object.keys(limpets.texts).map((field, index) => [field, texts[index] ?? '']),
    ) as SheetItem['texts'],
    modules,
    surround,
    neededMm,
    pictureAspect,
    distanceM,
    ...(phrases && { phrases }),
  }));
const anySetup: fc.Arbitrary<SheetSetup> = fc.constantFrom(...sheetKinds).chain((kind) =>
  fc
    .tuple(
      fc.constantFrom(...paperNames),
      fc.boolean(),
      fc.constantFrom(...perPageChoices[kind]),
      fc.boolean(),
      fc.subarray([...faceFields]),
      fc.constantFrom(null, 'long' as const, 'short' as const),
      fc.nat(20),
      fc.integer({ min: 1, max: 3 }),
      fc.boolean(),
      fc.constantFrom(...faceLayouts),
    )
    .map(([paper, lying, perPage, inColumns, fields, edge, startAt, copies, header, layout]) =>
      setupOf(kind, {
        paper: kind === 'label' ? 'A4' : paper,
        lying: kind !== 'label' && lying,
        perPage,
        inColumns,
        // Cards of students have no password and no address.
        fields: fields.filter((field) => kind !== 'student-card' || (field !== 'password' && field !== 'address')),
        startAt,
        copies,
        backs: edge === null ? null : { edge, adjustment: { rightMm: 0, downMm: 0 } },
        design: {
          ...plainSheetDesign(kind),
          layout,
          header: header ? { pictureId: 'crest', aspect: 3, heightMm: 18 } : null,
        },
      }),
    ),
);

describe('pages of sheets', () => {
  it('keep all boxes apart and on the page, whatever is written, on every paper', () => {
    fc.assert(
      fc.property(anySetup, fc.array(anyItem, { minLength: 1, maxLength: 5 }), (setup, items) => {
        const result = compose(setup, items);
        if (!result.ok) return result.problem.reason === 'no-room';
        for (let index = 0; index < pagesOf(result.value); index += 1) {
          const page = layoutPage(result.value, index, measure);
          const boxes = boxesOf(page, items);
          for (const box of boxes) if (!onPage(page, box)) return false;
          if (!boxes.every((box, at) => boxes.slice(at + 1).every((other) => apart(box, other)))) return false;
        }
        return true;
      }),
      { numRuns: 400 },
    );
  });

  it('never write a line wider than its box, and say of each text whether it was cut or left out', () => {
    fc.assert(
      fc.property(anySetup, anyItem, (setup, item) => {
        const result = compose(setup, [item]);
        if (!result.ok) return true;
        const page = layoutPage(result.value, 0, measure);
        const { notes } = notesOf(result.value, measure);
        const fits = page.texts.every(({ lines, font, sizePt, widthMm }) =>
          lines.every(
            // Cards of students have a column for their texts in any case.
            (line) =>
              measure(line, font, sizePt) <= widthMm + 1e-6 ||
              (setup.kind === 'student-card' && charactersOf(line).length === 1),
          ),
        );
        const said = new Set(notes.flatMap((note) => ('field' in note ? [note.field] : [])));
        const isFoot = (field: string): boolean =>
          setup.kind !== 'student-card' && (field === 'class' || field === 'place');
        const whole = setup.fields.every((field) => {
          const given = item.texts[field].replace(/\s/gu, '');
          const shown = page.texts.find((box) => box.field === (isFoot(field) ? 'foot' : field) && !box.turned);
          const words = shown?.lines.join('').replace(/\s/gu, '') ?? '';
          if (given === '' || said.has(isFoot(field) ? 'class' : field)) return true;
          if (field === 'tap' && item.phrases) return words !== '';
          if (field === 'address')
            return words === '' || typedAddress(given) === words || setup.kind === 'student-card';
          return isFoot(field) ? words.includes(given) : words === given;
        });
        return fits && whole;
      }),
      { numRuns: 300 },
    );
  });

  it.each(sheetKinds)('%s: every item has its code on a front, in its order', (kind) => {
    const items = manyOf(kind === 'poster' ? 7 : 50);
    const composition = composed(setupOf(kind), items);
    const seen = Array.from({ length: frontsOf(composition) }, (_, page) =>
      layoutPage(composition, page, measure)
        .codes.filter(({ turned }) => !turned)
        .map(({ item }) => item),
    ).flat();
    expect(seen).toEqual(items.map((_, index) => index));
  });

  it('of students are as large as bank cards where ten are wanted', () => {
    const page = layoutPage(composed(setupOf('student-card'), manyOf(10)), 0, measure);
    const marks = page.lines.filter(({ kind }) => kind === 'cut');
    const across = marks.filter(({ from, to }) => from[0] === to[0]).map(({ from }) => from[0]);
    expect(across.map((at) => at - (across[0] ?? 0))).toEqual(
      [0, 85.6, 171.2].map((at) => expect.closeTo(at, 6) as number),
    );
    expect(page.codes).toHaveLength(10);
  });

  it('are as many as are needed, and refuse to be asked beyond', () => {
    expect(pagesOf(composed(setupOf('small-card', { perPage: 8 }), manyOf(17)))).toBe(3);
    expect(
      pagesOf(
        composed(
          setupOf('small-card', { perPage: 8, backs: { edge: 'long', adjustment: { rightMm: 0, downMm: 0 } } }),
          manyOf(17),
        ),
      ),
    ).toBe(6);
    expect(pagesOf(composed(setupOf('small-card', { perPage: 8, copies: 4 }), manyOf(4)))).toBe(2);
    expect(pagesOf(composed(setupOf('label', { startAt: 20 }), manyOf(5)))).toBe(2);
    expect(() => layoutPage(composed(setupOf('poster'), manyOf(1)), 1, measure)).toThrow(RangeError);
  });

  it('of a handout are equally full where nobody chose how many are on one', () => {
    const perPage = (codes: number): number =>
      layoutPage(composed(setupOf('handout'), manyOf(codes)), 0, measure).codes.length;
    const pages = (codes: number): number => pagesOf(composed(setupOf('handout'), manyOf(codes)));
    expect([3, 6, 8, 9, 14, 20].map((codes) => [codes, pages(codes), perPage(codes)])).toEqual([
      [3, 1, 3],
      [6, 1, 6],
      [8, 1, 8],
      [9, 2, 5],
      [14, 2, 7],
      [20, 3, 7],
    ]);
  });

  it('begin at the label that is still there, and lie where its figures say', () => {
    const page = layoutPage(composed(setupOf('label', { startAt: 4 }), manyOf(2)), 0, measure);
    const cell = { xMm: usualLabels.leftMm + usualLabels.pitchXMm, yMm: usualLabels.topMm + usualLabels.pitchYMm };
    for (const box of boxesOf(
      { ...page, codes: page.codes.slice(0, 1), texts: page.texts.filter(({ item }) => item === 0) },
      manyOf(2),
    )) {
      expect(box.xMm).toBeGreaterThanOrEqual(cell.xMm);
      expect(box.xMm + box.widthMm).toBeLessThanOrEqual(cell.xMm + usualLabels.widthMm);
      expect(box.yMm).toBeGreaterThanOrEqual(cell.yMm);
      expect(box.yMm + box.heightMm).toBeLessThanOrEqual(cell.yMm + usualLabels.heightMm);
    }
  });

  it('refuse labels that overlap, leave the page or are too small', () => {
    const refused = (labels: Partial<typeof usualLabels>) =>
      compose(setupOf('label', { labels: { ...usualLabels, ...labels } }), manyOf(1));
    expect(refused({ pitchXMm: 50 })).toEqual({ ok: false, problem: { reason: 'cells-overlap' } });
    expect(refused({ topMm: 80 })).toEqual({ ok: false, problem: { reason: 'beyond-page' } });
    expect(refused({ heightMm: 8 })).toEqual({ ok: false, problem: { reason: 'no-room' } });
  });
});

describe('a poster', () => {
  it('has its code as large as there is room for, up to three quarters of the shorter side, in the middle', () => {
    const [code] = layoutPage(composed(setupOf('poster'), [limpets]), 0, measure).codes;
    expect(code?.sizeMm).toBeGreaterThan(90);
    expect(code?.sizeMm).toBeLessThanOrEqual(0.75 * 210);
    expect((code?.xMm ?? 0) + (code?.sizeMm ?? 0) / 2).toBeCloseTo(105, 6);
    const alone = (paper: 'A4' | 'A3') =>
      layoutPage(composed(setupOf('poster', { fields: [], paper }), [limpets]), 0, measure).codes[0]?.sizeMm;
    expect(alone('A4')).toBeCloseTo(157.5, 0);
    expect(alone('A3')).toBeCloseTo(222.7, 0);
  });

  it('has its code at the size that was chosen by hand, however much room there is', () => {
    const chosen = { ...limpets, neededMm: 60, isSizeChosen: true };
    expect(layoutPage(composed(setupOf('poster'), [chosen]), 0, measure).codes[0]?.sizeMm).toBe(60);
  });

  it('has number, title, task, what to tap, address and one line at the foot', () => {
    const page = layoutPage(composed(setupOf('poster', { footer: 'Fernhollow School' }), [limpets]), 0, measure);
    expect(page.texts.map(({ field }) => field)).toEqual(['number', 'title', 'instruction', 'tap', 'address', 'foot']);
    expect(page.texts.at(-1)?.lines).toEqual(['Fernhollow School · Life between the tides · 6 Kestrel · Biology room']);
    expect(page.texts.find(({ field }) => field === 'address')?.lines.join('')).toBe('a.example/leaf/field-guide');
    expect([page.tapSigns.length, page.bands.map(({ colour }) => colour)]).toEqual([1, ['solid']]);
  });

  it('gives sign and picture up before its code gets too small', () => {
    const design = { ...plainSheetDesign('poster'), layout: 'picture-first' as const };
    const wide = { ...limpets, pictureAspect: 1.5 };
    expect(layoutPage(composed(setupOf('poster', { design }), [wide]), 0, measure).pictures).toHaveLength(1);
    const large = layoutPage(composed(setupOf('poster', { design }), [{ ...wide, neededMm: 156 }]), 0, measure);
    expect([large.pictures.length, (large.codes[0]?.sizeMm ?? 0) >= 156]).toEqual([0, true]);
  });

  it('names the kinds of sheets that would hold a code of that size', () => {
    const kindsFor = (neededMm: number): readonly string[] =>
      kindsThatHold(setupOf('label'), { modules: 33, surround: bare, neededMm });
    expect(kindsFor(20)).toEqual(['poster', 'table-card', 'small-card']);
    expect(kindsFor(100)).toEqual(['poster']);
    expect(kindsFor(900)).toEqual([]);
    expect(kindsThatHold(setupOf('poster'), { modules: 33, surround: bare, neededMm: 20 })).not.toContain('poster');
  });

  it('has its back’s label in its corner, off the printer’s margin, and a tent’s in its lower panel', () => {
    const box = { xMm: 0, yMm: 0, widthMm: 210, heightMm: 297 };
    const poster = backSpace(setupOf('poster'), box);
    const { printerMarginMm } = setupOf('poster');
    expect(poster.xMm + poster.widthMm).toBeCloseTo(210 - 2 * printerMarginMm);
    expect(poster.yMm + poster.heightMm).toBeCloseTo(297 - 2 * printerMarginMm);
    expect([poster.widthMm, poster.heightMm]).toEqual([110, 60]);
    expect(backSpace(setupOf('table-card'), box)).toEqual({ xMm: 0, yMm: 148.5, widthMm: 210, heightMm: 148.5 });
    expect(backSpace(setupOf('small-card'), box)).toEqual(box);
  });

  it('says what does not reach its distance', () => {
    expect(
      notesOf(composed(setupOf('poster', { paper: 'A5' }), [limpets, { ...limpets, neededMm: 200 }]), measure).notes,
    ).toEqual([expect.objectContaining({ item: 1, reason: 'too-small', neededMm: 200 })]);
  });

  it('says what would make a code larger that is too small, and how large', () => {
    const small = { ...limpets, neededMm: 400 };
    const [note] = notesOf(composed(setupOf('poster'), [small]), measure).notes.filter(
      ({ reason }) => reason === 'too-small',
    );
    expect(note).toMatchObject({ larger: [{ way: 'on-a3' }] });
    const card = notesOf(
      composed(setupOf('small-card', { fields: ['title', 'instruction', 'address', 'tap'] }), [small]),
      measure,
    );
    const found = card.notes.find(({ reason }) => reason === 'too-small');
    const larger = found?.reason === 'too-small' ? found.larger : [];
    expect(larger.map(({ way }) => way)).toEqual(['with-fewer-words', 'on-a3']);
    for (const { sizeMm } of larger) expect(sizeMm).toBeGreaterThan(card.sizesMm[0] ?? 0);
    const onA3 = composed(setupOf('poster', { paper: 'A3' }), [small, small]);
    expect(notesOf(onA3, measure).notes.filter(({ reason }) => reason === 'too-small')).toEqual([
      expect.objectContaining({ item: 0, larger: [] }),
      expect.objectContaining({ item: 1, larger: [] }),
    ]);
  });

  it('says from where a text is read that is too small for its distance, and which address nobody types', () => {
    const far = {
      ...limpets,
      distanceM: 6,
      texts: { ...limpets.texts, address: `https://a.example/${'leaf/'.repeat(9)}` },
    };
    const { notes } = notesOf(composed(setupOf('poster'), [far]), measure);
    const small = notes.flatMap((note) => (note.reason === 'text-small' ? [note] : []));
    expect(small.map(({ field }) => field)).toContain('title');
    for (const { readsFromM, distanceM } of small) expect(readsFromM).toBeLessThan(distanceM);
    expect(notes).toContainEqual({ item: 0, reason: 'address-long', characters: 54 });
    expect(notesOf(composed(setupOf('poster'), [{ ...limpets, distanceM: 1 }]), measure).notes).toEqual([]);
  });

  it('says which text was cut', () => {
    const long = { ...limpets, neededMm: 150, texts: { ...limpets.texts, title: 'Tide '.repeat(120) } };
    expect(notesOf(composed(setupOf('poster'), [long]), measure).notes).toContainEqual({
      item: 0,
      reason: 'text-cut',
      field: 'title',
    });
  });
});

describe('a table card', () => {
  it('stands upright on both sides once it is folded', () => {
    const composition = composed(setupOf('table-card'), [limpets]);
    const page = layoutPage(composition, 0, measure);
    const fold = page.lines.find(({ kind }) => kind === 'fold')?.from[1] ?? 0;
    const [lower, upper] = page.codes;
    expect([lower?.turned, upper?.turned]).toEqual([false, true]);
    // Half a turn about the middle of the fold.
    expect((lower?.yMm ?? 0) - fold).toBeCloseTo(fold - (upper?.yMm ?? 0) - (upper?.sizeMm ?? 0), 6);
    expect(lower?.yMm).toBeGreaterThan(fold);
  });
});
