/** What a student reads where a short link leads nowhere: why, and what to do. No account, no cookie, no script. */
import type { IncomingMessage, ServerResponse } from 'node:http';
import { Injectable } from '@nestjs/common';
import { groupedSlug, type OpenState } from '@hapset/core';
import { studentTexts, type StudentTextKey } from '@hapset/student-texts';
import escape from 'escape-html';
import { askedLanguage } from '../../platform/language/asked-language.js';
import { awayHtml, awayPolicy } from '../../platform/problem/away-page.js';
import { defaultLanguage } from '../../school/settings/school.service.js';
import { RedirectTable } from '../../code/short-link/redirect-table.js';
import { StudentAssets } from '../student-page/student-assets.js';
import { plainFontsAt, plainPageHtml, type Frame } from '../student-page/student-frame.html.js';
import { goneHtml } from '../student-page/student-page.html.js';

// Without form-action: browsers hold it against the page that the form is redirected to, and that is the very point here.
const policy =
  "default-src 'none'; font-src 'self'; style-src 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'";

const closedTexts = {
  'not-yet': ['notYet', 'notYetWhy'],
  over: ['over', 'overWhy'],
  'other-hours': ['otherHours', 'otherHoursWhy'],
} as const satisfies Record<Closed, readonly [StudentTextKey, StudentTextKey]>;
type Closed = Extract<OpenState, { open: false }>['reason'];

@Injectable()
export class ShortLinkPages {
  constructor(
    private readonly table: RedirectTable,
    private readonly assets: StudentAssets,
  ) {}

  gone(response: ServerResponse): void {
    this.send(response, 410, goneHtml('withdrawn', this.frame(response.req)));
  }

  closed(response: ServerResponse, reason: Closed): void {
    const [title, why] = closedTexts[reason];
    this.send(
      response,
      403,
      this.page(response.req, title, (t) => lead(t(why))),
    );
  }

  /** @param meant the one short link that a slip of one character makes it; null where there is none or several */
  unknown(response: ServerResponse, meant: string | null): void {
    const { chosen, tag } = this.frame(response.req).asked;
    const kept = chosen ? `<input type="hidden" name="lang" value="${tag}">` : '';
    const address = meant === null ? '' : `/K/${escape(meant)}${chosen ? `?lang=${tag}` : ''}`;
    const body = (t: StudentText): string =>
      `${
        meant === null
          ? lead(t('lookAgain'))
          : `<p class="lead">${escape(t('didYouMean'))} <a class="open" href="${address}" dir="ltr">${escape(groupedSlug(meant))}</a></p>`
      }<form action="/K/" method="get"><label>${escape(t('lastPart'))} <input name="s" dir="ltr" autocomplete="off" autocapitalize="characters" spellcheck="false" maxlength="14"></label>${kept} <button>${escape(t('open'))}</button></form>`;
    this.send(response, 404, this.page(response.req, 'missing', body));
  }

  /** The database can't be asked whether there is such an address. */
  away(response: ServerResponse): void {
    response.writeHead(503, {
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': awayPolicy,
      'Cache-Control': 'no-store',
      'Retry-After': '5',
    });
    response.end(awayHtml(response.req));
  }

  /** Too many addresses of nothing came from there: nothing more is looked up for a while. */
  tooMany(response: ServerResponse): void {
    this.send(
      response,
      429,
      this.page(response.req, 'waitAMoment', (t) => lead(t('tooMany'))),
    );
  }

  private page(request: IncomingMessage, title: StudentTextKey, body: (t: StudentText) => string): string {
    const frame = this.frame(request);
    const t = studentTexts(frame.asked.tag);
    return plainPageHtml(frame, t(title), body(t));
  }

  private frame(request: IncomingMessage): Frame {
    const school = this.table.school ?? { name: '', language: defaultLanguage };
    return {
      school,
      asked: askedLanguage(request, school.language),
      assets: this.assets.get(),
      fontsAt: plainFontsAt,
    };
  }

  private send(response: ServerResponse, status: number, html: string): void {
    response.writeHead(status, {
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': policy,
      'X-Robots-Tag': 'noindex',
      'Referrer-Policy': 'no-referrer',
      'X-Content-Type-Options': 'nosniff',
      'Cache-Control': 'no-store',
    });
    response.end(html);
  }
}

type StudentText = ReturnType<typeof studentTexts>;

function lead(words: string): string {
  return `<p class="lead">${escape(words)}</p>`;
}
