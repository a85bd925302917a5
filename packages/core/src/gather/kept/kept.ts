/** What the school's own server keeps: a file, a set of pictures, a written page. The code carries the address of its page. */
import type { PageDocument } from '../written-page/document.js';
import { documentFiles, readDocument } from '../written-page/read-document.js';
import { parseUrl } from '../../platform/web-address.js';

/** What the school's own server keeps. */
export const keptKinds = ['file', 'picture-set', 'written-page'] as const;
/** One of them. */
export type KeptKind = (typeof keptKinds)[number];

/** A kept file with its transcript and captions. */
export interface KeptFileContent {
  readonly kind: 'file';
  readonly fileId: string;
  /** The words spoken in a sound or film; '' where none were given. */
  readonly transcript: string;
  /** File with captions (WebVTT) of a film; null without. */
  readonly captionsId: string | null;
}

/** Kept pictures in their order. */
export interface PictureSetContent {
  readonly kind: 'picture-set';
  readonly pictures: readonly KeptPicture[];
}

/** A picture of a set. */
export interface KeptPicture {
  readonly fileId: string;
  /** Shown under it. */
  readonly caption: string;
  /** Read aloud in its place (alternative text). */
  readonly alternative: string;
}

/** A page that is written here. */
export interface WrittenPageContent {
  readonly kind: 'written-page';
  readonly document: PageDocument;
}

/** What is kept of a material. */
export type Kept = KeptFileContent | PictureSetContent | WrittenPageContent;

/** The largest that is kept. */
export const keptLimits = { pictures: 60, captionLength: 300, transcriptLength: 20_000 } as const;

/** Takes what was sent, or gives null where it is none. Texts come back in NFC; what a page may not hold is left out. */
export function readKept(given: unknown): Kept | null {
  if (!isRecord(given)) return null;
  switch (given.kind) {
    case 'file': {
      const { fileId, transcript, captionsId } = given;
      if (
        !isId(fileId) ||
        !isText(transcript, keptLimits.transcriptLength) ||
        !(captionsId === null || isId(captionsId))
      )
        return null;
      return { kind: 'file', fileId, transcript: transcript.normalize('NFC').trim(), captionsId };
    }
    case 'picture-set': {
      const { pictures } = given;
      if (!Array.isArray(pictures) || pictures.length === 0 || pictures.length > keptLimits.pictures) return null;
      const read = (pictures as readonly unknown[]).map(readPicture);
      return read.every((picture) => picture !== null) ? { kind: 'picture-set', pictures: read } : null;
    }
    case 'written-page': {
      const document = readDocument(given.document);
      return document && { kind: 'written-page', document };
    }
    default:
      return null;
  }
}

/** Ids of all files that it shows, each once. */
export function filesOf(kept: Kept): readonly string[] {
  switch (kept.kind) {
    case 'file':
      return [kept.fileId, ...(kept.captionsId === null ? [] : [kept.captionsId])];
    case 'picture-set':
      return [...new Set(kept.pictures.map(({ fileId }) => fileId))];
    case 'written-page':
      return documentFiles(kept.document);
  }
}

/** Under which a student finds what is kept here. The token is random: nobody guesses it. */
export function pageAddress(publicAddress: string, token: string): string {
  return `${publicAddress.replace(/\/+$/, '')}/p/${token}`;
}

/** Does the address belong to pages or files that the server shows to everybody? @param publicAddress the school's own */
export function isOwnPublicPage(address: string, publicAddress: string): boolean {
  const [asked, own] = [parseUrl(address), parseUrl(publicAddress)];
  if (!asked || !own) return false;
  const below = own.pathname.replace(/\/+$/, '');
  return (
    asked.origin === own.origin && [`${below}/p/`, `${below}/k/`].some((start) => asked.pathname.startsWith(start))
  );
}

function readPicture(given: unknown): KeptPicture | null {
  if (!isRecord(given)) return null;
  const { fileId, caption, alternative } = given;
  if (!isId(fileId) || !isText(caption, keptLimits.captionLength) || !isText(alternative, keptLimits.captionLength))
    return null;
  return { fileId, caption: caption.normalize('NFC').trim(), alternative: alternative.normalize('NFC').trim() };
}

function isRecord(given: unknown): given is Readonly<Record<string, unknown>> {
  return typeof given === 'object' && given !== null && !Array.isArray(given);
}

function isId(given: unknown): given is string {
  return typeof given === 'string' && /^[0-9a-f-]{36}$/.test(given);
}

function isText(given: unknown, longest: number): given is string {
  return typeof given === 'string' && given.length <= longest;
}
