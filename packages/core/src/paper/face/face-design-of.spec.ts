import { sheetKinds } from '../sheet/design.js';
import { backDesignOf, faceLayouts, frontOf, layoutsOf } from './face-design-of.js';
import type { FaceDesign, FaceNode } from './face-node.js';

const leaves = (node: FaceNode): readonly FaceNode[] =>
  node.kind === 'stack' || node.kind === 'row' ? node.parts.flatMap(leaves) : [node];
const partsOf = ({ high, wide, foot }: FaceDesign): readonly FaceNode[] =>
  [...high, ...wide, ...(foot ? [foot] : [])].flatMap(leaves);
const composed = sheetKinds.filter((kind) => kind !== 'student-card');

describe('designs that come with Hapset', () => {
  it('are five for posters, three for cards, two for handouts and labels', () => {
    expect(composed.map((kind) => [kind, layoutsOf(kind).length])).toEqual([
      ['poster', 5],
      ['table-card', 3],
      ['small-card', 3],
      ['handout', 2],
      ['label', 2],
    ]);
    expect(new Set(composed.flatMap((kind) => layoutsOf(kind)))).toEqual(new Set(faceLayouts));
    expect(layoutsOf('student-card')).toEqual([]);
  });

  it.each(composed.flatMap((kind) => layoutsOf(kind).map((layout) => [kind, layout] as const)))(
    '%s, %s: has the code once in each tree, and sizes that can be read and shrink to no less',
    (kind, layout) => {
      const design = frontOf(kind, layout);
      for (const tree of [...design.high, ...design.wide])
        expect(leaves(tree).filter((leaf) => leaf.kind === 'code')).toHaveLength(1);
      for (const part of partsOf(design))
        if (part.kind === 'text') {
          expect(part.sizePt).toBeGreaterThanOrEqual(part.floorPt);
          expect(part.floorPt).toBeGreaterThanOrEqual(kind === 'poster' ? 10 : 7);
        }
    },
  );

  it('fall back to the usual design for a name that the kind does not have', () => {
    expect(frontOf('label', 'picture-first')).toBe(frontOf('label', 'code-first'));
    expect(frontOf('poster', undefined)).toBe(frontOf('poster', 'big-number'));
  });

  it('have larger words on the backs of what is read from afar, and number and task on those of small cards', () => {
    const largest = (kind: (typeof sheetKinds)[number]): number =>
      Math.max(...partsOf(backDesignOf(kind)).map((part) => (part.kind === 'text' ? part.sizePt : 0)));
    expect(largest('poster')).toBeGreaterThan(largest('handout'));
    expect(largest('table-card')).toBe(largest('poster'));
    expect(partsOf(backDesignOf('small-card'))).toContainEqual({
      kind: 'number',
      form: 'plain',
      sizePt: 28,
      floorPt: 14,
    });
  });
});
