/** Cofferlane: leaves (documents) and crates (folders). Its owner decides who may look, and whether they may change it. */
import express, { type Express, type Request, type Response } from 'express';
import type { Crate, Leaf } from './contents.js';
import type { Cupboard } from './cupboard.js';
import { doorChoices, entrance, fullAddress, ownerOnly, setDoor } from './doors.js';
import type { Gatepost } from './gatepost.js';
import { escapeHtml, page, type Dress } from './page.js';

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
  const find = (request: Request): Leaf | Crate | undefined => {
    const { leaves, crates } = cupboard.contents;
    const shelf: Record<string, Leaf | Crate> = request.params.shelf === 'leaf' ? leaves : request.params.shelf === 'crate' ? crates : {};
    return Object.hasOwn(shelf, String(request.params.slug)) ? shelf[String(request.params.slug)] : undefined;
  };
  app.get('/', (_request, response) => void response.send(page(dress, 'Cofferlane', '<h1>Papers and boxes</h1><p>Put your papers on a leaf, your pictures in a crate.</p>')));
  app.get('/arrive', (request, response) => gatepost.arrive(request, response));

  app.get('/:shelf/:slug', (request, response) => {
    const kept = find(request);
    if (!kept) return void response.status(404).send(page(dress, 'Nothing on this shelf', '<h1>Nothing on this shelf</h1><p>It was moved, or never here.</p>'));
    switch (entrance(kept, gatepost.visitor(request))) {
      case 'enter':
        return void response.send(contents(kept, request.params.shelf as Shelf));
      case 'to-the-gate':
        return response.redirect(gatepost.comeInAddress(fullAddress(request)));
      case 'ask':
        return void response.send(page(dress, 'Ask for a key', askForKey(gatepost, request)));
      case 'forbidden':
        return void response.status(403).send(page(dress, 'Not on the list', '<h1>You are not on the list</h1><p>The owner chose who may look.</p>'));
    }
  });

  // Pages of the owner's own: where it is written, and where somebody takes a copy. Strangers are sent to the gate.
  app.get('/leaf/:slug/write', (request, response) => {
    const slug = String(request.params.slug);
    const kept = Object.hasOwn(cupboard.contents.leaves, slug) ? cupboard.contents.leaves[slug] : undefined;
    if (!kept) return void response.status(404).type('text/plain').send('Nothing on this shelf.');
    if (kept.mayChange || ownerOnly(kept, gatepost, request, response)) response.send(contents({ ...kept, mayChange: true }, 'leaf'));
  });
  app.get('/leaf/:slug/copy', (request, response) => response.redirect(gatepost.comeInAddress(fullAddress(request))));
  app.get('/leaf/:slug/glance', (request, response) => response.redirect(`/leaf/${request.params.slug}`));

  app.get('/:shelf/:slug/who', (request, response) => {
    const kept = find(request);
    if (!kept) return void response.status(404).type('text/plain').send('Nothing on this shelf.');
    if (ownerOnly(kept, gatepost, request, response)) response.send(whoPage(kept));
  });
  app.post('/:shelf/:slug/who', (request: Request<Record<string, string>, unknown, { door?: string; mayChange?: string }>, response: Response) => {
    const kept = find(request);
    if (!kept || !ownerOnly(kept, gatepost, request, response)) return;
    kept.mayChange = request.body.mayChange === 'on';
    setDoor(kept, request.body.door, cupboard);
    response.redirect(request.path);
  });
  return app;
}

function contents(kept: Leaf | Crate, shelf: Shelf): string {
  const inside =
    'paragraphs' in kept
      ? kept.paragraphs.map((paragraph) => `<p>${escapeHtml(paragraph)}</p>`).join('')
      : `<ul>${kept.items.map((item) => `<li><b>${escapeHtml(item.name)}</b> ${escapeHtml(item.about)}</li>`).join('')}</ul>`;
  const change = kept.mayChange ? '<form method="post" action="#"><textarea name="text" aria-label="Change this leaf"></textarea><button>Keep the change</button></form>' : '';
  return page(dress, kept.title, `<h1>${escapeHtml(kept.title)}</h1><p><small>A ${shelf} of ${escapeHtml(kept.owner)}</small></p>${inside}${change}`);
}

function askForKey(gatepost: Gatepost, request: Request): string {
  return `<h1>Ask for a key</h1><p>Its owner lets chosen people look.</p><p><a href="${escapeHtml(gatepost.comeInAddress(fullAddress(request)))}">I have a key</a></p>`;
}

function whoPage(kept: Leaf | Crate): string {
  return page(
    dress,
    `Who may look: ${kept.title}`,
    `<h1>${escapeHtml(kept.title)}</h1><form method="post"><h2>Who may look</h2>${doorChoices(kept)}
<h2>May change it</h2><p><label><input type="checkbox" name="mayChange"${kept.mayChange ? ' checked' : ''}> Whoever looks may change it</label></p><button>Keep</button></form>`,
  );
}
