import { createSocket } from 'node:dgram';
import { pino } from 'pino';
import { readConfiguration } from '../../platform/configuration/configuration.js';
import { findChromium } from '../../platform/configuration/find-program.js';
import { someText, SmallWeb } from '../../test/small-web.js';
import { StudentViews, type StudentView } from './student-views.js';
import { viewLimits } from './view-page.js';

const quick = { ...viewLimits, totalMs: 30_000, quietMs: 200, watchedMs: 300, watchedShortMs: 500 };
const own = 'http://hapset.localhost:4300';
const prose = `<p>${someText}</p>`;

describe('a page as a student sees it', () => {
  let web: SmallWeb;
  let views: StudentViews;
  const toClose: (() => Promise<void>)[] = [];
  beforeAll(async () => {
    web = await SmallWeb.start();
    const hosts = ['school', 'other', 'hapset'].map((name) => `${name}.localhost:${web.port}`);
    const configuration = { ...readConfiguration({}), chromiumProgram: findChromium(), trustedHosts: hosts };
    views = new StudentViews(configuration, pino({ level: 'silent' }));
    // Root has no sandbox in Chromium.
    views.sandbox = process.getuid?.() !== 0;
    views.limits = quick;
  });
  afterAll(async () => {
    await views.beforeApplicationShutdown();
    for (const close of toClose) await close();
    await web.stop();
  });

  const see = async (html: string, path = '/page'): Promise<StudentView> => {
    web.html(path, html);
    const view = await views.see(web.address(path), [own], new AbortController().signal);
    if (!view) throw new Error('There is no browser.');
    return view;
  };
  const seen = async (html: string): Promise<NonNullable<StudentView['drawn']>> => {
    const { drawn } = await see(html);
    if (!drawn) throw new Error('Nothing was seen.');
    return drawn;
  };

  it('is what its scripts draw, also in closed shadow roots and in frames of other sites', async () => {
    web.html('/inner', `<title>Inner</title>${prose}<input type="password">`);
    const { page, facts, status } = await seen(
      `<title>Wait</title><div id="a">Loading</div><script>
        setTimeout(() => {
          document.title = 'Tides'; a.textContent = '';
          a.attachShadow({ mode: 'closed' }).innerHTML = '<h1>Low tide</h1><slot></slot><button>Begin</button>';
          a.innerHTML = '<b>At</b> <i>nine</i>';
          document.body.insertAdjacentHTML('beforeend', '<iframe width="380" height="400" src="http://other.localhost:${web.port}/inner"></iframe>');
        }, 250)</script>`,
    );
    expect(page).toMatchObject({ title: 'Tides', buttons: ['Begin'], forms: [{ fields: ['password'] }] });
    expect(page.firstLines.slice(0, 2)).toEqual(['Low tide', 'At nine']);
    expect(page.firstLines.join(' ')).toContain('cone stuck to bare rock');
    expect([facts.headings, status, facts.stoppedBy]).toEqual([['Low tide'], 200, null]);
    expect(page.contentCharacters).toBeGreaterThan(someText.length);
  });

  it.each([
    ['fully transparent', `<div style="opacity:.05">${prose}</div>`],
    ['outside of the page', `<div style="position:absolute;left:-9999px">${prose}</div>`],
    ['clipped away', `<div style="height:1px;overflow:hidden"><br>${prose}</div>`],
    ['of transparent letters', `<div style="color:rgba(0,0,0,.02)">${prose}</div>`],
    ['blurred', `<div style="filter:blur(6px)">${prose}</div>`],
    ['tiny', `<div style="font-size:2px">${prose}</div>`],
    [
      'under something opaque',
      `<div style="position:relative">${prose}<div style="position:absolute;inset:0;background:#fff"></div></div>`,
    ],
    [
      'where nobody can scroll',
      `<style>html,body{height:100%;overflow:hidden}</style><div style="height:3000px"></div>${prose}`,
    ],
    ['of size nothing', `<div style="transform:scale(0)">${prose}</div>`],
    ['folded away', `<details><summary>More</summary>${prose}</details>`],
  ])('leaves out what is %s', async (_, html) => {
    const { page } = await seen(`<title>T</title><h1>Members</h1>${html}`);
    expect(page.visibleCharacters).toBeLessThan(20);
    expect(page.firstLines[0]).toBe('Members');
  });

  it.each([
    [
      'a page in a scroller of its own',
      `<style>html,body{height:100%;margin:0;overflow:hidden}</style><div style="position:fixed;inset:0;overflow:auto"><div style="height:900px"></div>${prose}</div>`,
    ],
    [
      'text under a link that covers it without paint',
      `<div style="position:relative">${prose}<a href="/x" style="position:absolute;inset:0"></a></div>`,
    ],
    [
      'a page beside a fixed head and a strip of consent',
      `<header style="position:fixed;top:0">Shelf</header><main>${prose}</main><div style="position:fixed;bottom:0;height:160px;background:#fff">Cookies <button>Fine</button></div>`,
    ],
  ])('sees %s', async (_, html) => {
    const { page, facts } = await seen(`<title>T</title>${html}`);
    expect(page.contentCharacters).toBeGreaterThan(someText.length - 5);
    expect(facts.layerShare).toBe(0);
  });

  it.each([
    [
      'a dialog with its backdrop',
      '<div style="position:fixed;inset:0;background:#000a"></div><div style="position:fixed;top:30%;left:5%;background:#fff">Vstup jen pro členy <input type="password"></div>',
    ],
    [
      'a modal dialog',
      '<dialog id="d" style="width:360px">Vstup jen pro členy <input type="password"></dialog><script>d.showModal()</script>',
    ],
  ])('sees nothing behind %s', async (_, html) => {
    const { page, facts } = await seen(`<title>T</title><main>${prose}<video src="/none"></video></main>${html}`);
    expect(page).toMatchObject({ firstLines: ['Vstup jen pro členy'], contentCharacters: 0, players: 0 });
    expect(page.forms).toMatchObject([{ fields: ['password'] }]);
    expect(facts.layerShare).toBeGreaterThan(0.5);
  });

  it('tells players that can play from those that can’t', async () => {
    const samples = 800;
    const wave = Buffer.alloc(44 + samples, 128);
    wave.write('RIFF');
    wave.writeUInt32LE(36 + samples, 4);
    wave.write('WAVEfmt ', 8);
    [16, 0x10001, 8000, 8000, 0x80001].forEach((value, at) => wave.writeUInt32LE(value, 16 + at * 4));
    wave.write('data', 36);
    wave.writeUInt32LE(samples, 40);
    web.pages.set(
      '/sound',
      (_request, response) => void response.writeHead(200, { 'Content-Type': 'audio/wav' }).end(wave),
    );
    const of = async (html: string): Promise<unknown> => (await seen(`<title>T</title>${html}`)).page.players;
    expect(await of('<audio controls preload="none" src="/sound"></audio>')).toBe(1);
    expect(await of('<audio controls src="/gone"></audio><video controls src="/gone"></video>')).toBe(0);
  });

  it('has a picture of at most 60,000 bytes, links, fields without a form, and what went wrong', async () => {
    const noise =
      '<canvas id="c" width="390" height="800"></canvas><script>const x=c.getContext("2d");for(let i=0;i<60000;i++){x.fillStyle=`rgb(${i%251},${i%239},${i%241})`;x.fillRect(i*7%390,i*13%800,3,3)}</script>';
    const { drawn, picture, links } = await see(
      `<title>T</title><nav><a href="/home">Home</a></nav><a href="/leaf">A leaf</a><input type="radio"><div role="radio">Two</div><textarea>abc</textarea><img src="/gone.png">${noise}`,
    );
    expect(picture?.subarray(0, 2).toString('hex')).toBe('ffd8');
    expect(picture?.length).toBeLessThanOrEqual(60_000);
    expect(links).toMatchObject([
      { text: 'Home', inMenu: true },
      { text: 'A leaf', inMenu: false },
    ]);
    expect(drawn?.page.forms).toEqual([
      { action: '', method: 'get', fields: ['radio', 'radio', 'textarea'], buttons: [], filledCharacters: 3 },
    ]);
    expect(drawn?.facts.requests).toBeGreaterThan(1);
  });

  it('starts every view afresh: no cookies and no storage from before', async () => {
    const html =
      '<title>T</title><p id="p"></p><script>p.textContent="visits "+(document.cookie||"none")+(localStorage.n||"none");document.cookie="n=1";localStorage.n=1</script>';
    for (let time = 0; time < 2; time += 1) expect((await seen(html)).page.firstLines).toEqual(['visits nonenone']);
  });

  it('closes dialogs, windows and downloads, and prints nothing', async () => {
    web.html('/file', 'x', 200, {
      'Content-Disposition': 'attachment; filename="x.bin"',
      'Content-Type': 'application/x-thing',
    });
    const { page, facts } = await seen(
      `<title>T</title><p id="p">Before</p><script>alert(1); confirm(2); print(); open('/gone'); p.textContent = 'After'; location = '/file'</script>`,
    );
    expect([page.firstLines, facts.downloads]).toEqual([['After'], 1]);
  });

  it('gives up pages that lead on or load without end', async () => {
    views.limits = { ...quick, totalMs: 6000 };
    const on = await see('<title>T</title><script>location = "/page?" + Math.random()</script>');
    expect(on.drawn?.facts.stoppedBy).toBe('page-changes');
    const many = await see(
      '<title>T</title><p>Many</p><script>setInterval(() => { for (let i = 0; i < 50; i++) fetch("/gone?" + Math.random()).catch(() => 0) }, 20)</script>',
    );
    expect(many.drawn?.facts.stoppedBy ?? 'requests').toBe('requests');
    expect(web.requests.filter(({ url }) => url?.startsWith('/gone?')).length).toBeLessThan(quick.requests + 100);
    views.limits = quick;
  });

  it('gives up a page that hangs, and goes on with the next', async () => {
    views.limits = { ...quick, totalMs: 3500 };
    expect(await see('<title>T</title><script>while (true) {}</script>')).toEqual({
      drawn: null,
      links: [],
      picture: null,
    });
    views.limits = quick;
    expect((await seen('<title>Next</title>')).page.title).toBe('Next');
  });

  it('is opened once more, with more time, where nothing was there in time', async () => {
    const answers: (() => void)[] = [];
    web.pages.set('/busy', (_request, response) => {
      if (answers.push(() => response.end(`<title>Tides</title>${prose}`)) > 1) answers.at(-1)?.();
    });
    views.limits = { ...quick, totalMs: 3500 };
    const view = await views.see(web.address('/busy'), [own], new AbortController().signal);
    expect([view?.drawn?.page.title, answers.length]).toEqual(['Tides', 2]);
    views.limits = quick;
  });

  it('is watched from when it came, not from when it was asked for', async () => {
    const draw = `setTimeout(() => { document.body.innerHTML = ${JSON.stringify(prose)} }, 400)`;
    web.pages.set('/late', (_request, response) => {
      setTimeout(() => response.end(`<title>T</title><p>Papers, well kept</p><script>${draw}</script>`), 1000);
    });
    const view = await views.see(web.address('/late'), [own], new AbortController().signal);
    expect(view?.drawn?.page.contentCharacters).toBeGreaterThan(someText.length - 5);
  });

  it('says that a page loads more than it may, and still sees what is there', async () => {
    web.html('/large', 'x'.repeat(3_000_000));
    views.limits = { ...quick, bytes: 100_000 };
    const { page, facts } = await seen('<title>T</title><p>Heavy</p><script>fetch("/large").catch(() => 0)</script>');
    expect([page.firstLines, facts.stoppedBy]).toEqual([['Heavy'], 'bytes']);
    views.limits = quick;
  });

  it('stops with its job', async () => {
    const stop = new AbortController();
    web.pages.set('/never', () => stop.abort());
    expect(await views.see(web.address('/never'), [own], stop.signal)).toMatchObject({ drawn: null });
  });

  it('lets a hostile page out by no way', async () => {
    const udp = createSocket('udp4');
    const packets: unknown[] = [];
    udp.on('message', (packet) => packets.push(packet));
    await new Promise<void>((resolve) => udp.bind(0, '127.0.0.1', resolve));
    toClose.push(() => new Promise((resolve) => void udp.close(resolve)));
    const stun = udp.address().port;
    const secret = await SmallWeb.start();
    toClose.push(() => secret.stop());
    secret.html('/', 'secret');
    const inside = secret.port;
    const to = (way: string): readonly string[] =>
      [`127.0.0.1:${inside}`, `[::1]:${inside}`, `secret.localhost:${inside}`, `hapset.localhost:${web.port}`].map(
        (host) => `${host}/own?${way}`,
      );
    const list = (way: string): string => JSON.stringify(to(way));
    web.requests.length = 0;
    const { drawn } = await see(
      `<title>T</title><p id="p">Hostile</p>
      <link rel="prefetch" href="http://${to('prefetch')[0]}"><link rel="stylesheet" href="http://${to('css')[0]}"><link rel="dns-prefetch" href="http://${to('dns')[0]}"><link rel="preconnect" href="http://${to('connect')[0]}">
      <style>@font-face { font-family: f; src: url(http://${to('font')[0]}) } p { font-family: f; background: url(http://${to('background')[0]}) }</style>
      <iframe src="view-source:http://${to('source')[0]}"></iframe><iframe src="file:///etc/passwd"></iframe><iframe src="data:text/html,<img src='http://${to('data')[0]}'>"></iframe><object data="http://${to('object')[0]}"></object><embed type="application/pdf" src="http://${to('pdf')[0]}">
      <form id="f" method="post" target="t" action="http://${to('form')[0]}"></form><iframe name="t"></iframe>
      <script>
        const none = () => 0;
        for (const at of ${list('fetch')}) { fetch('http://' + at).then(() => (p.textContent += ' fetched'), none); fetch('http://' + at, { mode: 'no-cors' }).then(none, none); }
        for (const at of ${list('image')}) { const i = new Image(); i.onload = () => (p.textContent += ' image'); i.src = 'http://' + at; }
        for (const at of ${list('frame')}) { const i = document.createElement('iframe'); i.src = 'http://' + at; document.body.append(i); }
        for (const at of ${list('socket')}) { try { const s = new WebSocket('ws://' + at); s.onopen = () => (p.textContent += ' socket'); } catch {} }
        for (const at of ${list('events')}) new EventSource('http://' + at);
        for (const at of ${list('beacon')}) navigator.sendBeacon('http://' + at, 'x');
        fetch('file:///etc/passwd').then(() => (p.textContent += ' file'), none);
        fetch('/away', { mode: 'no-cors' }).then(none, none);
        f.submit();
        const peer = new RTCPeerConnection({ iceServers: [{ urls: 'stun:127.0.0.1:${stun}' }] });
        peer.createDataChannel('x'); peer.createOffer().then((offer) => peer.setLocalDescription(offer));
        navigator.serviceWorker?.register('/worker.js').then(none, none);
      </script>`,
      '/hostile',
    );
    expect(drawn?.page.firstLines[0]).toBe('Hostile');
    expect(secret.requests).toEqual([]);
    expect(web.requests.map(({ url }) => url).filter((url) => /own|worker/.test(url ?? ''))).toEqual([]);
    expect(packets).toEqual([]);
  });

  it('follows no redirect to where it may not go', async () => {
    const secret = await SmallWeb.start();
    toClose.push(() => secret.stop());
    secret.html('/', 'secret');
    web.redirect('/away', `http://127.0.0.1:${secret.port}/`);
    expect(await views.see(web.address('/away'), [own], new AbortController().signal)).toMatchObject({ drawn: null });
    expect(secret.requests).toEqual([]);
  });
});

describe('without a browser', () => {
  it('there are no views, and it says so', async () => {
    const of = (chromiumProgram: string | null): StudentViews =>
      new StudentViews({ ...readConfiguration({}), chromiumProgram }, pino({ level: 'silent' }));
    const none = of(null);
    expect([none.missing, await none.see('http://a.example/', [], new AbortController().signal)]).toEqual([
      'no-browser',
      null,
    ]);
    const broken = of('/bin/false');
    expect(broken.missing).toBeNull();
    expect(await broken.see('http://a.example/', [], new AbortController().signal)).toBeNull();
    expect(broken.missing).toBe('does-not-start');
    await broken.beforeApplicationShutdown();
  });
});
