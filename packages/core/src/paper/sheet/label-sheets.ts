/** Sheets of labels that are cut edge to edge, by how many are on a page. */
import { pageSize, type PaperFormat } from './paper.js';
import type { LabelGrid } from './kinds.js';

const divisions: readonly (readonly [columns: number, rows: number])[] = [
  [2, 4],
  [2, 6],
  [3, 7],
  [3, 8],
  [4, 10],
  [5, 13],
];

/** Common divisions of a paper, the fewest labels first. Figures in mm, to a tenth, rounded down so that all are on the page. */
export function labelSheets(paper: PaperFormat): readonly LabelGrid[] {
  const page = pageSize(paper, false);
  return divisions.map(([columns, rows]) => {
    const widthMm = Math.floor((page.widthMm / columns) * 10) / 10;
    const heightMm = Math.floor((page.heightMm / rows) * 10) / 10;
    return { columns, rows, widthMm, heightMm, leftMm: 0, topMm: 0, pitchXMm: widthMm, pitchYMm: heightMm };
  });
}

/** Whether two sheets are cut alike. */
export function isSameLabelSheet(one: LabelGrid, other: LabelGrid): boolean {
  const figures = ['columns', 'rows', 'widthMm', 'heightMm', 'leftMm', 'topMm', 'pitchXMm', 'pitchYMm'] as const;
  return figures.every((figure) => one[figure] === other[figure]);
}
