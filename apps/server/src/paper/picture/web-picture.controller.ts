/** A code for web pages of others: from an address that nobody guesses, for every origin, always as the code is now. */
import { createHash } from 'node:crypto';
import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { Anyone } from '../../school/rights/access.decorators.js';
import { notFound } from '../../platform/problem/problem.js';
import { codePicture, contentTypes, type CodeToDraw } from './code-picture.js';
import { webPixelsPerModule } from './picture.view.js';
import { PictureService } from './picture.service.js';

const kept = 200;

@Controller('c')
export class WebPictureController {
  /** The last ones drawn, by what was drawn: a class that opens a page asks thirty times. */
  private readonly drawn = new Map<string, Buffer>();

  constructor(private readonly pictures: PictureService) {}

  @Get(':pictureName')
  @Anyone()
  async picture(
    @Param('pictureName') pictureName: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const [, token = '', format] = /^([a-z0-9]{1,40})\.(png|svg)$/.exec(pictureName) ?? [];
    if (format !== 'png' && format !== 'svg') throw notFound('picture');
    const code = await this.pictures.shown(token);
    const tag = createHash('sha256')
      .update(JSON.stringify([format, code.name, code.drawing]))
      .digest('base64url');
    response.set({
      'Content-Type': contentTypes[format],
      'Access-Control-Allow-Origin': '*',
      'Cross-Origin-Resource-Policy': 'cross-origin',
      'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
      'Cache-Control': 'no-cache',
      'X-Robots-Tag': 'noindex',
      ETag: `"${tag}"`,
    });
    if (request.fresh) return void response.status(304).end();
    response.send(await this.draw(tag, code, format));
  }

  private async draw(tag: string, code: CodeToDraw, format: 'png' | 'svg'): Promise<Buffer> {
    const before = this.drawn.get(tag);
    if (before) return before;
    const made = await codePicture(code, format, { sizeMm: null, pixelsPerModule: webPixelsPerModule });
    const oldest = this.drawn.keys().next();
    if (this.drawn.size >= kept && !oldest.done) this.drawn.delete(oldest.value);
    this.drawn.set(tag, made);
    return made;
  }
}
