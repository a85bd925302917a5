import fc from 'fast-check';
import { plainSurround } from '../../code/look/frame.js';
import type { MeasureText } from '../../code/typeface/text.js';
import { bandColours } from './band-colours.js';
import type { CardLook } from './card-boxes.js';
import { layoutCard } from './card-face.js';
import { compose, layoutPage } from './compose.js';
import { type TextField } from '../face/fields.js';
import { cardDesigns, plainSheetDesign, type CardDesign } from './design.js';
import type { FaceContent, FaceLayout } from '../face/face-content.js';
import type { MmBox } from '../face/box.js';
import { plainChoices } from './kinds.js';
import { pagesOf, type SheetItem, type SheetSetup } from './sheet-page.js';

/** Near enough to real letters. */
const measure: MeasureText = (text, _, sizePt) => [...text].length * sizePt * 0.45 * 0.353;
const id1: MmBox = { xMm: 20, yMm: 30, widthMm: 85.6, heightMm: 53.98 };
const upright: MmBox = { xMm: 20, yMm: 30, widthMm: 53.98, heightMm: 85.6 };
const small: MmBox = { xMm: 0, yMm: 0, widthMm: 50, heightMm: 46 };

const texts = {
  title: 'Ana María de la Cruz',
  number: '00620',
  class: '6 Kestrel',
  place: 'Fernhollow School',
  instruction: 'School year 2026/27',
  tap: 'Valid until 31 July 2027',
} as const;
const content = (more: Partial<FaceContent> = {}): FaceContent => ({
  texts,
  code: { modules: 29, surround: plainSurround },
  neededMm: 18,
  pictures: {},
  ...more,
});
const look = (design: CardDesign, band: string | null = '#ffe08a'): CardLook => ({
  design,
  band,
  header: { pictureId: 'p', aspect: 3, heightMm: 8 },
});
const lay = (design: CardDesign, more: Partial<FaceContent> = {}, space?: MmBox, band?: string | null): FaceLayout =>
  layoutCard(look(design, band), space ?? (design === 'upright' ? upright : id1), content(more), {
    measure,
    namePt: 12,
  });

const boxesOf = ({ code, texts: all, pictures }: FaceLayout, pad = 0): readonly MmBox[] => [
  ...all,
  ...pictures,
  ...(code
    ? [{ xMm: code.xMm - pad, yMm: code.yMm - pad, widthMm: code.sizeMm + 2 * pad, heightMm: code.sizeMm + 2 * pad }]
    : []),
];
const overlap = (one: MmBox, other: MmBox): boolean =>
  one.xMm < other.xMm + other.widthMm - 1e-6 &&
  other.xMm < one.xMm + one.widthMm - 1e-6 &&
  one.yMm < other.yMm + other.heightMm - 1e-6 &&
  other.yMm < one.yMm + one.heightMm - 1e-6;
const isInside = (box: MmBox, space: MmBox): boolean =>
  box.xMm >= space.xMm - 1e-6 &&
  box.yMm >= space.yMm - 1e-6 &&
  box.xMm + box.widthMm <= space.xMm + space.widthMm + 1e-6 &&
  box.yMm + box.heightMm <= space.yMm + space.heightMm + 1e-6;

describe('a student’s card', () => {
  it.each(cardDesigns)('%s: shows everything, apart and inside, with the class in words on its band', (design) => {
    const layout = lay(design);
    const space = design === 'upright' ? upright : id1;
    expect(layout.leftOut).toEqual([]);
    expect(layout.texts.map(({ field }) => field).sort()).toEqual(Object.keys(texts).sort());
    expect(layout.bands).toHaveLength(1);
    const [band] = layout.bands;
    const words = layout.texts.find(({ field }) => field === 'class');
    expect(band && words && isInside(words, band)).toBe(true);
    expect(band && isInside(band, space)).toBe(true);
    expect(layout.code?.sizeMm).toBeGreaterThanOrEqual(20);
    const boxes = boxesOf(layout);
    boxes.forEach((box, index) => {
      expect(isInside(box, space)).toBe(true);
      for (const other of boxes.slice(index + 1))
        expect([box, other, overlap(box, other)]).toEqual([box, other, false]);
    });
  });

  it.each(cardDesigns)(
    '%s: has a photo of 20 by 25 mm, apart from all else, and a code that is large enough',
    (design) => {
      const layout = lay(design, { pictures: { photo: 0.8 } });
      const space = design === 'upright' ? upright : id1;
      expect(layout.pictures).toMatchObject([{ which: 'photo', widthMm: 20, heightMm: 25 }]);
      expect(layout.code?.sizeMm).toBeGreaterThanOrEqual(20);
      const boxes = boxesOf(layout);
      boxes.forEach((box, index) => {
        expect(isInside(box, space)).toBe(true);
        for (const other of boxes.slice(index + 1))
          expect([box, other, overlap(box, other)]).toEqual([box, other, false]);
      });
      // On a small card the name comes first.
      expect(lay('band', { pictures: { photo: 0.8 } }, { ...small, heightMm: 33 }).pictures).toEqual([]);
    },
  );

  it('shows logo and symbol where there is room', () => {
    const { pictures } = lay('band', {
      texts: { title: 'Ann Lee', class: '6a' },
      pictures: { header: 3, material: 1 },
    });
    expect(pictures.map(({ which }) => which)).toEqual(['header', 'material']);
    expect(pictures.map(({ widthMm, heightMm }) => widthMm / heightMm)).toEqual([3, 1]);
  });

  it('has the class among its texts where it has no band', () => {
    const { bands, texts: all } = lay('band', {}, id1, null);
    expect(bands).toEqual([]);
    expect(all.find(({ field }) => field === 'class')?.xMm).toBe(all.find(({ field }) => field === 'title')?.xMm);
  });

  it('leaves out what has no room, the name last, and says so', () => {
    const long = 'A very long name of a school that nobody would ever print in full on a card';
    const { leftOut, texts: all } = lay(
      'big-code',
      { texts: { ...texts, place: long, title: `${long} ${long}` } },
      { ...small, heightMm: 30 },
    );
    expect(leftOut.length).toBeGreaterThan(0);
    expect(leftOut).not.toContain('title');
    expect(all.some(({ field }) => field === 'title')).toBe(true);
    expect(lay('band', { texts: { title: 'Ann' } }).leftOut).toEqual([]);
  });

  it('keeps everything inside and apart, whatever is written', () => {
    const words = fc.string({ unit: 'grapheme', maxLength: 60 });
    fc.assert(
      fc.property(
        fc.constantFrom(...cardDesigns),
        fc.constantFrom(id1, upright, small),
        words,
        words,
        (design, space, title, place) => {
          const layout = lay(design, { texts: { ...texts, title: title || 'x', place } }, space);
          const boxes = boxesOf(layout);
          const apart = boxes.every((box, index) => boxes.slice(index + 1).every((other) => !overlap(box, other)));
          expect(boxes.every((box) => isInside(box, { ...space, heightMm: space.heightMm + 60 })) && apart).toBe(true);
        },
      ),
    );
  });
});

describe('a sheet of cards', () => {
  const item = (title: string, group = ''): SheetItem => ({
    texts: {
      ...texts,
      address: '',
      password: '',
      what: '',
      meaning: '',
      'for-whom': '',
      where: '',
      title,
    } satisfies Record<TextField, string>,
    modules: 29,
    surround: plainSurround,
    neededMm: 18,
    pictureAspect: null,
    band: '#ffe08a',
    group,
  });
  const setup = (more: Partial<SheetSetup> = {}, card: CardDesign = 'band'): SheetSetup => ({
    ...plainChoices('student-card', 'A4'),
    lying: card === 'upright',
    fields: ['title', 'class'],
    backs: null,
    design: { ...plainSheetDesign('student-card'), card },
    printerMarginMm: 5,
    head: { title: '', about: '' },
    ...more,
  });
  const composed = (items: readonly SheetItem[], more?: Partial<SheetSetup>, card?: CardDesign) => {
    const done = compose(setup(more, card), items);
    if (!done.ok) throw new Error('it fits');
    return done.value;
  };

  it('has one size for all names, which breaks no word and no name needs more than two lines for', () => {
    const names = ['Ann Lee', 'Bo Dam', 'Maximilian Großmann-Hargreave', 'Zoë-Marguerite Featherstonehaugh', 'Cy'];
    const page = layoutPage(composed(names.map((name) => item(name))), 0, measure);
    const titles = page.texts.filter(({ field }) => field === 'title');
    expect(new Set(titles.map(({ sizePt }) => sizePt)).size).toBe(1);
    expect(Math.max(...titles.map(({ lines }) => lines.length))).toBe(2);
    expect(
      titles
        .flatMap(({ lines }) => lines)
        .join(' ')
        .split(/\s+/)
        .sort(),
    ).toEqual(names.join(' ').split(' ').sort());
    const short = layoutPage(composed([item('Ann Lee')]), 0, measure).texts.find(({ field }) => field === 'title');
    expect(short?.sizePt).toBeGreaterThan(titles[0]?.sizePt ?? 99);
  });

  it('begins a new page for each class where that is wished', () => {
    const items = [...Array.from({ length: 12 }, (_, at) => item(`a${at}`, '6a')), item('b', '6b'), item('c', '7')];
    const on = (newPagePerGroup: boolean) => {
      const whole = composed(items, { newPagePerGroup });
      return Array.from({ length: pagesOf(whole) }, (_, page) =>
        layoutPage(whole, page, measure).codes.map((code) => code.item),
      );
    };
    expect(on(true).map((page) => page.length)).toEqual([10, 2, 1, 1]);
    expect(on(true)[2]).toEqual([12]);
    expect(on(false).map((page) => page.length)).toEqual([10, 4]);
  });

  it('has ten upright bank cards on a page that lies', () => {
    const { grid } = composed([item('Ann')], {}, 'upright');
    expect([grid.columns, grid.rows, grid.widthMm, grid.heightMm]).toEqual([5, 2, 53.98, 85.6]);
    const eight = composed([item('Ann')], { perPage: 8 }, 'upright').grid;
    expect(eight.heightMm / eight.widthMm).toBeGreaterThan(1.2);
  });
});

describe('colours of bands', () => {
  it('are the same for the same names, in whatever order, and neighbours differ', () => {
    const names = ['7b', '6a', '6b', '7a'];
    const colours = bandColours(names);
    expect(bandColours([...names].reverse())).toEqual(colours);
    expect(new Set(colours.values()).size).toBe(4);
    expect(colours.get('6a')).not.toBe(colours.get('6b'));
  });
});
