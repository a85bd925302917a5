/** A face without the parts for which there is nothing, or no room. */
import type { FaceContent } from './face-content.js';
import type { FaceNode } from './face-node.js';
import type { LaidField } from './fields.js';

/** Keeps the parts that pass; groups that become empty go, and rows of one become that one. Null where nothing is left. */
function keep(node: FaceNode | null, passes: (leaf: FaceNode) => boolean): FaceNode | null {
  if (node === null) return null;
  if (node.kind !== 'stack' && node.kind !== 'row') return passes(node) ? node : null;
  const parts = node.parts.flatMap((part) => keep(part, passes) ?? []);
  const isSame = parts.length === node.parts.length && parts.every((part, index) => part === node.parts[index]);
  if (isSame) return node;
  // A sign without its words says nothing.
  if (parts.length === 0 || parts.every(({ kind }) => kind === 'tap-sign')) return null;
  const [only] = parts;
  return node.kind === 'row' && parts.length === 1 && only ? only : { ...node, parts };
}

/** The parts that there is something for. */
export function present(node: FaceNode | null, { texts, pictures, code }: FaceContent): FaceNode | null {
  return keep(node, (leaf) => {
    if (leaf.kind === 'text') return (texts[leaf.field] ?? '').trim() !== '';
    if (leaf.kind === 'number') return (texts.number ?? '').trim() !== '';
    if (leaf.kind === 'picture') return pictures[leaf.which] !== undefined;
    return leaf.kind !== 'code' || code !== null;
  });
}

/** Without pictures that go first, and without signs. */
export function withoutOptional(node: FaceNode | null): FaceNode | null {
  return keep(node, (leaf) => leaf.kind !== 'tap-sign' && !(leaf.kind === 'picture' && leaf.isOptional === true));
}

/** Without these texts. */
export function withoutFields(node: FaceNode | null, fields: readonly LaidField[]): FaceNode | null {
  return keep(node, (leaf) => {
    if (leaf.kind === 'text') return !fields.includes(leaf.field);
    return leaf.kind !== 'number' || !fields.includes('number');
  });
}

/** The texts in it, in the order in which they are read. */
export function fieldsOf(node: FaceNode | null): readonly LaidField[] {
  if (node === null) return [];
  if (node.kind === 'text') return [node.field];
  if (node.kind === 'number') return ['number'];
  return node.kind === 'stack' || node.kind === 'row' ? node.parts.flatMap(fieldsOf) : [];
}
