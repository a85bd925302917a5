/**
 * Lays out one face of a sheet: a poster, a panel of a table card, a card, a row of a handout. The code takes its side, texts are stacked
 * over and under it or in a column beside it; they shrink together before the code gets smaller than it must be, and what has no room
 * at all is left out and said so. Boxes never overlap and never leave the face.
 */
import { plainSurround } from '../../code/look/frame.js';
import type { FaceDesign, FacePart, TextField } from './design.js';
import type { MmBox } from './grid.js';
import { type MeasureText } from '../../code/typeface/text.js';
import {
  type FaceContent,
  type TextBox,
  type CodeBox,
  type PictureBox,
  type ArrowBox,
  type FaceLayout,
} from './face-content.js';
import { type Block, type Problem, blocksOf, stackMm, isCut, at } from './face-blocks.js';

/** Texts are tried at these shares of their size. */
const shares = [1, 0.9, 0.8, 0.7, 0.6, 0.5];
/** Wider than this, texts stand beside the code. */
const wideAspect = 1.12;
/** Of the shorter side of a face that the code keeps, whatever is written; what has no room then is left out. */
const keptForCode = 0.5;
/** Of the width of a face that the code may take beside texts, where its design says nothing else. */
const usualMostBeside = 0.62;
/** Who goes first where there is no room. */
const firstToGo: readonly TextField[] = [
  'place',
  'where',
  'class',
  'tap',
  'address',
  'for-whom',
  'instruction',
  'password',
  'meaning',
  'number',
  'title',
  'what',
];

/** Lays out `content` in `space`. */
export function layoutFace(design: FaceDesign, space: MmBox, content: FaceContent, measure: MeasureText): FaceLayout {
  const beside =
    content.code !== null &&
    (design.way === 'beside' || (design.way === 'fitting' && space.widthMm > space.heightMm * wideAspect));
  const present = design.parts.filter((part) => isPresent(part, content));
  const solve = beside ? solveBeside : solveOver;
  // First with what is shown where there is room, then without it, then without one text after the other.
  const needed = present.filter((part) => part.kind === 'text' || (part.kind === 'picture' && part.which === 'header'));
  const attempts = [
    present,
    present.filter((part) => part.kind !== 'picture' || part.which === 'header'),
    needed,
    ...withoutOneMore(needed.filter((part) => part.kind === 'text')),
  ];
  for (const parts of attempts) {
    const found = solve({ design, space, content, parts, measure, last: parts.length === 0 });
    if (found)
      return {
        ...found,
        leftOut: present.flatMap((part) => (part.kind === 'text' && !parts.includes(part) ? [part.field] : [])),
      };
  }
  throw new Error('a face without texts always has room');
}

type Solution = Omit<FaceLayout, 'leftOut'>;

function isPresent(part: FacePart, { texts, pictures, code }: FaceContent): boolean {
  if (part.kind === 'text') return (texts[part.field] ?? '').trim() !== '';
  if (part.kind === 'picture') return pictures[part.which] !== undefined;
  return code !== null && (texts.instruction ?? '').trim() !== '';
}

function withoutOneMore(parts: readonly FacePart[]): readonly (readonly FacePart[])[] {
  const fewer: (readonly FacePart[])[] = [parts];
  for (const field of firstToGo) {
    const before = fewer.at(-1) ?? [];
    const left = before.filter((part) => part.kind !== 'text' || part.field !== field);
    if (left.length < before.length) fewer.push(left);
  }
  return fewer;
}

/** Symbol with all that is around it, in sides of the symbol. */
function around({ modules, surround: { left, top, right, bottom } }: NonNullable<FaceContent['code']>): {
  readonly across: number;
  readonly down: number;
  readonly left: number;
  readonly top: number;
} {
  return {
    across: (left + modules + right) / modules,
    down: (top + modules + bottom) / modules,
    left: left / modules,
    top: top / modules,
  };
}

function solveOver(problem: Problem): Solution | null {
  const shape = problem.content.code && around(problem.content.code);
  if (!shape) return solveWithoutCode(problem);
  const best = largestCode(problem, shape);
  if (!best) return null;
  const sizeMm = takenMm(problem.design, problem.content, best.sizeMm);
  return problem.last || isLargeEnough(problem, sizeMm, shape) ? placeOver(problem, best.blocks, sizeMm) : null;
}

function solveWithoutCode(problem: Problem): Solution | null {
  for (const share of shares) {
    const { blocks, freeMm } = spaceOver(problem, share);
    if (freeMm >= 0) return placeOver(problem, blocks, 0);
  }
  return problem.last ? placeOver(problem, [], 0) : null;
}

/** The largest texts beside which the code is as large as it must be; else those that leave it most. Null where none fit. */
function largestCode(
  problem: Problem,
  shape: ReturnType<typeof around>,
): { readonly blocks: readonly Block[]; readonly sizeMm: number } | null {
  const { design, space, content } = problem;
  let best: { readonly blocks: readonly Block[]; readonly sizeMm: number } | null = null;
  for (const share of shares) {
    const { blocks, freeMm } = spaceOver(problem, share);
    if (freeMm < 0) continue;
    const sizeMm = Math.min(
      (space.widthMm - 2 * design.codePadMm) / shape.across,
      (freeMm + edgeMm(design, blocks, 'above') + edgeMm(design, blocks, 'foot')) / shape.down,
    );
    if (sizeMm > (best?.sizeMm ?? 0)) best = { blocks, sizeMm };
    if (sizeMm >= content.neededMm) break;
  }
  return best;
}

/** The texts in that share of their size, and the height that they leave; below 0 where they don't fit. */
function spaceOver(problem: Problem, share: number): { readonly blocks: readonly Block[]; readonly freeMm: number } {
  const { design, space } = problem;
  const blocks = blocksOf(problem, Math.max(0, space.widthMm - 2 * design.padMm), share);
  const textsMm =
    stackMm(at(blocks, 'above'), 'without-gap') +
    stackMm(at(blocks, 'below'), 'with-gap') +
    stackMm(at(blocks, 'foot'), 'with-gap');
  return { blocks, freeMm: space.heightMm - 2 * design.padMm - textsMm };
}

/** Without texts at an edge, the code may go as near to it as it may at the sides. */
function edgeMm({ padMm, codePadMm }: FaceDesign, blocks: readonly Block[], place: FacePart['at']): number {
  const isFree = at(blocks, place).length === 0 && (place !== 'foot' || at(blocks, 'below').length === 0);
  return isFree ? padMm - codePadMm : 0;
}

/** Worth it: what may be left out goes before the code gets smaller than it must be. */
function isLargeEnough(problem: Problem, sizeMm: number, shape: ReturnType<typeof around>): boolean {
  const { design, space, content } = problem;
  const leastMm = Math.min(
    content.neededMm,
    (keptForCode * (Math.min(space.widthMm, space.heightMm) - 2 * design.codePadMm)) /
      Math.max(shape.across, shape.down),
  );
  return sizeMm >= leastMm - 1e-9 && !(hasOptional(problem) && sizeMm < content.neededMm);
}

function hasOptional({ parts }: Problem): boolean {
  return parts.some((part) => part.kind === 'arrow' || (part.kind === 'picture' && part.which === 'material'));
}

/** A code that does not fill is as large as it must be, in whole millimetres; one that fills takes what there is. */
function takenMm({ fills }: FaceDesign, { neededMm }: FaceContent, largestMm: number): number {
  return fills ? Math.floor(largestMm * 10) / 10 : Math.min(neededMm, largestMm);
}

function placeOver({ design, space, content }: Problem, blocks: readonly Block[], sizeMm: number): Solution {
  const placed: PlacedBlock[] = [];
  const [above, below, foot] = [at(blocks, 'above'), at(blocks, 'below'), at(blocks, 'foot')];
  const box = { xMm: space.xMm + design.padMm, widthMm: space.widthMm - 2 * design.padMm };
  const shape = content.code && around(content.code);
  let yMm = space.yMm + (above.length > 0 || !shape ? design.padMm : design.codePadMm);
  yMm = stack(above, { ...box, topMm: yMm }, 'without-gap', placed);
  const footMm =
    space.yMm + space.heightMm - (foot.length > 0 || below.length > 0 || !shape ? design.padMm : design.codePadMm);
  const footTopMm = footMm - stackMm(foot, 'without-gap');
  stack(foot, { ...box, topMm: footTopMm }, 'without-gap', placed);
  if (!shape) return toSolution(placed, null, 'middle', 'up', content);
  const codeMm = shape.down * sizeMm;
  const untilMm = footTopMm - (foot[0]?.part.gapMm ?? 0);
  // Code and what to do are one, in the middle of what is left.
  const spareMm = Math.max(0, untilMm - yMm - codeMm - stackMm(below, 'with-gap'));
  const code: CodeBox = {
    xMm: space.xMm + (space.widthMm - shape.across * sizeMm) / 2 + shape.left * sizeMm,
    yMm: yMm + spareMm / 2 + shape.top * sizeMm,
    sizeMm,
  };
  stack(below, { ...box, topMm: yMm + spareMm / 2 + codeMm }, 'with-gap', placed);
  return toSolution(placed, code, 'middle', 'up', content);
}

function solveBeside(problem: Problem): Solution | null {
  const { design, space, content, parts } = problem;
  const shape = around(content.code ?? { modules: 1, surround: plainSurround });
  const highMm = (space.heightMm - 2 * design.codePadMm) / shape.down;
  const alone = parts.length === 0;
  const largestMm = Math.min(
    highMm,
    alone
      ? (space.widthMm - 2 * design.codePadMm) / shape.across
      : (space.widthMm * (design.mostBeside ?? usualMostBeside) - design.codePadMm) / shape.across,
  );
  const sizeMm = takenMm(design, content, largestMm);
  const codeWidthMm = shape.across * sizeMm;
  const gapMm = Math.min(design.padMm, design.codePadMm + 1);
  const columnMm = space.widthMm - design.codePadMm - codeWidthMm - gapMm - design.padMm;
  const code: CodeBox = alone
    ? {
        xMm: space.xMm + (space.widthMm - codeWidthMm) / 2 + shape.left * sizeMm,
        yMm: space.yMm + (space.heightMm - shape.down * sizeMm) / 2 + shape.top * sizeMm,
        sizeMm,
      }
    : {
        xMm: space.xMm + design.codePadMm + shape.left * sizeMm,
        yMm: space.yMm + (space.heightMm - shape.down * sizeMm) / 2 + shape.top * sizeMm,
        sizeMm,
      };
  if (alone) return toSolution([], code, 'start', 'left', content);
  const heightMm = space.heightMm - 2 * design.padMm;
  const fitting = shares
    .map((share) => blocksOf(problem, columnMm, share))
    .filter((blocks) => stackMm(blocks, 'without-gap') <= heightMm && narrowest(blocks, columnMm, problem.measure));
  const blocks = fitting.find((candidate) => !isCut(candidate)) ?? fitting.at(-1);
  if (!blocks) return null;
  const placed: PlacedBlock[] = [];
  const column: Column = {
    xMm: space.xMm + space.widthMm - design.padMm - columnMm,
    widthMm: columnMm,
    topMm: space.yMm + (space.heightMm - stackMm(blocks, 'without-gap')) / 2,
  };
  stack(blocks, column, 'without-gap', placed);
  return toSolution(placed, code, 'start', 'left', content);
}

/** One character is wider than the column: nothing can be written there. */
function narrowest(blocks: readonly Block[], widthMm: number, measure: MeasureText): boolean {
  return blocks.every(
    ({ part, text }) =>
      part.kind !== 'text' ||
      text === null ||
      text.lines.every((line) => measure(line, part.font, text.sizePt) <= widthMm + 1e-6),
  );
}

interface PlacedBlock extends Block, MmBox {}

interface Column {
  readonly xMm: number;
  readonly widthMm: number;
  readonly topMm: number;
}

/** Places blocks one under the other. @returns the bottom of the last */
function stack(
  blocks: readonly Block[],
  { xMm, widthMm, topMm }: Column,
  first: 'with-gap' | 'without-gap',
  into: PlacedBlock[],
): number {
  let yMm = topMm;
  blocks.forEach((block, index) => {
    yMm += index > 0 || first === 'with-gap' ? block.part.gapMm : 0;
    into.push({ ...block, xMm, yMm, widthMm, heightMm: block.heightMm });
    yMm += block.heightMm;
  });
  return yMm;
}

function toSolution(
  placed: readonly PlacedBlock[],
  code: CodeBox | null,
  align: TextBox['align'],
  to: ArrowBox['to'],
  content: FaceContent,
): Solution {
  const texts: TextBox[] = [];
  const pictures: PictureBox[] = [];
  const arrows: ArrowBox[] = [];
  for (const { part, text, xMm, yMm, widthMm, heightMm } of placed) {
    if (part.kind === 'text')
      texts.push({
        field: part.field,
        font: part.font,
        sizePt: text?.sizePt ?? part.floorPt,
        tone: part.tone,
        align,
        lines: text?.lines ?? [],
        xMm,
        yMm,
        widthMm,
        heightMm,
      });
    else {
      const ownMm = part.kind === 'picture' ? heightMm * (content.pictures[part.which] ?? 1) : heightMm;
      const box = { xMm: align === 'middle' ? xMm + (widthMm - ownMm) / 2 : xMm, yMm, widthMm: ownMm, heightMm };
      if (part.kind === 'picture') pictures.push({ which: part.which, ...box });
      else arrows.push({ to, ...box });
    }
  }
  return {
    code,
    texts,
    pictures,
    arrows,
    bands: [],
    cut: placed.flatMap(({ part, text }) => (part.kind === 'text' && text?.cut === true ? [part.field] : [])),
  };
}
