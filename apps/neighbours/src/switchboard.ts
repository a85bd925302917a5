/** For demonstrations: makes a service slow, busy or broken, and whole again. */
import express, { type Express, type NextFunction, type Request, type Response } from 'express';
import { escapeHtml, page, type Dress } from './page.js';

const moods = ['well', 'slow', 'busy', 'broken', 'dripping', 'hanging-up'] as const;
type Mood = (typeof moods)[number];
const moodWords: Readonly<Record<Mood, string>> = {
  well: 'Answers at once',
  slow: 'Answers after six seconds',
  busy: 'Busy: 503, come back in a second',
  broken: 'Broken: 500',
  dripping: 'Drips a byte now and then, for ever',
  'hanging-up': 'Hangs up in the middle of its answer',
};
/** Drawn by scripts as most services do, or sent whole. */
export const pageKinds = ['drawn', 'plain'] as const;
export type Pages = (typeof pageKinds)[number];
const pageWords: Readonly<Record<Pages, string>> = { drawn: 'Drawn by scripts', plain: 'Plain pages' };
const slowMs = 6000;
const dripMs = 400;

const dress: Dress = {
  service: 'Switchboard',
  banner: 'Switchboard of the stand-ins',
  css: `body{margin:0;background:#fff;color:#222;font:16px/1.5 monospace}header{padding:14px 20px;border-bottom:4px double #222}main{padding:10px 20px}table{border-collapse:collapse}td,th{padding:6px 14px;border-bottom:1px solid #999;text-align:left}select,button{font:inherit}`,
};

export class Switchboard {
  private readonly moods = new Map<string, Mood>();

  private readonly pagesOf = new Map<string, Pages>();

  constructor(
    private readonly hosts: readonly string[],
    private readonly usual: Pages,
  ) {}

  /** The gate's pages and short links are plain as ever. */
  isDrawn(host: string): boolean {
    return !isPlainAlways(host) && (this.pagesOf.get(host) ?? this.usual) === 'drawn';
  }

  pages(): Express {
    const app = express();
    app.use(express.urlencoded({ extended: false, limit: '10kb' }));
    app.get('/', (_request, response) => void response.send(this.board()));
    app.post('/', (request: Request<object, unknown, Record<string, string>>, response) => {
      for (const host of this.hosts) {
        const mood = moods.find((each) => each === request.body[host]);
        if (mood) this.moods.set(host, mood);
        const pages = pageKinds.find((each) => each === request.body[`pages ${host}`]);
        if (pages) this.pagesOf.set(host, pages);
      }
      response.redirect('/');
    });
    return app;
  }

  /** What comes before a service. */
  before(host: string): (request: Request, response: Response, next: NextFunction) => void {
    return (_request, response, next) => {
      switch (this.moods.get(host) ?? 'well') {
        case 'well':
          return next();
        case 'slow':
          return void setTimeout(next, slowMs);
        case 'busy':
          return void response
            .status(503)
            .setHeader('Retry-After', '1')
            .type('text/plain')
            .send('Come back in a moment.');
        case 'broken':
          return void response.status(500).type('text/plain').send('Something gave way.');
        case 'dripping':
          return drip(response);
        case 'hanging-up':
          response.writeHead(200, { 'Content-Type': 'text/html', 'Content-Length': '5000' });
          response.write('<title>Half a');
          return void setTimeout(() => response.destroy(), dripMs);
      }
    };
  }

  private pageChoice(host: string): string {
    if (isPlainAlways(host)) return '';
    const now = this.isDrawn(host) ? 'drawn' : 'plain';
    const options = pageKinds.map(
      (each) => `<option value="${each}"${each === now ? ' selected' : ''}>${pageWords[each]}</option>`,
    );
    return `<select name="pages ${host}" aria-label="Pages of ${host}">${options.join('')}</select>`;
  }

  private board(): string {
    const rows = this.hosts.map((host) => {
      const now = this.moods.get(host) ?? 'well';
      const options = moods
        .map((mood) => `<option value="${mood}"${mood === now ? ' selected' : ''}>${moodWords[mood]}</option>`)
        .join('');
      return `<tr><th><label for="${host}">${escapeHtml(host)}</label></th><td><select id="${host}" name="${host}">${options}</select></td><td>${this.pageChoice(host)}</td></tr>`;
    });
    return page(
      dress,
      'Switchboard',
      `<form method="post"><table>${rows.join('')}</table><p><button>Switch</button></p></form>`,
    );
  }
}

function isPlainAlways(host: string): boolean {
  return /gatepost|nipaway/.test(host);
}

function drip(response: Response): void {
  response.writeHead(200, { 'Content-Type': 'text/html' });
  const timer = setInterval(() => response.write('.'), dripMs);
  response.on('close', () => clearInterval(timer));
}
