/** What a phone shows that scanned the code of the setup: it reached the school's server. No account, no cookie, no script. */
import { Controller, Get, Param, Req, Res } from '@nestjs/common';
import { studentTexts } from '@hapset/student-texts';
import escape from 'escape-html';
import type { Request, Response } from 'express';
import { askedLanguage } from '../../platform/language/asked-language.js';
import { deviceNameOf } from '../../school/account/device-name.js';
import { ArrivalService } from '../../school/arrival/arrival.service.js';
import { Anyone } from '../../school/rights/access.decorators.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { VisitorAddress } from '../../school/visitor/visitor-address.js';
import { StudentAssets } from '../student-page/student-assets.js';
import { plainFontsAt, plainPageHtml } from '../student-page/student-frame.html.js';

const policy =
  "default-src 'none'; font-src 'self'; style-src 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'";

@Controller('p/arrivals')
export class ArrivalPageController {
  constructor(
    private readonly arrivals: ArrivalService,
    private readonly addresses: VisitorAddress,
    private readonly school: SchoolService,
    private readonly assets: StudentAssets,
  ) {}

  @Anyone()
  @Get(':arrivalToken')
  async page(@Param('arrivalToken') token: string, @Req() request: Request, @Res() response: Response): Promise<void> {
    const userAgent = request.headers['user-agent'] ?? '';
    const by = `${request.protocol}://${request.headers.host ?? ''}`;
    const counts = /^[0-9a-f]{18}$/.test(token)
      ? await this.arrivals.note(
          token,
          { address: this.addresses.find(request), userAgent },
          { by, device: deviceNameOf(userAgent) },
        )
      : null;
    const school = await this.school.get();
    const asked = askedLanguage(request, school.language);
    const t = studentTexts(asked.tag);
    const [title, why] = counts === null ? (['missing', 'missingWhy'] as const) : wordsOf(counts);
    const html = plainPageHtml(
      { school, asked, assets: this.assets.get(), fontsAt: plainFontsAt },
      t(title),
      `<p class="lead">${escape(t(why))}</p>`,
    );
    response
      .status(counts === null ? 404 : 200)
      .set({
        'Content-Type': 'text/html; charset=utf-8',
        'Content-Security-Policy': policy,
        'X-Robots-Tag': 'noindex',
        'Referrer-Policy': 'no-referrer',
        'Cache-Control': 'no-store',
      })
      .send(html);
  }
}

function wordsOf(counts: boolean): readonly ['arrived', 'arrivedWhy'] | readonly ['sameDevice', 'sameDeviceWhy'] {
  return counts ? ['arrived', 'arrivedWhy'] : ['sameDevice', 'sameDeviceWhy'];
}
