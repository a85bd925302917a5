/** Askleaf: forms. Open or closed; its owner decides who may answer. */
import express, { type Express, type Request, type Response } from 'express';
import type { Ask } from './contents.js';
import type { Cupboard } from './cupboard.js';
import { doorChoices, entrance, fullAddress, ownerOnly, setDoor } from './doors.js';
import type { Gatepost } from './gatepost.js';
import { escapeHtml, page, type Dress } from './page.js';
import { speak, type Say } from './speech.js';

const dress: Dress = {
  service: 'Askleaf',
  banner: '<b>askleaf</b>',
  css: `body{margin:0;background:#f4ecf7;color:#2e1a39;font:17px/1.5 "Century Gothic",Futura,sans-serif}header{padding:20px;text-align:center;font-size:22px;color:#7b3f98}
main{max-width:560px;margin:0 auto 40px;padding:0 20px}.q{background:#fff;border-radius:18px;padding:16px 22px;margin:14px 0}
label{display:block;margin-bottom:6px}input[type=text]{width:100%;box-sizing:border-box;font:inherit;padding:8px;border:0;border-bottom:2px solid #7b3f98}
button{font:inherit;padding:10px 24px;border-radius:22px;border:0;background:#7b3f98;color:#fff}`,
};

export function askleaf(cupboard: Cupboard, gatepost: Gatepost): Express {
  const app = express();
  app.use(express.urlencoded({ extended: false, limit: '100kb' }));
  const find: Find = (request) => {
    const slug = String(request.params.slug);
    return Object.hasOwn(cupboard.contents.asks, slug) ? cupboard.contents.asks[slug] : undefined;
  };
  app.get('/', (_request, response) => void response.send(page(dress, 'Askleaf', '<h1>Ask away</h1>')));
  app.get('/arrive', (request, response) => gatepost.arrive(request, response));
  servePublic(app, cupboard, gatepost, find);
  serveOwner(app, cupboard, gatepost, find);
  return app;
}

type Find = (request: Request) => Ask | undefined;

/** What whoever has the link gets. */
function servePublic(app: Express, cupboard: Cupboard, gatepost: Gatepost, find: Find): void {
  app.get('/ask/:slug', (request, response) => {
    const say = speak(request);
    const ask = find(request);
    if (!ask) return void response.status(404).send(titled(say('noSuchLeaf'), say));
    switch (entrance(ask, gatepost.visitor(request))) {
      case 'enter':
        return void response.send(askPage(ask, say));
      case 'over':
        return void response.send(titled(say('over'), say, `<p>${say('overSince')} ${ask.until ?? ''}.</p>`));
      case 'to-the-gate':
        return response.redirect(gatepost.comeInAddress(fullAddress(request)));
      case 'ask':
      case 'forbidden':
        return void response.status(403).send(titled(say('notOnList'), say));
    }
  });
  app.post('/ask/:slug', (request, response) => {
    const ask = find(request);
    if (!ask || refusal(ask) !== null || entrance(ask, gatepost.visitor(request)) !== 'enter')
      return void response.status(409).type('text/plain').send('Not taken.');
    ask.answers += 1;
    cupboard.save();
    response.send(page(dress, ask.title, '<h1>Your answers are pressed between the pages</h1>'));
  });
}

type WhoRequest = Request<
  Record<string, string>,
  unknown,
  { door?: string; until?: string; taking?: string; limit?: string; once?: string }
>;

/** Where its owner builds it, reads what was answered, and says who may answer. Strangers are sent to the gate. */
function serveOwner(app: Express, cupboard: Cupboard, gatepost: Gatepost, find: Find): void {
  const forOwner = (request: Request, response: Response, show: (ask: Ask) => string): void => {
    const ask = find(request);
    if (!ask) return void response.status(404).type('text/plain').send('No such leaf.');
    if (ownerOnly(ask, gatepost, request, response)) response.send(show(ask));
  };
  app.get(['/ask/:slug/build', '/ask/:slug/heard', '/sheet/:slug'], (request, response) =>
    forOwner(request, response, (ask) =>
      page(dress, ask.title, `<h1>${escapeHtml(ask.title)}</h1><p>${ask.answers} answers so far.</p>`),
    ),
  );
  app.get('/ask/:slug/who', (request, response) => forOwner(request, response, whoPage));
  app.post('/ask/:slug/who', (request: WhoRequest, response: Response) => {
    const ask = find(request);
    if (!ask || !ownerOnly(ask, gatepost, request, response)) return;
    const { taking, limit, once, door, until } = request.body;
    if (taking !== undefined) ask.taking = taking === 'yes';
    if (limit !== undefined) [ask.limit, ask.once] = [Number(limit) > 0 ? Number(limit) : null, once === 'on'];
    setDoor(ask, door, until, cupboard);
    response.redirect(request.path);
  });
}

function titled(title: string, say: Say, more = ''): string {
  return page(dress, title, `<h1>${title}</h1>${more}`, say.language);
}

/** Why it takes no answer now; null while it does. */
function refusal({ taking, limit, answers }: Ask): 'noMoreAnswers' | 'enoughAnswers' | null {
  if (!taking) return 'noMoreAnswers';
  return limit !== null && answers >= limit ? 'enoughAnswers' : null;
}

function askPage(ask: Ask, say: Say): string {
  const why = refusal(ask);
  const title = escapeHtml(ask.title);
  if (why !== null) return page(dress, ask.title, `<h1>${title}</h1><div class="q">${say(why)}</div>`, say.language);
  const questions = ask.questions
    .map(
      (question, index) =>
        `<div class="q"><label for="q${index}">${escapeHtml(question)}</label><input type="text" id="q${index}" name="q${index}"></div>`,
    )
    .join('');
  return page(
    dress,
    ask.title,
    `<h1>${title}</h1><p>${escapeHtml(ask.about)}${ask.once ? ` ${say('onceEach')}` : ''}</p><form method="post">${questions}<button>${say('handIn')}</button></form>`,
    say.language,
  );
}

function whoPage(ask: Ask): string {
  const taking = ask.taking ? ['no', 'Take no more answers'] : ['yes', 'Take answers again'];
  return page(
    dress,
    `Who may answer: ${ask.title}`,
    `<h1>${escapeHtml(ask.title)}</h1><p>${ask.answers} answers so far.</p><form method="post" class="q"><h2>Who may answer</h2>${doorChoices(ask)}
<p><label>So many answers <input type="number" name="limit" min="0" value="${ask.limit ?? ''}"></label> (empty: any number)</p><p><label><input type="checkbox" name="once"${ask.once ? ' checked' : ''}> One answer each</label></p><button>Keep</button></form>
<form method="post" class="q"><button name="taking" value="${taking[0] ?? ''}">${taking[1] ?? ''}</button></form>`,
  );
}
