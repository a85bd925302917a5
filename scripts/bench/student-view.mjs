// What seeing pages in a browser costs: 200 pages of many kinds, two at a time, against plain checks of the same pages.
import { createServer } from 'node:http';
import { AddressGuard } from '../../apps/server/dist/opens/student-browser/address-guard.js';
import { StudentBrowser } from '../../apps/server/dist/opens/student-browser/student-browser.js';
import { privateBytes } from '../../apps/server/dist/opens/student-view/process-memory.js';
import { quickViews } from '../access-corpus/access-corpus.mjs';

const checks = 200;
const atOnce = 2;
const prose = 'The sandbank moved in the night, and nobody heard it. '.repeat(40);
const pages = [
  `<title>Article</title><main><h1>Tides</h1><p>${prose}</p></main>`,
  `<title>Wait</title><div id="a"></div><script>setTimeout(() => { a.innerHTML = '<h1>Drawn</h1><p>${prose}</p>' }, 50)</script>`,
  `<title>Wall</title><main><p>${prose}</p></main><div style="position:fixed;inset:0;background:#fff">Choose an account</div>`,
  `<title>Form</title><form method="post">${'<p><input type="radio" name="q"> yes <input type="radio" name="q"> no</p>'.repeat(20)}<button>Send</button></form>`,
  `<title>Many</title>${Array.from({ length: 1500 }, (_, index) => `<p>Line ${index}</p>`).join('')}`,
  `<title>Frames</title>${'<iframe src="/0" width="380" height="200"></iframe>'.repeat(3)}`,
  `<title>Canvas</title><canvas id="c" width="390" height="1200"></canvas><script>const x = c.getContext('2d'); for (let i = 0; i < 4000; i++) { x.fillStyle = 'hsl(' + i % 360 + ' 60% 60%)'; x.fillRect(i * 7 % 390, i * 13 % 1200, 9, 9); }</script>`,
];

export async function bench() {
  const server = createServer((request, response) => {
    const page = pages[Number(request.url.slice(1).split('?')[0])];
    response.writeHead(page ? 200 : 404, { 'Content-Type': 'text/html; charset=utf-8' }).end(page ?? '');
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  const host = `board.localhost:${server.address().port}`;
  const links = Array.from({ length: checks }, (_, index) => `http://${host}/${index % pages.length}?${index}`);
  const views = quickViews([host]);
  const browser = new StudentBrowser(new AddressGuard([host]));
  try {
    const plain = await timesOf(links, (link) => browser.open(link));
    const warm = links.slice(0, 2 * pages.length);
    await timesOf(warm, (link) => see(views, link));
    const before = privateBytes(process.pid);
    const seen = await timesOf(links, (link) => see(views, link));
    const grown = privateBytes(process.pid) - before;
    const beside = await timesOf(links.slice(0, 40), async (link, index) => {
      if (index % 2 === 0) await see(views, link);
      else await browser.open(link);
    });
    return [
      { what: `${checks} pages in a browser: median`, value: `${median(seen)} ms`, target: '' },
      { what: `${checks} pages in a browser: slowest`, value: `${Math.max(...seen)} ms`, target: 'at most 12 s' },
      { what: 'plain checks of the same pages: median', value: `${median(plain)} ms`, target: '' },
      {
        what: 'plain checks while a browser is at work: median',
        value: `${median(beside.filter((_, index) => index % 2 === 1))} ms`,
        target: '',
      },
      {
        what: 'a browser takes as long as so many plain checks',
        value: ratio(median(seen), median(plain)),
        target: '',
      },
      { what: 'memory of all processes grew by', value: megabytes(grown), target: 'less than 150 MB' },
    ];
  } finally {
    await views.beforeApplicationShutdown();
    server.closeAllConnections();
    server.close();
  }
}

async function see(views, link) {
  const view = await views.see(link, [], new AbortController().signal);
  if (!view?.drawn) throw new Error('Nothing was seen; is Chromium installed?');
}

/** Milliseconds of each, in the order of the links. */
async function timesOf(links, work) {
  const times = [];
  const waiting = [...links.entries()];
  const worker = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [index, link] = next;
      const began = performance.now();
      await work(link, index);
      times[index] = Math.round(performance.now() - began);
    }
  };
  await Promise.all(Array.from({ length: atOnce }, worker));
  return times;
}

function median(values) {
  return [...values].sort((one, other) => one - other)[Math.floor(values.length / 2)];
}

function ratio(one, other) {
  return `${(one / Math.max(1, other)).toFixed(0)}`;
}

function megabytes(bytes) {
  return `${(bytes / 1024 ** 2).toFixed(0)} MB`;
}
