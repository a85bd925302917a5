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
const slowMs = 6000;
const dripMs = 400;

const dress: Dress = {
  service: 'Switchboard',
  banner: 'Switchboard of the stand-ins',
  css: `body{margin:0;background:#fff;color:#222;font:16px/1.5 monospace}header{padding:14px 20px;border-bottom:4px double #222}main{padding:10px 20px}table{border-collapse:collapse}td,th{padding:6px 14px;border-bottom:1px solid #999;text-align:left}select,button{font:inherit}`,
};

export class Switchboard {
  private readonly moods = new Map<string, Mood>();

  constructor(private readonly hosts: readonly string[]) {}

  pages(): Express {
    const app = express();
    app.use(express.urlencoded({ extended: false, limit: '10kb' }));
    app.get('/', (_request, response) => void response.send(this.board()));
    app.post('/', (request: Request<object, unknown, Record<string, string>>, response) => {
      for (const host of this.hosts) {
        const mood = moods.find((each) => each === request.body[host]);
        if (mood) this.moods.set(host, mood);
      }
      response.redirect('/');
    });
    return app;
  }

  /** What stands before a service. */
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

  private board(): string {
    const rows = this.hosts.map((host) => {
      const now = this.moods.get(host) ?? 'well';
      const options = moods
        .map((mood) => `<option value="${mood}"${mood === now ? ' selected' : ''}>${moodWords[mood]}</option>`)
        .join('');
      return `<tr><th><label for="${host}">${escapeHtml(host)}</label></th><td><select id="${host}" name="${host}">${options}</select></td></tr>`;
    });
    return page(
      dress,
      'Switchboard',
      `<form method="post"><table>${rows.join('')}</table><p><button>Switch</button></p></form>`,
    );
  }
}

function drip(response: Response): void {
  response.writeHead(200, { 'Content-Type': 'text/html' });
  const timer = setInterval(() => response.write('.'), dripMs);
  response.on('close', () => clearInterval(timer));
}
