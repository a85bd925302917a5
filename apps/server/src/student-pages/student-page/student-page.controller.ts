/** What students see when they scan the code of something that is kept here: no account, no cookie, one trip. */
import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { Anyone } from '../../school/rights/access.decorators.js';
import { TryoutService } from '../../reads/tryout-results/tryout.service.js';
import { ScriptFonts } from './script-fonts.js';
import { languageNames } from './student-frame.html.js';
import { StudentPages } from './student-pages.js';

const policy =
  "default-src 'none'; script-src 'self'; worker-src 'self' blob:; connect-src 'self'; img-src 'self' data: blob:; media-src 'self'; font-src 'self'; style-src 'self' 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'";

@Controller('p')
export class StudentPageController {
  constructor(
    private readonly pages: StudentPages,
    private readonly fonts: ScriptFonts,
    private readonly tryouts: TryoutService,
  ) {}

  @Get(':pageToken')
  @Anyone()
  async page(@Param('pageToken') token: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const { html, status, tag, materialId } = await this.pages.render(token, request);
    response.status(status).set({
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': policy,
      'X-Robots-Tag': 'noindex',
      'Referrer-Policy': 'no-referrer',
      'Cache-Control': 'no-cache',
      Vary: 'Accept-Language',
      ...(tag !== null && { ETag: tag }),
    });
    if (materialId !== null && request.method === 'GET') await this.tryouts.pageFetched(materialId);
    if (tag !== null && request.fresh) response.status(304).end();
    else response.send(html);
  }

  /** Letters of other scripts on pages that are no material's own. */
  @Get('fonts/:family.woff2')
  @Anyone()
  async plainFont(@Param('family') family: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const shown = request.query.names === undefined ? await this.pages.plainWords(request) : languageNames;
    this.sendFont(response, await this.fonts.get(family, shown));
  }

  /** Letters of other scripts on that page. */
  @Get(':pageToken/fonts/:family.woff2')
  @Anyone()
  async font(
    @Param('pageToken') token: string,
    @Param('family') family: string,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const { html, status } = await this.pages.render(token, request);
    this.sendFont(response, status === 200 ? await this.fonts.get(family, html) : null);
  }

  private sendFont(response: Response, font: Buffer | null): void {
    // Its address names what it holds.
    if (font) response.set({ 'Content-Type': 'font/woff2', 'Cache-Control': 'public, max-age=31536000, immutable' });
    response.status(font ? 200 : 404).send(font ?? '');
  }
}
