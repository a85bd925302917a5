/** What a material learns from the page that opened. */
import { limits } from '@hapset/contract';
import { isFolder, type AccessVerdict, type Evidence, type MaterialKind, type ServiceCatalogue } from '@hapset/core';
import { learnFromPage, type LearntPage } from '../../gather/material/learn-from-page.js';
import type { Opened } from '../student-browser/student-browser.js';
import type { AccessCheck } from './access-check.entity.js';

/** Whether it holds things with sharing of their own. */
export function holdsOthers({ material, link }: AccessCheck, catalogue: ServiceCatalogue): boolean {
  return isFolder(link, catalogue) || material?.kind === 'folder';
}

/** What opened, with what the teacher saw there when it was added. */
export function withTeacherSaw({ material }: AccessCheck, opened: Opened): Opened {
  const teacherSaw = material?.teacherSaw ?? null;
  return teacherSaw === null ? opened : { ...opened, evidence: { ...opened.evidence, teacherSaw } };
}

/** Null where nothing is news. */
export function learntFrom(
  { material }: AccessCheck,
  verdict: AccessVerdict,
  evidence: Evidence,
): ReturnType<typeof learnFromPage> {
  const isSeen = verdict === 'open' || verdict === 'open-editable' || verdict === 'partial';
  return isSeen && material ? learnFromPage(material, pageOf(evidence)) : null;
}

/** What only the page itself could tell. */
function pageOf({ final }: Evidence): LearntPage {
  return {
    title: final?.page?.title.normalize('NFC').slice(0, limits.titleLength) ?? '',
    kind: kindOfFile(final?.contentType ?? ''),
  };
}

function kindOfFile(contentType: string): MaterialKind | null {
  if (contentType === 'application/pdf') return 'document';
  if (contentType.startsWith('audio/')) return 'audio';
  return contentType.startsWith('video/') ? 'video' : null;
}
