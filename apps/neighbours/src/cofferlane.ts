/** Cofferlane: leaves (documents) and crates (folders). Its owner decides who may look, and whether they may change it. */
import express, { type Express, type Request, type Response } from 'express';
import type { Crate, CrateItem, Leaf } from './contents.js';
import type { Cupboard } from './cupboard.js';
import { doorChoices, doorOf, entrance, fullAddress, ownerOnly, setDoor, type Entrance } from './doors.js';
import type { Drawing } from './drawn.js';
import type { Gatepost } from './gatepost.js';
import { escapeHtml, page, type Dress } from './page.js';
import { speak } from './speech.js';

const dress: Dress = {
  service: 'Cofferlane',
  banner: '<b>Cofferlane</b> <span>papers and boxes, well kept</span>',
  css: `body{margin:0;background:#e7efe6;color:#16302a;font:16px/1.6 "Trebuchet MS",Verdana,sans-serif}header{background:#1f5145;color:#e7efe6;padding:14px 24px}
header span{opacity:.7;margin-left:10px}main{max-width:640px;margin:26px auto;background:#fff;padding:26px 34px;border:1px solid #b9cdb9}
button{font:inherit;padding:8px 18px;background:#1f5145;color:#fff;border:0}a{color:#1f5145}textarea{width:100%;min-height:160px;font:inherit}`,
};

type Shelf = 'leaf' | 'crate';

export function cofferlane(cupboard: Cupboard, gatepost: Gatepost): Express {
  const app = express();
  app.use(express.urlencoded({ extended: false, limit: '100kb' }));
  const find: Find = (request) => {
    const { leaves, crates } = cupboard.contents;
    const shelf: Record<string, Leaf | Crate> =
      request.params.shelf === 'leaf' ? leaves : request.params.shelf === 'crate' ? crates : {};
    return Object.hasOwn(shelf, String(request.params.slug)) ? shelf[String(request.params.slug)] : undefined;
  };
  const about = '<h1>Papers and boxes</h1><p>Put your papers on a leaf, your pictures in a crate.</p>';
  app.get('/', (_request, response) => void response.send(page(dress, 'Cofferlane', about)));
  app.get('/arrive', (request, response) => gatepost.arrive(request, response));
  app.get('/:shelf/:slug', (request, response) => {
    const kept = find(request);
    if (!kept) return nothing(request, response);
    const how = entrance(kept, gatepost.visitor(request));
    if (how !== 'enter') return shut(how, kept, gatepost, request, response);
    const { slug, shelf } = request.params;
    (response.locals as Drawing).skeleton = shelf === 'crate';
    response.send(contents(kept, String(slug), shelf as Shelf, speak(request).language));
  });
  serveLeaves(app, cupboard, gatepost);
  serveOwner(app, cupboard, gatepost, find);
  serveItems(app, cupboard, gatepost);
  return app;
}

type Find = (request: Request) => Leaf | Crate | undefined;

function nothing(request: Request, response: Response): void {
  const say = speak(request);
  const words = `<h1>${say('nothingOnShelf')}</h1><p>${say('movedOrNever')}</p>`;
  response.status(404).send(page(dress, say('nothingOnShelf'), words, say.language));
}

function shut(
  how: Exclude<Entrance, 'enter'>,
  { until, note }: Pick<Leaf, 'until' | 'note'>,
  gatepost: Gatepost,
  request: Request,
  response: Response,
): void {
  const say = speak(request);
  const gate = gatepost.comeInAddress(fullAddress(request));
  (response.locals as Drawing).wall = true;
  const send = (title: string, about: string, status = 200): void =>
    void response.status(status).send(page(dress, title, `<h1>${title}</h1>${about}`, say.language));
  switch (how) {
    case 'to-the-gate':
      return response.redirect(gate);
    case 'ask':
      if (note !== undefined) return send(escapeHtml(note), '');
      return send(
        say('askForKey'),
        `<p>${say('chosenLook')}</p><p><a href="${escapeHtml(gate)}">${say('haveKey')}</a></p>`,
      );
    case 'over':
      return send(say('over'), `<p>${say('overSince')} ${until ?? ''}.</p>`);
    case 'forbidden':
      return send(say('notOnList'), `<p>${say('ownerChose')}</p>`, 403);
  }
}

/** Pages of the owner's own: where it is written, and where somebody takes a copy. Strangers are sent to the gate. */
function serveLeaves(app: Express, cupboard: Cupboard, gatepost: Gatepost): void {
  app.get('/leaf/:slug/write', (request, response) => {
    const slug = String(request.params.slug);
    const kept = Object.hasOwn(cupboard.contents.leaves, slug) ? cupboard.contents.leaves[slug] : undefined;
    if (!kept) return void response.status(404).type('text/plain').send('Nothing on this shelf.');
    if (kept.mayChange || ownerOnly(kept, gatepost, request, response))
      response.send(contents({ ...kept, mayChange: true }, slug, 'leaf', speak(request).language));
  });
  app.get('/leaf/:slug/copy', (request, response) => response.redirect(gatepost.comeInAddress(fullAddress(request))));
  app.get('/leaf/:slug/glance', (request, response) => response.redirect(`/leaf/${request.params.slug}`));
}

type WhoRequest = Request<
  Record<string, string>,
  unknown,
  { door?: string; until?: string; mayChange?: string } & Record<string, string>
>;

/** Who may look, and whether they may change it. */
function serveOwner(app: Express, cupboard: Cupboard, gatepost: Gatepost, find: Find): void {
  app.get('/:shelf/:slug/who', (request, response) => {
    const kept = find(request);
    if (!kept) return void response.status(404).type('text/plain').send('Nothing on this shelf.');
    if (ownerOnly(kept, gatepost, request, response)) response.send(whoPage(kept));
  });
  app.post('/:shelf/:slug/who', (request: WhoRequest, response: Response) => {
    const kept = find(request);
    if (!kept || !ownerOnly(kept, gatepost, request, response)) return;
    kept.mayChange = request.body.mayChange === 'on';
    if ('items' in kept)
      kept.items.forEach((item, index) => (item.door = doorOf(request.body[`item${index}`]) ?? item.door));
    setDoor(kept, request.body.door, request.body.until, cupboard);
    response.redirect(request.path);
  });
}

/** An item of a crate, behind its crate's door and its own. */
function serveItems(app: Express, cupboard: Cupboard, gatepost: Gatepost): void {
  app.get('/crate/:slug/:item', (request, response) => {
    const { slug, item: name } = request.params;
    const crate = Object.hasOwn(cupboard.contents.crates, slug) ? cupboard.contents.crates[slug] : undefined;
    const item = crate?.items.find((each) => each.name === name);
    if (!crate || !item) return nothing(request, response);
    const visitor = gatepost.visitor(request);
    const hows = [entrance(crate, visitor), entrance({ ...crate, door: item.door }, visitor)];
    const how = hows.find((each) => each !== 'enter') ?? 'enter';
    if (how === 'enter') response.send(itemPage(item, crate.owner, speak(request).language));
    else shut(how, crate, gatepost, request, response);
  });
}

function contents(kept: Leaf | Crate, slug: string, shelf: Shelf, language: string): string {
  const inside =
    'paragraphs' in kept
      ? kept.paragraphs.map((paragraph) => `<p>${escapeHtml(paragraph)}</p>`).join('')
      : `<ul>${kept.items.map((item) => `<li><a href="/crate/${encodeURIComponent(slug)}/${encodeURIComponent(item.name)}">${escapeHtml(item.name)}</a> ${escapeHtml(item.about)}</li>`).join('')}</ul>`;
  const change = kept.mayChange
    ? '<form method="post" action="#"><textarea name="text" aria-label="Change this leaf"></textarea><button>Keep the change</button></form>'
    : '';
  return page(
    dress,
    kept.title,
    `<h1>${escapeHtml(kept.title)}</h1><p><small>A ${shelf} of ${escapeHtml(kept.owner)}</small></p>${inside}${change}`,
    language,
  );
}

/** A picture, drawn from its name. */
function itemPage({ name, about }: CrateItem, owner: string, language: string): string {
  const hue = [...name].reduce((sum, character) => sum + character.charCodeAt(0) * 7, 0) % 360;
  const picture = `<svg viewBox="0 0 320 200" role="img" aria-label="${escapeHtml(about)}"><rect width="320" height="200" fill="hsl(${hue} 35% 78%)"/><path d="M0 150 Q80 ${90 + (hue % 40)} 160 150 T320 150 V200 H0Z" fill="hsl(${hue} 40% 45%)"/></svg>`;
  return page(
    dress,
    name,
    `<h1>${escapeHtml(name)}</h1><p><small>Out of a crate of ${escapeHtml(owner)}</small></p>${picture}<p>${escapeHtml(about)}</p>`,
    language,
  );
}

function whoPage(kept: Leaf | Crate): string {
  return page(
    dress,
    `Who may look: ${kept.title}`,
    `<h1>${escapeHtml(kept.title)}</h1><form method="post"><h2>Who may look</h2>${doorChoices(kept)}${itemDoors(kept)}
<h2>May change it</h2><p><label><input type="checkbox" name="mayChange"${kept.mayChange ? ' checked' : ''}> Whoever looks may change it</label></p><button>Keep</button></form>`,
  );
}

/** A crate's items have doors of their own. */
function itemDoors(kept: Leaf | Crate): string {
  if (!('items' in kept)) return '';
  return kept.items
    .map(
      ({ name, door }, index) =>
        `<fieldset><legend>${escapeHtml(name)}</legend>${doorChoices({ door, until: null }, `item${index}`)}</fieldset>`,
    )
    .join('');
}
