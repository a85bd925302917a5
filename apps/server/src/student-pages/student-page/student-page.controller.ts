/** What students see when they scan the code of something that is kept here: no account, no cookie, one trip. */
import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import type { FileView } from '@hapset/contract';
import { filesOf, pageAddress } from '@hapset/core';
import type { Request, Response } from 'express';
import { dayIn } from '../../platform/clock/day-in.js';
import { Clock } from '../../platform/clock/clock.js';
import { FileService } from '../../gather/file/file.service.js';
import { toFileView } from '../../gather/file/file.view.js';
import { toKeptView } from '../../gather/material/material-views.js';
import { Anyone } from '../../school/rights/access.decorators.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { TryoutService } from '../../reads/tryout-results/tryout.service.js';
import { goneHtml, studentPageHtml, type GoneReason } from './student-page.html.js';
import { StudentAssets } from './student-assets.js';
import { MaterialService } from '../../gather/material/material.service.js';

const policy =
  "default-src 'none'; script-src 'self'; worker-src 'self' blob:; connect-src 'self'; img-src 'self' data: blob:; media-src 'self'; font-src 'self'; style-src 'self' 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'";

@Controller('p')
export class StudentPageController {
  constructor(
    private readonly materials: MaterialService,
    private readonly files: FileService,
    private readonly school: SchoolService,
    private readonly assets: StudentAssets,
    private readonly tryouts: TryoutService,
    private readonly clock: Clock,
  ) {}

  @Get(':pageToken')
  @Anyone()
  async page(@Param('pageToken') token: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const [material, school] = await Promise.all([
      /^[a-z0-9]{16}$/.test(token) ? this.materials.findByPageToken(token) : null,
      this.school.get(),
    ]);
    const assets = this.assets.get();
    response.set({
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': policy,
      'X-Robots-Tag': 'noindex',
      'Referrer-Policy': 'no-referrer',
      'Cache-Control': 'no-cache',
    });
    const gone = (reason: GoneReason, status: number): void =>
      void response.status(status).send(goneHtml(reason, school.name, assets));
    if (!material?.kept) return gone('missing', 404);
    if (material.removedAt) return gone('withdrawn', 410);
    if (material.shownUntil !== null && dayIn(school.timeZone, this.clock.now()) > material.shownUntil)
      return gone('expired', 410);
    const found = await this.files.byIds(filesOf(material.kept));
    const fileOf = (id: string): FileView | null => {
      const file = found.get(id);
      return file && file.removedAt === null ? toFileView(file) : null;
    };
    const kept = toKeptView(material.kept, fileOf);
    if (!kept) return gone('withdrawn', 410);
    const document = material.kept.kind === 'written-page' ? material.kept.document : null;
    const own = pageAddress(school.publicAddress, token);
    const html = studentPageHtml({
      title: material.title,
      schoolName: school.name,
      address: own,
      kept,
      document,
      fileOf,
      assets,
    });
    response.set(
      'ETag',
      `"${material.id}-${material.version}-${[...found.values()].map((file) => file.version).join('.')}-${school.version}"`,
    );
    if (request.method === 'GET') await this.tryouts.pageFetched(material.id);
    if (request.fresh) response.status(304).end();
    else response.send(html);
  }
}
