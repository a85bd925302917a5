/**
 * Gatepost: the sign-in that the services share. A visitor without a key is sent here with a way back, signs in, and
 * returns with a ticket that the service turns into a cookie of its own.
 */
import { randomBytes } from 'node:crypto';
import express, { type Express, type Request, type Response } from 'express';
import { escapeHtml, page, type Dress } from './page.js';
import { speak, type Say } from './speech.js';

/** Made-up people with their keys; all of them belong to the school. */
export const people: Readonly<Record<string, string>> = {
  'Maren Dallow': 'oyster',
  'Tobiah Quill': 'bookend',
  'Ysolde Marrick': 'reed',
};

const dress: Dress = {
  service: 'Gatepost',
  banner: '<b>Gatepost</b>',
  css: `body{margin:0;background:#3b2f2a;color:#f3e9df;font:17px/1.5 Georgia,serif}header{padding:18px 28px;letter-spacing:.2em;text-transform:uppercase}
main{max-width:420px;margin:5vh auto;background:#f3e9df;color:#3b2f2a;padding:30px;border-top:10px solid #a4552b}
label{display:block;margin:14px 0 4px}input{width:100%;box-sizing:border-box;font:inherit;padding:8px;border:1px solid #3b2f2a;background:#fff}
button{margin-top:18px;font:inherit;padding:9px 20px;background:#a4552b;color:#fff;border:0}a{color:#7a3d1c}.wrong{color:#9b1c1c}`,
};

export class Gatepost {
  private readonly tickets = new Map<string, string>();
  private readonly visits = new Map<string, string>();

  constructor(private readonly origin: string) {}

  /** Where a visitor without a key is sent. `ownHouse`: told that the door is for the school's people. */
  comeInAddress(back: string, ownHouse = false): string {
    return `${this.origin}/come-in?${ownHouse ? 'house=own&' : ''}back=${encodeURIComponent(back)}`;
  }

  /** Who the visitor of a service is; null for a stranger. */
  visitor(request: Request): string | null {
    const cookie = /(?:^|;\s*)visit=([a-f0-9]+)/.exec(request.headers.cookie ?? '')?.[1];
    return cookie === undefined ? null : (this.visits.get(cookie) ?? null);
  }

  /** The service's side of coming back: ticket in, cookie out, on to the page. */
  arrive(request: Request, response: Response): void {
    const ticket = String(request.query.ticket ?? '');
    const name = this.tickets.get(ticket);
    this.tickets.delete(ticket);
    const back = String(request.query.back ?? '/');
    if (name !== undefined) {
      const visit = randomBytes(16).toString('hex');
      this.visits.set(visit, name);
      response.append('Set-Cookie', `visit=${visit}; Path=/; HttpOnly; SameSite=Lax`);
    }
    response.redirect(back.startsWith('/') && !back.startsWith('//') ? back : '/');
  }

  /** Gatepost's own pages. */
  pages(): Express {
    const app = express();
    app.use(express.urlencoded({ extended: false, limit: '10kb' }));
    app.get(
      '/come-in',
      (request, response) =>
        void response.send(
          signInPage(String(request.query.back ?? ''), false, request.query.house === 'own', speak(request)),
        ),
    );
    app.post(
      '/come-in',
      (request: Request<Record<string, string>, unknown, { name?: string; key?: string; back?: string }>, response) => {
        const { name = '', key = '', back = '' } = request.body;
        if (people[name] !== key || !isNeighbour(back)) {
          response.status(200).send(signInPage(back, true, false, speak(request)));
          return;
        }
        const ticket = randomBytes(16).toString('hex');
        this.tickets.set(ticket, name);
        const target = new URL(back);
        response.redirect(
          `${target.origin}/arrive?ticket=${ticket}&back=${encodeURIComponent(target.pathname + target.search)}`,
        );
      },
    );
    app.get('/ask-for-a-key', (request, response) => {
      const say = speak(request);
      response.send(
        page(
          dress,
          say('askForKey'),
          `<h1>${say('askForKey')}</h1><p>Your request was sent. The owner answers by hand.</p>`,
          say.language,
        ),
      );
    });
    return app;
  }
}

function isNeighbour(address: string): boolean {
  try {
    return new URL(address).hostname.endsWith('.localhost');
  } catch {
    return false;
  }
}

function signInPage(back: string, wrong: boolean, ownHouse: boolean, say: Say): string {
  return page(
    dress,
    `${say('signIn')} · Gatepost`,
    `<h1>${say('whoGoesThere')}</h1>${ownHouse ? `<p>${say('ownHouse')}</p>` : ''}${wrong ? `<p class="wrong">${say('wrongKey')}</p>` : ''}
<form method="post" action="/come-in"><input type="hidden" name="back" value="${escapeHtml(back)}">
<label for="name">${say('name')}</label><input id="name" name="name" autocomplete="username">
<label for="key">${say('key')}</label><input id="key" name="key" type="password" autocomplete="current-password">
<button>${say('signIn')}</button></form><p><a href="/ask-for-a-key">${say('askForKey')}</a></p>
<p><small>For the demonstration: Maren Dallow has the key <i>oyster</i>.</small></p>`,
    say.language,
  );
}
