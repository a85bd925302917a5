/** What was pasted -> a material's row. The one place where titles, kinds and first instructions are decided. */
import { limits, type NewMaterial } from '@hapset/contract';
import {
  contentProblems,
  isWebAddress,
  readKept,
  readTags,
  recogniseKind,
  titleFromAddress,
  titleFromContent,
  titleFromWords,
  type Content,
  type ContentKind,
  type Kept,
  type KeptKind,
  type ServiceCatalogue,
} from '@hapset/core';
import { newId } from '../../platform/database/columns.js';
import { newToken } from '../file/file.service.js';
import { ProblemError } from '../../platform/problem/problem.js';
import type { Material } from './material.entity.js';

/** Printed under a code until the teacher writes something better: what a phone shows, and what to tap. */
export const firstInstructions: Readonly<Record<'link' | 'message' | ContentKind | KeptKind, string>> = {
  link: 'Point your camera here and tap what it finds.',
  message: 'Point your camera here and read what it says.',
  contact: 'Point your camera here and add the contact.',
  event: 'Point your camera here and add it to your calendar.',
  place: 'Point your camera here and open the map.',
  'e-mail': 'Point your camera here, then finish and send the mail.',
  phone: 'Point your camera here and tap to call.',
  'text-message': 'Point your camera here and tap to send.',
  network: 'Point your camera here and join the network.',
  file: 'Point your camera here and open it.',
  'picture-set': 'Point your camera here and look at the pictures.',
  'written-page': 'Point your camera here and read the page.',
};

type Held = Pick<Material, 'kind' | 'title' | 'link' | 'words' | 'content' | 'kept' | 'instruction'>;

export interface MaterialSetting {
  readonly ownerId: string;
  readonly createdAt: Date;
  /** Tells the kind of a link where none was chosen. */
  readonly catalogue: ServiceCatalogue;
  /** Where the item stands in the body, for problems. */
  readonly path: string;
}

/**
 * The row of a new material.
 * @throws ProblemError invalid when not exactly one of link, words, content and kept is given, or fields need another value
 */
export function newMaterial(
  item: NewMaterial,
  { ownerId, createdAt, catalogue, path }: MaterialSetting,
): Omit<Material, 'owner'> {
  const held = hold(item, catalogue, path);
  const title = item.title?.normalize('NFC').trim();
  return {
    id: newId(),
    ownerId,
    ...held,
    title: title || held.title.slice(0, limits.titleLength) || 'Without a title',
    titleSource: title || held.content || held.kept ? 'person' : 'address',
    carry: 'link',
    trimmedLink: null,
    slug: null,
    level: null,
    look: null,
    sizeMm: null,
    pictureToken: null,
    pictureShown: false,
    pageToken: held.kept ? newToken() : null,
    shownUntil: null,
    teacherSaw: held.link === null ? null : sawThere(item),
    instruction: item.instruction?.normalize('NFC').trim() || held.instruction,
    tags: tidyTags(item.tags ?? []),
    pasted: item.pasted,
    repairs: item.repairs.map(({ kind, removed, added }) => ({ kind, removed, added })),
    version: 1,
    createdAt,
    removedAt: null,
  };
}

/** Null where nothing came along. */
function sawThere({ teacherSaw = '' }: NewMaterial): string | null {
  return teacherSaw.normalize('NFC').trim() || null;
}

function hold({ link, words, content, kept, kind }: NewMaterial, catalogue: ServiceCatalogue, path: string): Held {
  if ([link, words, content, kept].filter((given) => given !== undefined).length !== 1) {
    throw new ProblemError('invalid', 'Give a link, words, fields or what is kept here, one of the four.', {
      fields: [{ field: path, message: 'needs exactly one of link, words, content and kept' }],
    });
  }
  if (link !== undefined) requireWebAddress(link, `${path}.link`);
  if (link !== undefined)
    return {
      kind: kind ?? recogniseKind(link, catalogue),
      link,
      words: null,
      content: null,
      kept: null,
      title: titleFromAddress(link),
      instruction: firstInstructions.link,
    };
  if (kept !== undefined) {
    const read = checkedKept(kept, `${path}.kept`);
    return {
      kind: read.kind,
      link: null,
      words: null,
      content: null,
      kept: read,
      title: keptTitles[read.kind],
      instruction: firstInstructions[read.kind],
    };
  }
  if (words !== undefined)
    return {
      kind: 'message',
      link: null,
      words,
      content: null,
      kept: null,
      title: titleFromWords(words),
      instruction: firstInstructions.message,
    };
  const fields = checkedContent(content as Content, `${path}.content`);
  return {
    kind: fields.kind,
    link: null,
    words: null,
    content: fields,
    kept: null,
    title: titleFromContent(fields),
    instruction: firstInstructions[fields.kind],
  };
}

/** Other schemes run programs or read files on a student's device. @throws ProblemError invalid */
export function requireWebAddress(link: string, path: string): void {
  if (!isWebAddress(link))
    throw new ProblemError('invalid', 'A link begins with http:// or https://.', {
      fields: [{ field: path, message: 'is no web address' }],
    });
}

/** Used where nobody gave a name. */
const keptTitles: Readonly<Record<KeptKind, string>> = {
  file: 'File',
  'picture-set': 'Pictures',
  'written-page': 'Written page',
};

/** What is kept, read and tidied. @throws ProblemError invalid */
export function checkedKept(given: unknown, path: string): Kept {
  const kept = readKept(given);
  if (!kept)
    throw new ProblemError('invalid', 'This can’t be kept as it is.', {
      fields: [{ field: path, message: 'is no file, picture set or written page' }],
    });
  return kept;
}

/** The fields as they are kept. @throws ProblemError invalid, naming each field with its reason */
export function checkedContent(content: Content, path: string): Content {
  const problems = contentProblems(content);
  if (problems.length > 0)
    throw new ProblemError('invalid', 'Some fields need another value.', {
      fields: problems.map(({ field, reason }) => ({ field: `${path}.${field}`, message: reason })),
    });
  return { ...content };
}

/** In NFC, each once, in the order in which they were given. */
export function tidyTags(tags: readonly string[]): readonly string[] {
  return readTags(tags.join(','));
}
