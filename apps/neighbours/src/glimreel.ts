/** Glimreel: moving pictures. Its owner decides whether it is shown to all, to whoever has the link, or to nobody, and what comes before it. */
import express, { type Express, type Request, type Response } from 'express';
import type { Before, Reel, Showing } from './contents.js';
import type { Cupboard } from './cupboard.js';
import type { Drawing } from './drawn.js';
import { ownerOnly } from './doors.js';
import type { Gatepost } from './gatepost.js';
import { escapeHtml, page, type Dress } from './page.js';
import { speak, type Say } from './speech.js';

const dress: Dress = {
  service: 'Glimreel',
  banner: '<i>glim</i>reel',
  css: `body{margin:0;background:#10151c;color:#e9e2cf;font:16px/1.55 "Segoe UI",Tahoma,sans-serif}header{padding:12px 22px;font-size:24px;letter-spacing:-.02em;color:#f0b54a}
main{max-width:760px;margin:10px auto;padding:0 20px}svg{width:100%;height:auto;background:#1c2a38;border-radius:6px}fieldset{border:1px solid #3a4654;margin:0 0 14px}
button{font:inherit;padding:9px 20px;border:0;border-radius:3px;background:#f0b54a;color:#10151c;margin-right:8px}input{font:inherit}a{color:#f0b54a}`,
};

const showings: readonly (readonly [Showing, string])[] = [
  ['public', 'To everybody'],
  ['by-link', 'To whoever has the link'],
  ['dark', 'Kept in the dark'],
];
const befores: readonly (readonly [Before, string])[] = [
  ['nothing', 'Nothing'],
  ['candles', 'A question about candles (age)'],
  ['crumbs', 'A question about crumbs (cookies)'],
];

export function glimreel(cupboard: Cupboard, gatepost: Gatepost): Express {
  const app = express();
  app.use(express.urlencoded({ extended: false, limit: '10kb' }));
  const find = (request: Request): Reel | undefined => {
    const slug = String(request.params.slug);
    return Object.hasOwn(cupboard.contents.reels, slug) ? cupboard.contents.reels[slug] : undefined;
  };
  app.get('/', (_request, response) => {
    const listed = Object.entries(cupboard.contents.reels).filter(([, reel]) => reel.showing === 'public');
    response.send(
      page(
        dress,
        'Glimreel',
        `<h1>Now showing</h1><ul>${listed.map(([slug, reel]) => `<li><a href="/reel/${slug}">${escapeHtml(reel.title)}</a></li>`).join('')}</ul>`,
      ),
    );
  });
  app.get('/arrive', (request, response) => gatepost.arrive(request, response));

  serveReels(app, gatepost, find);

  app.get('/reel/:slug/desk', (request, response) => {
    const reel = find(request);
    if (!reel) return void response.status(404).type('text/plain').send('No such reel.');
    if (ownerOnly(reel, gatepost, request, response)) response.send(deskPage(reel));
  });
  app.post(
    '/reel/:slug/desk',
    (
      request: Request<Record<string, string>, unknown, { showing?: string; before?: string; embedding?: string }>,
      response: Response,
    ) => {
      const reel = find(request);
      if (!reel || !ownerOnly(reel, gatepost, request, response)) return;
      reel.showing = showings.find(([name]) => name === request.body.showing)?.[0] ?? reel.showing;
      reel.before = befores.find(([name]) => name === request.body.before)?.[0] ?? reel.before;
      reel.embedding = request.body.embedding === 'on';
      cupboard.save();
      response.redirect(request.path);
    },
  );
  return app;
}

/** What whoever has the link gets. */
function serveReels(app: Express, gatepost: Gatepost, find: (request: Request) => Reel | undefined): void {
  app.get('/reel/:slug', (request, response) => {
    const say = speak(request);
    const reel = find(request);
    if (!reel) return void response.send(page(dress, say('noReel'), `<h1>${say('noReel')}</h1>`, say.language));
    const passed = /(?:^|;\s*)passed=yes/.test(request.headers.cookie ?? '') || reel.before === 'nothing';
    const isDark = reel.showing === 'dark' && gatepost.visitor(request) !== reel.owner;
    (response.locals as Drawing).wall = isDark || !passed;
    if (isDark && reel.note !== undefined)
      return void response.send(page(dress, 'Glimreel', `<h1>${escapeHtml(reel.note)}</h1>`));
    if (isDark) {
      return void response.send(
        page(dress, say('keptDark'), `<h1>${say('keptDark')}</h1><p>${say('ownerAlone')}</p>`, say.language),
      );
    }
    if (!reel.embedding) response.setHeader('Content-Security-Policy', "frame-ancestors 'none'");
    response.send(passed ? reelPage(reel, say) : before(reel.before, say));
  });
  app.post('/reel/:slug', (request, response) => {
    response.setHeader('Set-Cookie', 'passed=yes; Path=/; SameSite=Lax');
    response.redirect(303, request.path);
  });
}

function before(kind: Before, say: Say): string {
  if (kind === 'candles')
    return page(
      dress,
      say('howMany'),
      `<h1>${say('howMany')}</h1><form method="post"><input type="number" name="candles" min="1" max="120"> <button>${say('showMe')}</button></form>`,
      say.language,
    );
  return page(
    dress,
    say('crumbs'),
    `<h1>${say('crumbs')}</h1><p>${say('crumbsAbout')}</p><form method="post"><button>${say('crumbsYes')}</button><button>${say('crumbsNo')}</button></form>`,
    say.language,
  );
}

/** The film is drawn: a limpet that walks up its rock and comes home. */
function reelPage({ title, owner, about }: Reel, say: Say): string {
  const film = `<svg viewBox="0 0 320 180" role="img" aria-label="${escapeHtml(title)}"><path d="M0 150 L320 90 V180 H0Z" fill="#5c4a3d"/><path d="M-22 0 A22 20 0 0 1 22 0Z" fill="#b9a58a"><animateMotion dur="8s" repeatCount="indefinite" path="M40 142 L250 103 L40 142"/></path></svg>`;
  return page(
    dress,
    title,
    `<h1>${escapeHtml(title)}</h1><p><small>A reel of ${escapeHtml(owner)}</small></p>${film}<p>${escapeHtml(about)}</p>`,
    say.language,
  );
}

function deskPage(reel: Reel): string {
  const radios = (name: string, choices: readonly (readonly [string, string])[], chosen: string): string =>
    choices
      .map(
        ([value, words]) =>
          `<p><label><input type="radio" name="${name}" value="${value}"${value === chosen ? ' checked' : ''}> ${escapeHtml(words)}</label></p>`,
      )
      .join('');
  return page(
    dress,
    `Cutting desk: ${reel.title}`,
    `<h1>${escapeHtml(reel.title)}</h1><form method="post"><fieldset><legend>Shown</legend>${radios('showing', showings, reel.showing)}</fieldset>
<fieldset><legend>What stands before it</legend>${radios('before', befores, reel.before)}</fieldset>
<p><label><input type="checkbox" name="embedding"${reel.embedding ? ' checked' : ''}> Other pages may frame it</label></p><button>Keep</button></form>`,
  );
}
