/**
 * Pages as most services send them today: an almost empty page whose script fetches JSON and draws it. Sign-in and consent
 * come as layers, redirects happen by script, and dead links lead to the start page. The plain pages have the same content
 * without scripts.
 */
import type { NextFunction, Request, Response } from 'express';
import { escapeHtml, partsOf } from './page.js';

/** What a shell asks for, in a header. */
const pieceHeader = 'x-piece';
/** Grey bars are shown so long before a crate is drawn. */
const skeletonMs = 2000;

/** How a page is drawn; each handler says it for its own in `response.locals`. */
export interface Drawing {
  /** It comes before what was asked for: drawn over a page that is blurred. */
  wall?: boolean;
  /** Grey bars come first. */
  skeleton?: boolean;
}

interface Piece {
  readonly title?: string;
  readonly body?: string;
  readonly to?: string;
  readonly wall: boolean;
  readonly waitMs: number;
}

/** Turns what a service answers into a shell and its piece. @param isDrawn asked for each request */
export function drawn(
  service: string,
  isDrawn: () => boolean,
): (request: Request, response: Response, next: NextFunction) => void {
  return (request, response, next) => {
    if (request.method !== 'GET' || !isDrawn() || !request.accepts('html')) return next();
    const asksForPiece = request.headers[pieceHeader] !== undefined;
    const send = response.send.bind(response);
    const answer = (html: string, piece: Piece): Response => {
      response.setHeader('Cache-Control', 'no-store');
      if (asksForPiece) return send(JSON.stringify(piece));
      response.status(200).type('html');
      return send(shell(service, html));
    };
    const drawing = response.locals as Drawing;
    const facts = (): Pick<Piece, 'wall' | 'waitMs'> => ({
      wall: drawing.wall === true,
      waitMs: drawing.skeleton === true ? skeletonMs : 0,
    });
    response.send = (body: unknown) => {
      if (typeof body !== 'string' || !body.startsWith('<!doctype html>')) return send(body);
      const { title, main } = partsOf(body);
      // Nothing says that it is gone: whoever asks finds the first page.
      const isDead = response.statusCode === 404;
      return answer(body, isDead ? { to: '/', ...facts() } : { title, body: main, ...facts() });
    };
    response.redirect = ((to: string) => void answer('', { to, ...facts() })) as Response['redirect'];
    next();
  };
}

/** The service's head and style sheet, and nothing to read. */
function shell(service: string, html: string): string {
  const { css, banner } = partsOf(html);
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escapeHtml(service)}</title><style>${css}
.bar{height:14px;margin:12px 0;background:#8884;border-radius:7px}.over{position:fixed;inset:0;z-index:9;display:grid;place-items:center;background:#0007}.over>div{max-width:320px;padding:24px;background:#fff;color:#222}</style></head>
<body><header>${banner}</header><main id="place"><div class="bar"></div><div class="bar"></div><div class="bar"></div></main><script>${script}</script></body></html>`;
}

const script = `(async () => {
  const place = document.getElementById('place');
  const piece = await (await fetch(location.href, { headers: { '${pieceHeader}': 'yes' } })).json();
  if (piece.to) return location.replace(piece.to);
  await new Promise((done) => setTimeout(done, piece.waitMs));
  document.title = piece.title;
  if (piece.wall) {
    place.innerHTML = '<p style="filter:blur(5px)">Here would be what you came for, if you were let in.</p>';
    const over = document.createElement('div');
    over.className = 'over';
    over.innerHTML = '<div>' + piece.body + '</div>';
    document.body.append(over);
  } else {
    place.textContent = '';
    const root = place.attachShadow({ mode: 'open' });
    root.append(document.querySelector('style').cloneNode(true));
    const main = document.createElement('section');
    main.innerHTML = piece.body;
    root.append(main);
  }
})();`;
