import { create as contentDisposition } from 'content-disposition';
import type { Response } from 'express';

export interface SentFile {
  readonly type: string;
  readonly name: string;
  readonly disposition: 'inline' | 'attachment';
}

/** Names the file in plain letters and in UTF-8 (RFC 6266); nothing stores it: it may name students. */
export function nameFile(response: Response, { type, name, disposition }: SentFile): Response {
  return response.set({
    'Content-Type': type,
    'Content-Disposition': contentDisposition(name, { type: disposition }),
    'Cache-Control': 'no-store',
  });
}
