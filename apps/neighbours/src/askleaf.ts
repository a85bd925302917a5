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
  const find = (request: Request): Ask | undefined => {
    const slug = String(request.params.slug);
    return Object.hasOwn(cupboard.contents.asks, slug) ? cupboard.contents.asks[slug] : undefined;
  };
  app.get('/', (_request, response) => void response.send(page(dress, 'Askleaf', '<h1>Ask away</h1>')));
  app.get('/arrive', (request, response) => gatepost.arrive(request, response));

  app.get('/ask/:slug', (request, response) => {
    const say = speak(request);
    const ask = find(request);
    if (!ask)
      return void response
        .status(404)
        .send(page(dress, say('noSuchLeaf'), `<h1>${say('noSuchLeaf')}</h1>`, say.language));
    switch (entrance(ask, gatepost.visitor(request))) {
      case 'enter':
        return void response.send(
          refusal(ask) === null
            ? askPage(ask, say)
            : page(
                dress,
                ask.title,
                `<h1>${escapeHtml(ask.title)}</h1><div class="q">${say(refusal(ask) ?? 'noMoreAnswers')}</div>`,
                say.language,
              ),
        );
      case 'over':
        return void response.send(
          page(
            dress,
            say('over'),
            `<h1>${say('over')}</h1><p>${say('overSince')} ${ask.until ?? ''}.</p>`,
            say.language,
          ),
        );
      case 'to-the-gate':
        return response.redirect(gatepost.comeInAddress(fullAddress(request)));
      case 'ask':
      case 'forbidden':
        return void response
          .status(403)
          .send(page(dress, say('notOnList'), `<h1>${say('notOnList')}</h1>`, say.language));
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

  // Where its owner builds it and reads what was answered. Strangers are sent to the gate.
  app.get(['/ask/:slug/build', '/ask/:slug/heard', '/sheet/:slug'], (request, response) => {
    const ask = find(request);
    if (!ask) return void response.status(404).type('text/plain').send('No such leaf.');
    if (ownerOnly(ask, gatepost, request, response))
      response.send(page(dress, ask.title, `<h1>${escapeHtml(ask.title)}</h1><p>${ask.answers} answers so far.</p>`));
  });

  app.get('/ask/:slug/who', (request, response) => {
    const ask = find(request);
    if (!ask) return void response.status(404).type('text/plain').send('No such leaf.');
    if (ownerOnly(ask, gatepost, request, response)) response.send(whoPage(ask));
  });
  app.post(
    '/ask/:slug/who',
    (
      request: Request<
        Record<string, string>,
        unknown,
        { door?: string; until?: string; taking?: string; limit?: string; once?: string }
      >,
      response: Response,
    ) => {
      const ask = find(request);
      if (!ask || !ownerOnly(ask, gatepost, request, response)) return;
      if (request.body.taking !== undefined) ask.taking = request.body.taking === 'yes';
      if (request.body.limit !== undefined)
        [ask.limit, ask.once] = [
          Number(request.body.limit) > 0 ? Number(request.body.limit) : null,
          request.body.once === 'on',
        ];
      setDoor(ask, request.body.door, request.body.until, cupboard);
      response.redirect(request.path);
    },
  );
  return app;
}

/** Why it takes no answer now; null while it does. */
function refusal({ taking, limit, answers }: Ask): 'noMoreAnswers' | 'enoughAnswers' | null {
  if (!taking) return 'noMoreAnswers';
  return limit !== null && answers >= limit ? 'enoughAnswers' : null;
}

function askPage(ask: Ask, say: Say): string {
  const questions = ask.questions
    .map(
      (question, index) =>
        `<div class="q"><label for="q${index}">${escapeHtml(question)}</label><input type="text" id="q${index}" name="q${index}"></div>`,
    )
    .join('');
  return page(
    dress,
    ask.title,
    `<h1>${escapeHtml(ask.title)}</h1><p>${escapeHtml(ask.about)}${ask.once ? ` ${say('onceEach')}` : ''}</p><form method="post">${questions}<button>${say('handIn')}</button></form>`,
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
