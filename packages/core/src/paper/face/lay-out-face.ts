/**
 * Lays out one face of a sheet: a poster, a panel of a table card, a card, a row of a handout. First the code gets what its distance asks
 * for, then letters are as large as there is room, then the code grows. What may be left out goes first, then words are cut, then texts are
 * left out; each is said. Boxes never overlap and never leave the face.
 */
import type { MeasureText } from '../../code/typeface/text.js';
import type { MmBox } from './box.js';
import type { FaceContent, FaceLayout } from './face-content.js';
import type { FaceDesign, FaceNode } from './face-node.js';
import type { LaidField } from './fields.js';
import { codeShape, measureNode, wantedPt, type Measured, type Sizing } from './measure-node.js';
import { Placement } from './place-node.js';
import { fieldsOf, withoutOptional, withoutFields, present } from './prune-node.js';
import { typeSizePt } from './reading-size.js';

/** Letters are tried at these shares of their size, where the whole size has no room. */
const typeScales = [0.94, 0.88, 0.82, 0.76, 0.7, 0.64, 0.58, 0.52, 0.46, 0.4] as const;
const leastScale = 0.4;
/** Wider than this, the code is beside the texts. */
const wideAspect = 1.12;
/** Of the shorter side of a face that the code keeps, whatever is written; what has no room then is left out. */
const keptForCode = 0.5;
/** The shorter side of A4, by which sizes are given. */
const a4Mm = 210;
const largestPaperScale = 1.2;
/** Texts are not cut to fewer lines than these. */
const fewestLines = 2;
/** Beyond those of the design. */
const mostExtraLines = 4;
/** Who goes first where there is no room. */
const firstToGo: readonly LaidField[] = [
  'address',
  'foot',
  'place',
  'where',
  'class',
  'point-2',
  'tap-2',
  'tap',
  'for-whom',
  'point',
  'instruction',
  'password',
  'meaning',
  'number',
  'title',
  'what',
];

/** @param paperScale of type and gaps against A4; cards have sizes of their own */
export function layoutFace(
  design: FaceDesign,
  space: MmBox,
  content: FaceContent,
  measure: MeasureText,
  paperScale = 1,
): FaceLayout {
  const solver = new FaceSolver(design, space, content, measure, paperScale);
  return solver.solve();
}

/** How much larger or smaller than on A4 type and gaps of a poster are. */
export function paperScaleOf({ widthMm, heightMm }: Pick<MmBox, 'widthMm' | 'heightMm'>): number {
  return Math.min(largestPaperScale, Math.min(widthMm, heightMm) / a4Mm);
}

/** Main part and foot, as far as there is anything in them. */
interface Tree {
  readonly main: FaceNode | null;
  readonly foot: FaceNode | null;
}

interface Solution {
  readonly main: Measured | null;
  readonly foot: Measured | null;
  readonly sizing: Sizing;
}

class FaceSolver {
  private readonly trees: readonly Tree[];
  private readonly base: Sizing;

  constructor(
    private readonly design: FaceDesign,
    private readonly space: MmBox,
    private readonly content: FaceContent,
    measure: MeasureText,
    paperScale: number,
  ) {
    const isWide = content.code !== null && space.widthMm > space.heightMm * wideAspect;
    const foot = present(design.foot, content);
    this.trees = (isWide ? design.wide : design.high).map((main) => ({ main: present(main, content), foot }));
    const padMm = this.padMm(paperScale);
    this.base = {
      content,
      measure,
      paperScale,
      typeScale: 1,
      growPt: 0,
      extraLines: 0,
      leastPt: {},
      codeMm: content.code === null ? 0 : content.neededMm,
      lines: {},
      bleedMm: Math.max(0, padMm - design.codePadMm),
      heightMm: space.heightMm,
      fitted: new Map(),
    };
  }

  solve(): FaceLayout {
    const plain = this.trees.map((tree) => mapTree(tree, withoutOptional));
    const withoutAddress = plain.map((tree) => mapTree(tree, (node) => withoutFields(node, ['address'])));
    const found =
      this.firstThatFits([...this.trees, ...plain, ...withoutAddress]) ?? this.cutToFit(plain.at(-1) ?? noTree);
    return this.place(this.grown(found));
  }

  /** The first tree that holds the code as large as it must be, with letters as large as it has room for. */
  private firstThatFits(trees: readonly Tree[], codeMm = this.base.codeMm): Solution | null {
    const base = { ...this.base, codeMm };
    for (const tree of trees) {
      // Most have room for the largest letters, or not even for the smallest.
      const largest = this.fit(tree, base);
      if (largest) return largest;
      if (!this.fit(tree, { ...base, typeScale: leastScale })) continue;
      for (const typeScale of typeScales) {
        const solution = this.fit(tree, { ...base, typeScale });
        if (solution) return solution;
      }
    }
    return null;
  }

  /** Words are cut, then the code is smaller than it must be, then texts are left out. */
  private cutToFit(whole: Tree): Solution {
    const leastMm = this.leastCodeMm();
    let tree = whole;
    for (const field of [null, ...firstToGo]) {
      if (field !== null) {
        const left = mapTree(tree, (node) => withoutFields(node, [field]));
        if (left.main === tree.main && left.foot === tree.foot) continue;
        tree = left;
      }
      const fields = [...fieldsOf(tree.main), ...fieldsOf(tree.foot)];
      const lines = Object.fromEntries(fields.map((each) => [each, fewestLines]));
      const sizing = { ...this.base, typeScale: leastScale, lines };
      const codeMm = this.largestCode(tree, sizing, this.base.codeMm);
      if (codeMm === null || codeMm < leastMm - 1e-9) continue;
      const fitted = this.fit(tree, { ...sizing, codeMm });
      // A code that is too small for its distance leaves letters the room that it can't use.
      if (fitted) return this.firstThatFits([tree], codeMm) ?? this.withMoreLines(tree, fitted, fields);
    }
    const code = mapTree(this.trees[0] ?? noTree, (node) => withoutFields(node, firstToGo));
    const codeMm = this.largestCode(code, this.base, this.base.codeMm) ?? 0;
    const alone = this.fit(code, { ...this.base, codeMm });
    return alone ?? { main: null, foot: null, sizing: { ...this.base, codeMm: 0 } };
  }

  /** Gives lines back, one after the other, while there is room. */
  private withMoreLines(tree: Tree, from: Solution, fields: readonly LaidField[]): Solution {
    let solution = from;
    for (const field of [...fields].sort((one, other) => firstToGo.indexOf(other) - firstToGo.indexOf(one))) {
      while (isCut(solution, field)) {
        const lines = { ...solution.sizing.lines, [field]: (solution.sizing.lines[field] ?? fewestLines) + 1 };
        const next = this.fit(tree, { ...solution.sizing, lines });
        if (!next) break;
        solution = next;
      }
    }
    return solution;
  }

  /** Texts grow to what their distance asks for, then the code to its share of the face. */
  private grown(solution: Solution): Solution {
    const tree: Tree = { main: solution.main?.node ?? null, foot: solution.foot?.node ?? null };
    // Words come before a larger code.
    if (shownIn(solution).some((field) => isCut(solution, field))) return solution;
    const grown = this.withLargerTexts(tree, this.withExtraLines(tree, solution));
    const codeShare = this.content.isSizeChosen === true ? 0 : this.design.codeShare;
    const mostMm = codeShare * Math.min(this.space.widthMm, this.space.heightMm);
    if (this.content.code === null || mostMm <= grown.sizing.codeMm) return grown;
    // A code that grows beside texts leaves their letters as large as they are.
    const sizing = { ...grown.sizing, leastPt: sizesOf(grown) };
    const codeMm = this.largestCode(tree, sizing, mostMm);
    if (codeMm === null || codeMm <= sizing.codeMm) return grown;
    return this.fit(tree, { ...sizing, codeMm }) ?? grown;
  }

  private withLargerTexts(tree: Tree, solution: Solution): Solution {
    const { distanceM } = this.content;
    if (distanceM === undefined || solution.sizing.typeScale < 1) return solution;
    let grown = solution;
    const sizing = { ...solution.sizing, leastPt: sizesOf(solution) };
    const mostPt = Math.ceil(typeSizePt(distanceM, 'legible'));
    for (let growPt = 20; growPt <= mostPt; growPt += 2) {
      const next = this.fit(tree, { ...sizing, growPt: Math.min(growPt, mostPt) });
      if (!next) break;
      grown = next;
    }
    return grown;
  }

  /** Long texts in more lines, so that their letters are larger. */
  private withExtraLines(tree: Tree, solution: Solution): Solution {
    let best = solution;
    if (!hasShrunk(solution)) return solution;
    for (let extraLines = 1; extraLines <= mostExtraLines; extraLines += 1) {
      const next = this.fit(tree, { ...solution.sizing, extraLines });
      if (!next) break;
      best = next;
    }
    return best;
  }

  /** The largest symbol up to `mostMm` with which everything fits, to a tenth of a millimetre; null where none does. */
  private largestCode(tree: Tree, sizing: Sizing, mostMm: number): number | null {
    if (this.content.code === null) return this.fit(tree, { ...sizing, codeMm: 0 }) ? 0 : null;
    const { across, down } = codeShape(sizing);
    const { widthMm, heightMm } = this.space;
    let [low, high] = [0, Math.floor(Math.min(mostMm, widthMm / across, heightMm / down) * 10)];
    if (this.fit(tree, { ...sizing, codeMm: high / 10 }))
      return mostMm <= high / 10 + 0.1 ? Math.min(mostMm, high / 10 + 0.1) : high / 10;
    if (!this.fit(tree, { ...sizing, codeMm: 0 })) return null;
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      if (this.fit(tree, { ...sizing, codeMm: middle / 10 })) low = middle;
      else high = middle;
    }
    return low / 10;
  }

  private fit({ main, foot }: Tree, sizing: Sizing): Solution | null {
    const padMm = this.padMm(sizing.paperScale);
    const widthMm = this.space.widthMm - 2 * padMm;
    const all = { left: true, right: true, top: true, bottom: true };
    const measuredFoot = foot && measureNode(foot, widthMm, { ...all, top: false }, sizing);
    const measured = main && measureNode(main, widthMm, { ...all, bottom: foot === null }, sizing);
    if ((foot && !measuredFoot) || (main && !measured)) return null;
    const footMm = measuredFoot ? measuredFoot.heightMm + (measured ? this.footGapMm(sizing) : 0) : 0;
    const fits = (measured?.heightMm ?? 0) + footMm <= this.space.heightMm - 2 * padMm + 1e-9;
    return fits ? { main: measured, foot: measuredFoot, sizing } : null;
  }

  private padMm(paperScale: number): number {
    return this.design.padMm * paperScale;
  }

  private footGapMm({ paperScale }: Sizing): number {
    return this.design.footGapMm * paperScale;
  }

  private leastCodeMm(): number {
    if (this.content.code === null) return 0;
    const { across, down } = codeShape(this.base);
    const side = Math.min(this.space.widthMm, this.space.heightMm) - 6;
    return Math.min(this.content.neededMm, (keptForCode * side) / Math.max(across, down));
  }

  private place({ main, foot, sizing }: Solution): FaceLayout {
    const placement = new Placement(this.space, sizing);
    const padMm = this.padMm(sizing.paperScale);
    const xMm = this.space.xMm + padMm;
    const widthMm = this.space.widthMm - 2 * padMm;
    const bottomMm = this.space.yMm + this.space.heightMm - padMm;
    const footTopMm = bottomMm - (foot?.heightMm ?? 0);
    const topMm = this.space.yMm + padMm;
    const mainMm = footTopMm - (foot ? this.footGapMm(sizing) : 0) - topMm;
    if (main) placement.put(main, { xMm, yMm: topMm, widthMm, heightMm: mainMm });
    if (foot) placement.put(foot, { xMm, yMm: footTopMm, widthMm, heightMm: foot.heightMm });
    const shown = shownIn({ main, foot });
    const wanted = [...fieldsOf(this.trees[0]?.main ?? null), ...fieldsOf(this.trees[0]?.foot ?? null)];
    return {
      ...placement.result,
      cut: shown.filter((field) => isCut({ main, foot, sizing }, field)),
      leftOut: wanted.filter((field) => !shown.includes(field)),
    };
  }
}

const noTree: Tree = { main: null, foot: null };

function mapTree({ main, foot }: Tree, change: (node: FaceNode | null) => FaceNode | null): Tree {
  return { main: change(main), foot: change(foot) };
}

/** Whether a text has smaller letters than its scale gives, to keep to its lines. */
function hasShrunk({ main, foot, sizing }: Solution): boolean {
  const shrunk = (part: Measured | null): boolean =>
    part !== null &&
    ((part.node.kind === 'text' && part.text !== null && part.text.sizePt < wantedPt(part.node, sizing)) ||
      part.parts.some(shrunk));
  return shrunk(main) || shrunk(foot);
}

function shownIn({ main, foot }: Pick<Solution, 'main' | 'foot'>): readonly LaidField[] {
  return [...fieldsOf(main?.node ?? null), ...fieldsOf(foot?.node ?? null)];
}

function sizesOf({ main, foot }: Solution): Readonly<Partial<Record<LaidField, number>>> {
  const all = (part: Measured | null): readonly Measured[] => (part ? [part, ...part.parts.flatMap(all)] : []);
  return Object.fromEntries(
    [...all(main), ...all(foot)].flatMap(({ node, text }) =>
      node.kind === 'text' && text ? [[node.field, text.sizePt]] : [],
    ),
  );
}

function isCut({ main, foot }: Solution, field: LaidField): boolean {
  const cut = (part: Measured | null): boolean =>
    part !== null &&
    ((part.node.kind === 'text' && part.node.field === field && part.text?.cut === true) || part.parts.some(cut));
  return cut(main) || cut(foot);
}
