/** What a student reads where a short link leads nowhere: why, and what to do. No account, no cookie, no script. */
import type { ServerResponse } from 'node:http';
import { Injectable } from '@nestjs/common';
import { groupedSlug, type OpenState } from '@hapset/core';
import escape from 'escape-html';
import { goneHtml, plainPageHtml } from '../student-page/student-page.html.js';
import { awayHtml, awayPolicy } from '../../platform/problem/away-page.js';
import { StudentAssets } from '../student-page/student-assets.js';
import { RedirectTable } from '../../code/short-link/redirect-table.js';

// Without form-action: browsers hold it against the page that the form is redirected to, and that is the very point here.
const policy =
  "default-src 'none'; font-src 'self'; style-src 'unsafe-inline'; frame-ancestors 'none'; base-uri 'none'";

type Closed = Extract<OpenState, { open: false }>['reason'];

const closedWords: Readonly<Record<Closed, readonly [string, string]>> = {
  'not-yet': ['This is not open yet', 'Your teacher opens it later. Come back then.'],
  over: ['This is over', 'It was open for a certain time, and that time has passed. Ask your teacher.'],
  'other-hours': ['This is closed just now', 'It opens at certain hours. Come back then, or ask your teacher.'],
};

@Injectable()
export class ShortLinkPages {
  constructor(
    private readonly table: RedirectTable,
    private readonly assets: StudentAssets,
  ) {}

  gone(response: ServerResponse): void {
    this.send(response, 410, goneHtml('withdrawn', this.schoolName(), this.assets.get()));
  }

  closed(response: ServerResponse, reason: Closed): void {
    const [title, words] = closedWords[reason];
    this.send(response, 403, this.page(title, `<p class="lead">${escape(words)}</p>`));
  }

  /** @param meant the one short link that a slip of one character makes it; null where there is none or several */
  unknown(response: ServerResponse, meant: string | null): void {
    const hint =
      meant === null
        ? '<p class="lead">Look at the paper once more and type it again.</p>'
        : `<p class="lead">One character is off. Did you mean <a class="open" href="/K/${escape(meant)}">${escape(groupedSlug(meant))}</a>?</p>`;
    const again =
      '<form action="/K/" method="get"><label>The last part of the address <input name="s" autocomplete="off" autocapitalize="characters" spellcheck="false" maxlength="14"></label> <button>Open it</button></form>';
    this.send(response, 404, this.page('There is nothing at this address', hint + again));
  }

  /** The database can't be asked whether there is such an address. */
  away(response: ServerResponse): void {
    response.writeHead(503, {
      'Content-Type': 'text/html; charset=utf-8',
      'Content-Security-Policy': awayPolicy,
      'Cache-Control': 'no-store',
      'Retry-After': '5',
    });
    response.end(awayHtml);
  }

  /** Too many addresses of nothing came from there: nothing more is looked up for a while. */
  tooMany(response: ServerResponse): void {
    this.send(
      response,
      429,
      this.page(
        'Wait a moment',
        '<p class="lead">Too many wrong addresses came from your network. Wait a minute, look at the paper once more and type it again.</p>',
      ),
    );
  }

  private page(title: string, body: string): string {
    return plainPageHtml(title, body, this.schoolName(), this.assets.get());
  }

  private schoolName(): string {
    return this.table.school?.name ?? '';
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
