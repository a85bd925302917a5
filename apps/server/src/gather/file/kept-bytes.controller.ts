/** Kept bytes for everybody who has the address: streamed with ranges, and harmless whatever they are. */
import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import { create as contentDisposition } from 'content-disposition';
import type { Request, Response } from 'express';
import parseRange from 'range-parser';
import { pipeline } from 'node:stream/promises';
import { SessionService } from '../../school/account/session.service.js';
import { Clock } from '../../platform/clock/clock.js';
import { dayIn } from '../../platform/clock/day-in.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { tokenOf } from '../../school/rights/session-cookie.js';
import { Anyone } from '../../school/rights/access.decorators.js';
import { notFound } from '../../platform/problem/problem.js';
import { Storage } from '../../platform/storage/storage.js';
import { FileService } from './file.service.js';
import type { KeptFile } from './kept-file.entity.js';
import { type StoredContent } from './stored-content.entity.js';
import { variantNames } from '../../platform/storage/variant-name.js';

/** Shown in the browser; everything else is saved. None of them can run anything. */
const shown: readonly StoredContent['media'][] = ['picture', 'sound', 'film', 'pdf', 'captions'];

@Controller('k')
export class KeptBytesController {
  constructor(
    private readonly files: FileService,
    private readonly storage: Storage,
    private readonly sessions: SessionService,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  @Get(':fileToken')
  @Anyone()
  async whole(@Param('fileToken') token: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const file = await this.openFile(token, request);
    const { hash, contentType, sizeBytes, media } = file.content;
    await this.send(
      { key: hash, contentType, sizeBytes, inline: shown.includes(media), name: file.name },
      request,
      response,
    );
  }

  /** A size for phones, or the PDF of an office file. */
  @Get(':fileToken/:variant')
  @Anyone()
  async variant(
    @Param('fileToken') token: string,
    @Param('variant') name: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const file = await this.openFile(token, request);
    const variant = file.content.variants.find((candidate) => candidate.name === name);
    if (!variant || !variantNames.some((known) => known === name)) throw notFound('file');
    const { key, contentType, sizeBytes } = variant;
    await this.send(
      { key, contentType, sizeBytes, inline: true, name: nameOfVariant(file, contentType) },
      request,
      response,
    );
  }

  /** For everybody while a page shows it; for its owner always. @throws ProblemError not-found */
  private async openFile(token: string, request: Request): Promise<KeptFile> {
    const file = await this.files.byToken(/^[a-z0-9]{16}$/.test(token) ? token : '');
    const { timeZone } = await this.school.get();
    if (await this.files.isShown(file.id, dayIn(timeZone, this.clock.now()))) return file;
    const session = tokenOf(request);
    const who = session === null ? null : await this.sessions.accountOf(session);
    if (who?.id !== file.ownerId) throw notFound('file');
    return file;
  }

  private async send(
    { key, contentType, sizeBytes, inline, name }: Sent,
    request: Request,
    response: Response,
  ): Promise<void> {
    response.set({
      'Content-Type': contentType === 'text/plain' ? 'text/plain; charset=utf-8' : contentType,
      'Content-Disposition': contentDisposition(name, { type: inline ? 'inline' : 'attachment' }),
      'X-Content-Type-Options': 'nosniff',
      'X-Robots-Tag': 'noindex',
      'Accept-Ranges': 'bytes',
      // The address stays when the content is replaced: always asked for again, seldom sent again.
      'Cache-Control': 'no-cache',
      ETag: `"${key}"`,
    });
    // A browser's own PDF viewer does not start inside a sandbox; a PDF's scripts do not run in this origin anyway.
    if (contentType !== 'application/pdf')
      response.set('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
    if (request.fresh) return void response.status(304).end();
    const range = rangeOf(request, sizeBytes);
    if (range === 'unsatisfiable') return void response.status(416).set('Content-Range', `bytes */${sizeBytes}`).end();
    if (range) response.status(206).set('Content-Range', `bytes ${range.start}-${range.end}/${sizeBytes}`);
    response.set('Content-Length', String(range ? range.end - range.start + 1 : sizeBytes));
    if (request.method === 'HEAD') return void response.end();
    await pipeline(this.storage.open(key, range ?? undefined), response).catch(() => response.destroy());
  }
}

interface Sent {
  readonly key: string;
  readonly contentType: string;
  readonly sizeBytes: number;
  readonly inline: boolean;
  readonly name: string;
}

/** One range is answered (RFC 9110, 14.2); several, or none that can be read, are answered with the whole. */
function rangeOf(request: Request, sizeBytes: number): { start: number; end: number } | 'unsatisfiable' | null {
  const { range } = request.headers;
  if (range === undefined) return null;
  const parsed = parseRange(sizeBytes, range);
  if (parsed === -1) return 'unsatisfiable';
  if (parsed === -2 || parsed.type !== 'bytes' || parsed.length !== 1) return null;
  const [first] = parsed;
  return first ? { start: first.start, end: first.end } : null;
}

function nameOfVariant({ name }: KeptFile, contentType: string): string {
  return name.replace(/\.[^.]*$/, '') + (contentType === 'application/pdf' ? '.pdf' : '.webp');
}
