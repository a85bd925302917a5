/** A request to change a material -> what changes in its row. What must not be mixed up is refused here. */
import type { ChangeMaterial } from '@hapset/contract';
import { type Content, type Kept } from '@hapset/core';
import { newToken } from '../file/file.service.js';
import { ProblemError } from '../../platform/problem/problem.js';
import type { Material } from './material.entity.js';
import { firstInstructions } from './new-material.js';

type Held = Pick<ChangeMaterial, 'link' | 'words' | 'content' | 'kept'>;

/**
 * A link stays a link and a file stays a file; but what is in the code itself may move to a written page, and back.
 * @throws ProblemError invalid
 */
export function refuseOtherSort(before: Material, { link, words, content, kept }: Held): void {
  const field = wrongField(before, { link, words, content, kept });
  if (field !== null)
    throw new ProblemError('invalid', 'A link stays a link, and what is kept stays what it is.', {
      fields: [{ field, message: 'is of another sort' }],
    });
  if ([link, words, content, kept].filter((given) => given !== undefined).length > 1)
    throw new ProblemError('invalid', 'Give one of link, words, fields and what is kept.');
}

function wrongField(before: Material, given: Held): keyof Held | null {
  return heldFields.find((field) => given[field] !== undefined && !mayHold(before, field, given)) ?? null;
}

const heldFields = ['link', 'words', 'content', 'kept'] as const;

function mayHold(before: Material, field: keyof Held, { content, kept }: Held): boolean {
  const onPage = before.kept?.kind === 'written-page';
  switch (field) {
    case 'link':
      return before.link !== null;
    case 'words':
      return before.words !== null || onPage;
    case 'content':
      return content?.kind === before.content?.kind || onPage;
    case 'kept':
      return kept !== undefined && mayKeep(before, kept);
  }
}

function mayKeep(before: Material, { kind }: Pick<Kept, 'kind'>): boolean {
  return kind === before.kept?.kind || (kind === 'written-page' && isInTheCode(before));
}

function isInTheCode({ words, content }: Pick<Material, 'words' | 'content'>): boolean {
  return words !== null || content !== null;
}

/** What else changes when words or fields move to a written page, or come back from one. Empty where nothing moves. */
export function moved(
  before: Material,
  {
    words,
    content,
    kept,
  }: { readonly words: string | undefined; readonly content: Content | undefined; readonly kept: Kept | undefined },
): Partial<Material> {
  if (kept?.kind === 'written-page' && isInTheCode(before))
    return {
      kind: 'written-page',
      words: null,
      content: null,
      level: null,
      pageToken: newToken(),
      ...instructionFor(before, 'written-page'),
    };
  if (before.kept === null || (words === undefined && content === undefined)) return {};
  const kind = content?.kind ?? 'message';
  // Its address is gone for good: whoever scans it reads that the page was taken down.
  return {
    kind,
    kept: null,
    pageToken: null,
    shownUntil: null,
    carry: 'link',
    level: null,
    ...instructionFor(before, kind),
  };
}

/** An instruction of the teacher's own stays; a first one makes way for that of the new kind. */
function instructionFor({ kind, instruction }: Material, next: keyof typeof firstInstructions): Partial<Material> {
  const first = Object.entries(firstInstructions).find(([of]) => of === kind)?.[1];
  return instruction === first ? { instruction: firstInstructions[next] } : {};
}
