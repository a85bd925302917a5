/** How wide and high the parts of a face are at given sizes. */
import { charactersOf, fitText, lineHeightMm, type FittedText, type MeasureText } from '../../code/typeface/text.js';
import type { FaceContent } from './face-content.js';
import type { FaceNode, NumberNode, RowNode, StackNode, TextNode } from './face-node.js';
import type { LaidField } from './fields.js';

/** At which sizes a face is tried. */
export interface Sizing {
  readonly content: FaceContent;
  readonly measure: MeasureText;
  /** Paper against A4, for type and gaps. */
  readonly paperScale: number;
  /** Of all type sizes. */
  readonly typeScale: number;
  /** What texts that may grow get at most, points; 0 for no more than their size. */
  readonly growPt: number;
  /** Side of the symbol, mm. */
  readonly codeMm: number;
  /** More lines than usual, where that makes letters larger. */
  readonly extraLines: number;
  /** A text in smaller letters than these counts as having no room, points. */
  readonly leastPt: Readonly<Partial<Record<LaidField, number>>>;
  /** Lines that a text is cut after; without a limit where absent. */
  readonly lines: Readonly<Partial<Record<LaidField, number>>>;
  /** How far a code may reach into the margin, mm. */
  readonly bleedMm: number;
  /** Of the face, mm. */
  readonly heightMm: number;
  /** Texts that were fitted already. */
  readonly fitted: Map<string, FittedText>;
}

/** Which edges of its face a part lies at. */
export interface Edges {
  readonly left: boolean;
  readonly right: boolean;
  readonly top: boolean;
  readonly bottom: boolean;
}

/** A part with its size, and its own parts with theirs. */
export interface Measured {
  readonly node: FaceNode;
  readonly edges: Edges;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly parts: readonly Measured[];
  readonly text: FittedText | null;
}

/** Texts are no narrower beside something than this share of their row, and no narrower than so many millimetres. */
const leastShare = 0.22;
const leastColumnMm = 30;
/** Code units of what a reader takes for one character: families of emoji are the longest. */
const longestCharacter = 32;

/** Null where it has no room in that width. */
export function measureNode(node: FaceNode, widthMm: number, edges: Edges, sizing: Sizing): Measured | null {
  switch (node.kind) {
    case 'text':
      return measureTextNode(node, widthMm, edges, sizing);
    case 'number':
      return measureNumber(node, widthMm, edges, sizing);
    case 'code': {
      const { across, down } = codeShape(sizing);
      const outMm = sizing.codeMm * across - bleedAcross(edges, sizing);
      if (outMm > widthMm + 1e-6) return null;
      const heightMm = Math.max(0, sizing.codeMm * down - bleedDown(edges, sizing));
      return { node, edges, widthMm: Math.max(0, outMm), heightMm, parts: [], text: null };
    }
    case 'picture': {
      const size = pictureSize(node, widthMm, sizing);
      return { node, edges, ...size, parts: [], text: null };
    }
    case 'tap-sign': {
      const heightMm = node.heightMm * sizing.paperScale;
      return { node, edges, widthMm: heightMm, heightMm, parts: [], text: null };
    }
    case 'stack':
      return measureStack(node, widthMm, edges, sizing);
    case 'row':
      return measureRow(node, widthMm, edges, sizing);
  }
}

function measureTextNode(node: TextNode, widthMm: number, edges: Edges, sizing: Sizing): Measured | null {
  const text = fittedText(node, widthMm, sizing);
  // Part of an address leads nowhere.
  if (node.isAddress === true && text.cut) return null;
  if (text.sizePt < (sizing.leastPt[node.field] ?? 0)) return null;
  if (sticksOut(text, node, widthMm, sizing)) return null;
  return { node, edges, widthMm, heightMm: text.lines.length * lineHeightMm(text.sizePt), parts: [], text };
}

/** Its lines at that width; the same ones again for the same sizes. */
function fittedText(node: TextNode, widthMm: number, sizing: Sizing): FittedText {
  const { field, font, floorPt, lines, isAddress = false } = node;
  const sizePt = wantedPt(node, sizing);
  const most = sizing.lines[field];
  const key = `${field} ${sizePt} ${lines + sizing.extraLines} ${widthMm.toFixed(3)} ${most ?? ''}`;
  const known = sizing.fitted.get(key);
  if (known) return known;
  const maxLines = Math.min(lines + sizing.extraLines, most ?? Infinity);
  const mostLines = most ?? (isAddress ? lines : Infinity);
  const breaks = isAddress ? 'address' : 'words';
  const words = sizing.content.texts[field] ?? '';
  const text = fitText(words, { font, sizePt, floorPt, widthMm, maxLines, mostLines, breaks }, sizing.measure);
  sizing.fitted.set(key, text);
  return text;
}

/** A column that is narrower than a character has no room for it. */
function sticksOut(
  { lines, sizePt }: FittedText,
  { font }: Pick<TextNode, 'font'>,
  widthMm: number,
  { measure }: Pick<Sizing, 'measure'>,
): boolean {
  return lines.some(
    (line) =>
      line.length <= longestCharacter &&
      charactersOf(line).length === 1 &&
      measure(line, font, sizePt) > widthMm + 1e-6,
  );
}

/** The size that a text has where its lines are few, points. */
export function wantedPt(
  { sizePt, floorPt, grows }: Pick<TextNode, 'sizePt' | 'floorPt' | 'grows'>,
  { paperScale, typeScale, growPt }: Pick<Sizing, 'paperScale' | 'typeScale' | 'growPt'>,
): number {
  const ownPt = Math.round(sizePt * paperScale * typeScale * 2) / 2;
  return Math.max(floorPt, ownPt, grows === true ? growPt : 0);
}

function measureNumber(node: NumberNode, widthMm: number, edges: Edges, sizing: Sizing): Measured | null {
  const { content, paperScale, typeScale, measure } = sizing;
  const words = (content.texts.number ?? '').trim();
  const sizePt = Math.max(node.floorPt, Math.round(node.sizePt * paperScale * typeScale));
  const heightMm = lineHeightMm(sizePt);
  const textMm = measure(words, 'heading', sizePt);
  const blockMm = node.form === 'plain' ? textMm : Math.max(heightMm, textMm + heightMm * 0.3);
  if (blockMm > widthMm + 1e-6) return null;
  return { node, edges, widthMm: blockMm, heightMm, parts: [], text: { lines: [words], sizePt, cut: false } };
}

function pictureSize(
  { which, heightMm, share = 1 }: Extract<FaceNode, { kind: 'picture' }>,
  widthMm: number,
  { content, paperScale, heightMm: faceMm }: Sizing,
): { readonly widthMm: number; readonly heightMm: number } {
  const aspect = content.pictures[which] ?? 1;
  const highMm = Math.min(heightMm * paperScale, faceMm * share, widthMm / aspect);
  return { widthMm: highMm * aspect, heightMm: highMm };
}

function measureStack(node: StackNode, widthMm: number, edges: Edges, sizing: Sizing): Measured | null {
  const parts: Measured[] = [];
  for (const [index, part] of node.parts.entries()) {
    const own = { ...edges, top: edges.top && index === 0, bottom: edges.bottom && index === node.parts.length - 1 };
    const measured = measureNode(part, widthMm, own, sizing);
    if (!measured) return null;
    parts.push(measured);
  }
  const heightMm = parts.reduce((sum, part) => sum + part.heightMm, 0) + gapOf(node, sizing) * (parts.length - 1);
  return { node, edges, widthMm, heightMm, parts, text: null };
}

function measureRow(node: RowNode, widthMm: number, edges: Edges, sizing: Sizing): Measured | null {
  const own = node.parts.map((_, index) => ({
    ...edges,
    left: edges.left && index === 0,
    right: edges.right && index === node.parts.length - 1,
  }));
  const widths = node.parts.map((part, index) => ownWidth(part, widthMm, own[index] as Edges, sizing));
  const gapsMm = gapOf(node, sizing) * (node.parts.length - 1);
  const takenMm = widths.reduce<number>((sum, width) => sum + (width ?? 0), gapsMm);
  const flexible = widths.filter((width) => width === null).length;
  const eachMm = flexible === 0 ? 0 : (widthMm - takenMm) / flexible;
  if (takenMm > widthMm + 1e-6) return null;
  if (flexible > 0 && eachMm < Math.min(leastColumnMm, (widthMm - gapsMm) * leastShare)) return null;
  const parts: Measured[] = [];
  for (const [index, part] of node.parts.entries()) {
    const measured = measureNode(part, widths[index] ?? eachMm, own[index] as Edges, sizing);
    if (!measured) return null;
    parts.push(measured);
  }
  return { node, edges, widthMm, heightMm: Math.max(...parts.map((part) => part.heightMm)), parts, text: null };
}

/** As wide as it is, or as its code is; null for what takes the width that is left. */
function ownWidth(node: FaceNode, widthMm: number, edges: Edges, sizing: Sizing): number | null {
  switch (node.kind) {
    case 'text':
    case 'row':
      return null;
    case 'stack':
      return node.parts.some(({ kind }) => kind === 'code') ? ownWidth({ kind: 'code' }, widthMm, edges, sizing) : null;
    case 'code':
      return Math.max(0, sizing.codeMm * codeShape(sizing).across - bleedAcross(edges, sizing));
    case 'picture':
      return pictureSize(node, widthMm, sizing).widthMm;
    case 'number':
    case 'tap-sign':
      return measureNode(node, Infinity, edges, sizing)?.widthMm ?? 0;
  }
}

/** Between parts, mm. Gaps shrink half as much as letters do. */
export function gapOf({ gapMm }: StackNode | RowNode, { paperScale, typeScale }: Sizing): number {
  return gapMm * paperScale * (0.5 + 0.5 * typeScale);
}

/** Symbol with all that is around it, in sides of the symbol. */
export function codeShape({ content: { code } }: Pick<Sizing, 'content'>): {
  readonly across: number;
  readonly down: number;
  readonly left: number;
  readonly top: number;
} {
  if (!code) return { across: 0, down: 0, left: 0, top: 0 };
  const {
    modules,
    surround: { left, top, right, bottom },
  } = code;
  return {
    across: (left + modules + right) / modules,
    down: (top + modules + bottom) / modules,
    left: left / modules,
    top: top / modules,
  };
}

/** How far a code reaches over the sides of its part, mm. */
export function bleedAcross({ left, right }: Edges, { bleedMm }: Sizing): number {
  return bleedMm * (Number(left) + Number(right));
}

/** And over its top and bottom, mm. */
export function bleedDown({ top, bottom }: Edges, { bleedMm }: Sizing): number {
  return bleedMm * (Number(top) + Number(bottom));
}
