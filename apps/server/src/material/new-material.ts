/** What was pasted -> a material's row. The one place where titles, kinds and first instructions are decided. */
import type { NewMaterial } from '@hapset/contract';
import { recogniseKind, shippedServices, titleFromAddress, titleFromWords } from '@hapset/core';
import { newId } from '../database/columns.js';
import { ProblemError } from '../problem/problem.js';
import type { Material } from './material.entity.js';

/** Printed under a code until the teacher writes something better. */
export const firstInstructions = {
  link: 'Point your camera here and tap what it finds.',
  words: 'Point your camera here and read what it says.',
} as const;

/** @throws ProblemError invalid when both or neither of link and words are given */
export function newMaterial(item: NewMaterial, ownerId: string, createdAt: Date, path: string): Omit<Material, 'owner'> {
  const { link, words } = item;
  if ((link === undefined) === (words === undefined)) {
    throw new ProblemError('invalid', 'Give a link or words, one of the two.', { fields: [{ field: path, message: 'needs either link or words' }] });
  }
  const content =
    link !== undefined
      ? { kind: recogniseKind(link, shippedServices), link, words: null, title: titleFromAddress(link), instruction: firstInstructions.link }
      : { kind: 'message' as const, link: null, words: words ?? '', title: titleFromWords(words ?? ''), instruction: firstInstructions.words };
  const title = item.title?.normalize('NFC').trim();
  return {
    id: newId(),
    ownerId,
    ...content,
    title: title || content.title.slice(0, 200) || 'Without a title',
    titleSource: title ? 'person' : 'address',
    pasted: item.pasted,
    repairs: item.repairs.map(({ kind, removed, added }) => ({ kind, removed, added })),
    version: 1,
    createdAt,
    removedAt: null,
  };
}
