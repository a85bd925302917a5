/** What kept bytes are, told by the bytes themselves; a name is believed in nothing. */
import { open } from 'node:fs/promises';
import type { Media } from '@hapset/core';
import { fileTypeFromFile } from 'file-type/node';

export interface Told {
  readonly contentType: string;
  readonly media: Media;
}

/** Formats that sharp can turn upright and encode again. */
const pictures = new Set([
  'image/jpeg',
  'image/png',
  'image/webp',
  'image/gif',
  'image/avif',
  'image/tiff',
  'image/heic',
  'image/heif',
]);
const office = new Set([
  'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
  'application/vnd.openxmlformats-officedocument.presentationml.presentation',
  'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  'application/vnd.oasis.opendocument.text',
  'application/vnd.oasis.opendocument.presentation',
  'application/vnd.oasis.opendocument.spreadsheet',
  'application/rtf',
]);
const headBytes = 4096;

/** Reads the beginning of a local file. */
export async function tellMedia(file: string): Promise<Told> {
  const known = await fileTypeFromFile(file);
  // What is a text is looked at here, whatever it was taken for: it may be active.
  if (!known || /^text\/|xml/.test(known.mime.replace('openxmlformats', '')))
    return known?.mime === 'text/rtf'
      ? { contentType: 'application/rtf', media: 'office' }
      : tellText(await headOf(file));
  const [mime = ''] = known.mime.split(';');
  const contentType = sameThing[mime] ?? mime;
  if (pictures.has(contentType)) return { contentType, media: 'picture' };
  if (contentType.startsWith('audio/')) return { contentType, media: 'sound' };
  if (contentType.startsWith('video/')) return { contentType, media: 'film' };
  if (contentType === 'application/pdf') return { contentType, media: 'pdf' };
  if (office.has(contentType)) return { contentType, media: 'office' };
  return { contentType, media: 'other' };
}

/** Names that browsers know better. */
const sameThing: Readonly<Record<string, string>> = {
  'audio/x-m4a': 'audio/mp4',
  'video/x-m4v': 'video/mp4',
  'audio/vnd.wave': 'audio/wav',
  'audio/x-wav': 'audio/wav',
  'audio/x-flac': 'audio/flac',
};

/** Texts have no marks of their own; what could be active is named, so that it can be served harmlessly. */
export function tellText(head: Buffer): Told {
  const text = readable(head);
  if (text === null) return { contentType: 'application/octet-stream', media: 'other' };
  if (/^\uFEFF?WEBVTT(?:\s|$)/.test(text)) return { contentType: 'text/vtt', media: 'captions' };
  if (/<svg[\s>]/i.test(text)) return { contentType: 'image/svg+xml', media: 'other' };
  if (/<(?:!doctype\s+html|html|head|body|script|iframe)[\s>]/i.test(text))
    return { contentType: 'text/html', media: 'other' };
  if (/^\s*<\?xml/.test(text)) return { contentType: 'application/xml', media: 'other' };
  return { contentType: 'text/plain', media: 'other' };
}

function readable(head: Buffer): string | null {
  if (head.includes(0)) return null;
  // A character may be cut at the end of what was read.
  const whole = new TextDecoder('utf-8', { fatal: false }).decode(head);
  return whole.slice(0, -1).includes('\uFFFD') ? null : whole;
}

async function headOf(file: string): Promise<Buffer> {
  const handle = await open(file);
  try {
    const { buffer, bytesRead } = await handle.read(Buffer.alloc(headBytes), 0, headBytes, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await handle.close();
  }
}
