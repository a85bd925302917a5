// The access check under load: 60 links on 10 hosts against the ideal of its limits, and 60 hostile links at once against the server's memory.
import { createServer } from 'node:http';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { projectFolder, readSettings } from '../settings.mjs';
import { watchingMemory, withServer } from '../signed-in.mjs';

const links = 60;
const hosts = 10;
const answerMs = 300;
/** 40 links at once: the second round of twenty begins when the first ends. */
const idealMs = Math.ceil(links / 40) * answerMs;
const bombBytes = 300_000_000;

const bombs = { gzip: gzipSync(Buffer.alloc(bombBytes)), br: brotliCompressSync(Buffer.alloc(bombBytes / 10)) };
const html = { 'Content-Type': 'text/html' };
/** One way to be hostile each. */
const hostile = [
  (_, response) => response.writeHead(200, { ...html, 'Content-Encoding': 'gzip' }).end(bombs.gzip),
  (_, response) => response.writeHead(200, { ...html, 'Content-Encoding': 'br' }).end(bombs.br),
  (_, response) => endless(response, 'x'.repeat(60_000)),
  (_, response) => endless(response, '<div><b><i><u><a href="/x">'.repeat(2000)),
  (_, response) => drip(response),
  (request, response) => response.writeHead(302, { Location: request.url }).end('x'.repeat(500_000)),
  (_, response) => response.writeHead(200, html).write('<title>Half', () => response.destroy()),
  () => undefined,
  (_, response) =>
    response
      .writeHead(200, html)
      .end(`<form method="post">${'<input type="password"><button>x</button>'.repeat(40_000)}`),
  (_, response) =>
    response
      .writeHead(200, html)
      .end(`<style>${'.a{display:none}'.repeat(60_000)}</style><p class="${'a '.repeat(200_000)}">x`),
];

export async function bench() {
  const web = await serve();
  const names = Array.from({ length: hosts }, (_, index) => `h${index}.localhost:${web.port}`);
  const settings = readSettings({
    HAPSET_PORT: '4600',
    HAPSET_NEIGHBOURS_PORT: '4610',
    HAPSET_DATA: join(projectFolder, 'test-output/bench'),
    HAPSET_TRUSTED_HOSTS: names.join(','),
  });
  try {
    return await withServer(settings, async (server) => {
      const calm = await timeCalm(server, names, web);
      const attack = await timeAttack(server, names);
      return figures(calm, attack);
    });
  } finally {
    await web.stop();
  }
}

/** Three rounds of links that answer. */
async function timeCalm(server, names, web) {
  const lessonId = await lessonOf(
    server,
    Array.from({ length: links }, (_, index) => `http://${names[index % hosts]}/page?${index}`),
  );
  await opened(server, lessonId, web);
  const calm = [];
  for (let round = 0; round < 3; round += 1) {
    web.answered = 0;
    calm.push(
      await timed(async () => {
        await ask(server, `/api/lessons/${lessonId}/access-checks`, {});
        await opened(server, lessonId, web);
      }),
    );
  }
  return calm;
}

function timeAttack(server, names) {
  return watchingMemory(server, () =>
    timed(() =>
      check(
        server,
        Array.from(
          { length: links },
          (_, index) => `http://${names[index % hosts]}/hostile/${index % hostile.length}?${index}`,
        ),
      ),
    ),
  );
}

function figures(calm, attack) {
  return [
    {
      what: `60 links on 10 hosts that answer after ${answerMs} ms, best of three`,
      value: `${(Math.min(...calm.map(({ ms }) => ms)) / idealMs).toFixed(2)} x ideal`,
      target: 'at most 1.5',
    },
    {
      what: 'the same, worst of three',
      value: `${(Math.max(...calm.map(({ ms }) => ms)) / idealMs).toFixed(2)} x ideal`,
      target: '',
    },
    {
      what: '60 hostile links at once: growth of the server',
      value: `${(attack.most - attack.before).toFixed(0)} MB`,
      target: 'under 100 MB',
    },
    {
      what: 'verdicts on them',
      value: count(attack.value.value.map(({ verdict }) => verdict)),
      target: 'each has one',
    },
    {
      what: 'time until the last had one',
      value: `${(attack.value.ms / 1000).toFixed(1)} s`,
      target: 'ten seconds a link at most',
    },
  ];
}

/** With a body it is a POST. */
async function ask({ address, cookie }, path, body) {
  const response = await fetch(address + path, {
    ...(body && { method: 'POST', body: JSON.stringify(body) }),
    headers: { Cookie: cookie, 'Content-Type': 'application/json' },
  });
  const text = await response.text();
  return text === '' ? null : JSON.parse(text);
}

async function lessonOf(server, given) {
  const { id } = await ask(server, '/api/lessons', {
    name: 'Sixty links',
    classId: null,
    date: null,
    startsAt: null,
    place: '',
    viewingDistanceM: 2,
  });
  await ask(server, `/api/lessons/${id}/stations`, {
    items: given.map((link) => ({ link, pasted: link, repairs: [] })),
    materialIds: [],
  });
  return id;
}

/** Until every link was answered and the bench says so. */
async function opened(server, lessonId, web) {
  while (web.answered < links) await new Promise((resolve) => setTimeout(resolve, 5));
  while ((await ask(server, `/api/lessons/${lessonId}`)).opening.left > 0);
}

async function check(server, given) {
  const ids = await Promise.all(given.map((link) => ask(server, '/api/link-checks', { link }).then(({ id }) => id)));
  // One question at a time, so that asking is not the load that is measured.
  const views = [];
  for (const id of ids) {
    for (;;) {
      const view = await ask(server, `/api/link-checks/${id}`);
      if (view.state === 'done') {
        views.push(view);
        break;
      }
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  }
  return views;
}

async function serve() {
  const web = { answered: 0 };
  const server = createServer((request, response) => {
    const kind = /^\/hostile\/(\d+)/.exec(request.url)?.[1];
    if (kind !== undefined) hostile[Number(kind)](request, response);
    else
      setTimeout(
        () =>
          response
            .writeHead(200, html)
            .end('<title>Calm</title><p>The sea went out to look for the sea.</p>', () => (web.answered += 1)),
        answerMs,
      );
  });
  await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
  return Object.assign(web, {
    port: server.address().port,
    stop: () => new Promise((resolve) => (server.close(resolve), server.closeAllConnections())),
  });
}

function endless(response, piece) {
  response.writeHead(200, html);
  const write = () => {
    while (!response.destroyed && response.write(piece));
  };
  response.on('drain', write);
  response.on('error', () => undefined);
  write();
}

function drip(response) {
  response.writeHead(200, html);
  const timer = setInterval(() => response.write('.'), 200);
  response.on('close', () => clearInterval(timer));
}

async function timed(work) {
  const began = performance.now();
  const value = await work();
  return { ms: performance.now() - began, value };
}

function count(words) {
  return [...new Set(words)].map((word) => `${words.filter((each) => each === word).length} ${word}`).join(', ');
}
