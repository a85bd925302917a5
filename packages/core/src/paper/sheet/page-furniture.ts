/** What a page has besides its faces: cuts, marks, folds, rules, the head and the page number. */
import { cutsOf } from './grid.js';
import { fitText, lineHeightMm, type MeasureText } from '../../code/typeface/text.js';
import { cellsOn, frontsOf, type Composition, type PageLine, type PageText } from './sheet-page.js';

/** Cuts go from edge to edge, so that a paper cutter follows them; labels are cut already. */
export function linesOf(composition: Composition, front: number): readonly PageLine[] {
  const { setup, grid } = composition;
  const { page } = grid;
  if (setup.kind === 'handout') return rulesOf(composition, front);
  if (setup.kind !== 'table-card' && setup.kind !== 'small-card' && setup.kind !== 'student-card') return [];
  const { acrossMm, downMm } = cutsOf(grid);
  const [right, bottom] = [
    grid.leftMm + (grid.columns - 1) * grid.pitchXMm + grid.widthMm,
    grid.topMm + (grid.rows - 1) * grid.pitchYMm + grid.heightMm,
  ];
  const cuts: PageLine[] = [
    ...acrossMm.map((xMm): PageLine => ({ from: [xMm, grid.topMm], to: [xMm, bottom], kind: 'cut' })),
    ...downMm.map((yMm): PageLine => ({ from: [grid.leftMm, yMm], to: [right, yMm], kind: 'cut' })),
  ];
  const edge = setup.printerMarginMm;
  const marks: PageLine[] = [
    ...acrossMm.flatMap((xMm): PageLine[] => [
      { from: [xMm, edge], to: [xMm, grid.topMm], kind: 'mark' },
      { from: [xMm, bottom], to: [xMm, page.heightMm - edge], kind: 'mark' },
    ]),
    ...downMm.flatMap((yMm): PageLine[] => [
      { from: [edge, yMm], to: [grid.leftMm, yMm], kind: 'mark' },
      { from: [right, yMm], to: [page.widthMm - edge, yMm], kind: 'mark' },
    ]),
  ];
  const folds =
    setup.kind === 'table-card'
      ? cellsOn(composition, front).map(({ box }): PageLine => ({
          from: [box.xMm, box.yMm + box.heightMm / 2],
          to: [box.xMm + box.widthMm, box.yMm + box.heightMm / 2],
          kind: 'fold',
        }))
      : [];
  return [...cuts, ...marks, ...folds];
}

function rulesOf(composition: Composition, front: number): readonly PageLine[] {
  if (composition.setup.inColumns) return [];
  return cellsOn(composition, front).map(({ box }) => ({
    from: [box.xMm, box.yMm] as const,
    to: [box.xMm + box.widthMm, box.yMm] as const,
    kind: 'rule' as const,
  }));
}

type FurnitureLine = Pick<PageText, 'field' | 'font' | 'sizePt' | 'tone' | 'align' | 'yMm'> & {
  readonly text: string;
  readonly floorPt: number;
};

/** Head and page number of a handout. */
export function furniture(composition: Composition, front: number, measure: MeasureText): readonly PageText[] {
  const { setup, grid } = composition;
  if (setup.kind !== 'handout') return [];
  const edge = Math.max(setup.printerMarginMm, 10);
  const widthMm = grid.page.widthMm - 2 * edge;
  const line = ({ field, text, font, sizePt, floorPt, yMm, tone, align }: FurnitureLine): readonly PageText[] => {
    const fitted = fitText(text, { font, sizePt, floorPt, maxLines: 1, widthMm }, measure);
    if (fitted.lines.length === 0) return [];
    const box = { xMm: edge, yMm, widthMm, heightMm: lineHeightMm(fitted.sizePt) };
    const { lines } = fitted;
    return [{ field, item: null, turned: false, font, sizePt: fitted.sizePt, tone, align, lines, ...box }];
  };
  const pages = frontsOf(composition);
  const head = { font: 'heading', sizePt: 19, floorPt: 11, yMm: edge, tone: 'accent', align: 'start' } as const;
  const about = { font: 'text', sizePt: 10.5, floorPt: 7, yMm: edge + 9, tone: 'quiet', align: 'start' } as const;
  const numberMm = grid.page.heightMm - edge - lineHeightMm(9);
  const number = { font: 'text', sizePt: 9, floorPt: 8, yMm: numberMm, tone: 'quiet', align: 'middle' } as const;
  return [
    ...line({ field: 'head', text: setup.head.title, ...head }),
    ...line({ field: 'head-about', text: setup.head.about, ...about }),
    ...(pages > 1 ? line({ field: 'page-number', text: `${front + 1} / ${pages}`, ...number }) : []),
  ];
}
