/**
 * What the school's own server keeps is judged from what it knows of it, and not by opening its own page: whether there
 * is something to see, and whether phones can show it. What a class's devices play is asked later, per class.
 */
import { locksOut } from '../../gather/service-description/access-verdict.js';
import { containerName, isLookedInto, type FileFacts, type KeptFacts } from '../../gather/kept/file-facts.js';
import { unreachable } from '../../platform/result.js';
import type { InsideItem } from './evidence.js';
import type { Finding, Judgement } from './judgement.js';

/** Judges what is kept here. @param inside what the links of a written page showed */
export function judgeKept(kept: KeptFacts, inside: readonly InsideItem[] = []): Judgement {
  const files = kept.files.filter((file) => file !== null);
  if (files.length === 0 && kept.characters === 0)
    return {
      verdict: 'empty',
      reasons: [{ reason: kept.kind === 'written-page' ? 'page-empty' : 'file-gone', detail: '' }],
    };
  const empty = files.flatMap(nothingIn);
  if (empty.length > 0) return { verdict: kept.kind === 'file' ? 'empty' : 'partial', reasons: empty };
  const locked = inside.filter(({ verdict }) => locksOut(verdict));
  if (locked.length > 0)
    return { verdict: 'partial', reasons: locked.map(({ name }) => ({ reason: 'holds-locked', detail: name })) };
  const unread = files.filter(({ media, findings }) => findings === null && isLookedInto(media));
  if (unread.length > 0)
    return { verdict: 'unknown', reasons: unread.map(({ name }) => ({ reason: 'file-unread', detail: name })) };
  const inTheWay = files.flatMap(hardToShow);
  if (inTheWay.length > 0) return { verdict: 'obstructed', reasons: inTheWay };
  return { verdict: 'open', reasons: [{ reason: 'kept-here', detail: '' }] };
}

function nothingIn({ name, sizeBytes, findings }: FileFacts): readonly Finding[] {
  if (sizeBytes === 0) return [{ reason: 'file-empty', detail: name }];
  return findings?.kind === 'damaged' ? [{ reason: 'file-damaged', detail: name }] : [];
}

function hardToShow({ name, media, contentType, findings, hasPdf }: FileFacts): readonly Finding[] {
  if (findings?.kind === 'password') return [{ reason: 'file-password', detail: name }];
  switch (media) {
    case 'picture':
    case 'pdf':
      return [];
    case 'sound':
    case 'film':
      return findings?.kind === 'played' && findings.format !== null
        ? []
        : [
            {
              reason: 'format-unusual',
              detail: findings?.kind === 'played' ? findings.name : containerName(contentType),
            },
          ];
    case 'office':
      return hasPdf ? [] : [{ reason: 'needs-program', detail: name }];
    case 'captions':
    case 'other':
      return [{ reason: 'download-only', detail: name }];
    default:
      return unreachable(media);
  }
}
