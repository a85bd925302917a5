import { createServer as createHttpsServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import type { Evidence } from '@hapset/core';
import { testCertificate, testKey } from '../../test/certificate.js';
import { openPage, SmallWeb } from '../../test/small-web.js';
import { AddressGuard } from './address-guard.js';
import { openingLimits, StudentBrowser } from './student-browser.js';

describe('opening a link as a student', () => {
  let web: SmallWeb;
  let browser: StudentBrowser;
  beforeAll(async () => {
    web = await SmallWeb.start();
    browser = new StudentBrowser(new AddressGuard([web.host]), { ...openingLimits, bodyBytes: 200_000 });
  });
  afterAll(() => web.stop());

  const open = (path: string): Promise<Evidence> => browser.open(web.address(path));

  it('writes down hops, final page and facts', async () => {
    web.redirect('/short', '/long');
    web.html('/long', openPage);
    const evidence = await open('/short');
    expect(evidence.ending).toBe('answered');
    expect(evidence.hops.map((hop) => [new URL(hop.address).pathname, hop.status])).toEqual([
      ['/short', 302],
      ['/long', 200],
    ]);
    expect(evidence.final).toMatchObject({
      status: 200,
      contentType: 'text/html',
      cut: false,
      page: { title: 'Field guide to limpets', forms: [] },
    });
    expect(evidence.final?.page?.firstLines[0]).toBe('Field guide to limpets');
  });

  it('keeps cookies within the opening and sends none of its own', async () => {
    web.redirect('/consent', '/after', { 'Set-Cookie': 'seen=yes; Path=/' });
    web.pages.set(
      '/after',
      (request, response) =>
        void response
          .writeHead(request.headers.cookie === 'seen=yes' ? 200 : 403, { 'Content-Type': 'text/html' })
          .end(openPage),
    );
    expect((await open('/consent')).final?.status).toBe(200);
    expect((await open('/after')).final?.status).toBe(403);
  });

  it('gives up redirects without end', async () => {
    web.redirect('/round', '/round');
    const evidence = await open('/round');
    expect(evidence.ending).toBe('too-many-redirects');
    expect(evidence.hops).toHaveLength(11);
  });

  it('gives up a server that never answers, and one that drips', async () => {
    web.pages.set('/silent', () => undefined);
    web.pages.set('/drip', (_request, response) => {
      response.writeHead(200, { 'Content-Type': 'text/html' });
      const timer = setInterval(() => response.write('.'), 100);
      response.on('close', () => clearInterval(timer));
    });
    const hasty = new StudentBrowser(new AddressGuard([web.host]), { ...openingLimits, totalMs: 500 });
    const [silent, drip] = await Promise.all(['/silent', '/drip'].map((path) => hasty.open(web.address(path))));
    expect(silent?.ending).toBe('took-too-long');
    expect(drip?.ending).toBe('took-too-long');
  });

  it('reads no more than its limit, counted after decompression', async () => {
    const packed = gzipSync(Buffer.alloc(20_000_000, 97));
    web.pages.set(
      '/bomb',
      (_request, response) =>
        void response.writeHead(200, { 'Content-Type': 'text/html', 'Content-Encoding': 'gzip' }).end(packed),
    );
    expect((await open('/bomb')).final).toMatchObject({ sizeBytes: 200_000, cut: true });
  });

  it('reads other encodings than UTF-8', async () => {
    web.pages.set(
      '/latin',
      (_request, response) =>
        void response
          .writeHead(200, { 'Content-Type': 'text/html; charset=iso-8859-1' })
          .end(Buffer.from('<title>R\xe4tsel</title><p>x', 'latin1')),
    );
    expect((await open('/latin')).final?.page?.title).toBe('Rätsel');
  });

  it('counts brotli after decompression as well, and gives up what never ends', async () => {
    // Made beforehand: packing it takes longer than the browser waits.
    const packed = brotliCompressSync(Buffer.alloc(20_000_000, 97));
    web.pages.set(
      '/brotli',
      (_request, response) =>
        void response.writeHead(200, { 'Content-Type': 'text/html', 'Content-Encoding': 'br' }).end(packed),
    );
    web.pages.set('/endless', (_request, response) => {
      response.writeHead(200, { 'Content-Type': 'text/html' });
      const write = (): void => {
        while (!response.destroyed && response.write('x'.repeat(20_000)));
      };
      response.on('drain', write);
      write();
    });
    for (const path of ['/brotli', '/endless'])
      expect((await open(path)).final).toMatchObject({ sizeBytes: 200_000, cut: true });
  });

  it('reads a page of a hundred thousand nested tags as far as a browser would', async () => {
    web.html('/deep', `<title>Deep</title><p>Seen</p>${'<div><b>'.repeat(50_000)}x`);
    const wide = new StudentBrowser(new AddressGuard([web.host]));
    expect((await wide.open(web.address('/deep'))).final?.page).toMatchObject({ title: 'Deep', firstLines: ['Seen'] });
  });

  it('asks once more after the time that a busy server named, and only once', async () => {
    let asked = 0;
    web.pages.set(
      '/busy',
      (_request, response) =>
        void response
          .writeHead(++asked === 1 ? 503 : 200, { 'Content-Type': 'text/html', 'Retry-After': '0' })
          .end(openPage),
    );
    expect((await open('/busy')).hops.map((hop) => hop.status)).toEqual([503, 200]);
    web.pages.set('/always-busy', (_request, response) => void response.writeHead(429, { 'Retry-After': '0' }).end());
    const evidence = await open('/always-busy');
    expect([evidence.hops.map((hop) => hop.status), evidence.final?.status]).toEqual([[429, 429], 429]);
    web.pages.set(
      '/busy-for-long',
      (_request, response) => void response.writeHead(503, { 'Retry-After': '900' }).end(),
    );
    expect((await open('/busy-for-long')).hops).toHaveLength(1);
  });

  it('follows a page that leads on by itself, round in circles no longer than redirects', async () => {
    web.html('/stop', `<meta http-equiv="refresh" content="0; url=/long">`);
    expect((await open('/stop')).final?.page?.title).toBe('Field guide to limpets');
    web.html('/circle', '<meta http-equiv="refresh" content="0; url=/circle">');
    expect((await open('/circle')).ending).toBe('too-many-redirects');
  });

  it('leaves a name and password out of the address, and says what is only saved', async () => {
    web.pages.set(
      '/named',
      (request, response) =>
        void response
          .writeHead(200, { 'Content-Type': 'text/html', 'Content-Disposition': 'attachment; filename="x.html"' })
          .end(request.headers.authorization ?? 'nothing'),
    );
    const evidence = await browser.open(`http://somebody:secret@${web.host}/named`);
    expect(evidence.final).toMatchObject({ attachment: true, page: null, sizeBytes: 'nothing'.length });
  });

  it('opens names in other scripts by their ASCII form (IDNA)', async () => {
    const idna = new StudentBrowser(new AddressGuard([`xn--bcher-kva.localhost:${web.port}`]));
    const evidence = await idna.open(`http://bücher.localhost:${web.port}/long`);
    expect([evidence.final?.status, web.requests.at(-1)?.headers.host]).toEqual([
      200,
      `xn--bcher-kva.localhost:${web.port}`,
    ]);
  });

  it('knows a certificate that no phone would trust', async () => {
    const server = createHttpsServer({ key: testKey, cert: testCertificate }, (_request, response) =>
      response.end('x'),
    );
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const host = `school.localhost:${(server.address() as AddressInfo).port}`;
    expect((await new StudentBrowser(new AddressGuard([host])).open(`https://${host}/`)).ending).toBe(
      'bad-certificate',
    );
    await new Promise((resolve) => server.close(resolve));
  });

  it('tells what came unencrypted from a host that nobody trusts', async () => {
    const guard = new AddressGuard([web.host]);
    expect((await new StudentBrowser(guard).open(web.address('/long'))).hops[0]?.plain).toBeUndefined();
    const stranger = Object.assign(Object.create(AddressGuard.prototype) as AddressGuard, {
      isTrusted: () => false,
      connector: () => guard.connector(),
    });
    expect((await new StudentBrowser(stranger).open(web.address('/long'))).hops[0]?.plain).toBe(true);
  });

  it('says what kind of file came', async () => {
    web.pages.set(
      '/guide.pdf',
      (_request, response) => void response.writeHead(200, { 'Content-Type': 'application/pdf' }).end('%PDF-1.7'),
    );
    expect((await open('/guide.pdf')).final).toMatchObject({
      contentType: 'application/pdf',
      page: null,
      sizeBytes: 8,
    });
  });

  it('survives a server that breaks off or is not there', async () => {
    web.pages.set('/reset', (request) => request.socket.destroy());
    expect((await open('/reset')).ending).toBe('broken-answer');
    const gone = await SmallWeb.start();
    const { host } = gone;
    await gone.stop();
    expect((await new StudentBrowser(new AddressGuard([host])).open(`http://${host}/`)).ending).toBe('not-reached');
    const other = new StudentBrowser(new AddressGuard([]));
    expect((await other.open('http://no-such-name.invalid/')).ending).toBe('name-not-found');
  });

  it('can be stopped', async () => {
    const stop = new AbortController();
    web.pages.set('/stopped', () => stop.abort());
    const withoutEnd = new StudentBrowser(new AddressGuard([web.host]), { ...openingLimits, totalMs: 2 ** 31 - 1 });
    expect((await withoutEnd.open(web.address('/stopped'), stop.signal)).ending).toBe('took-too-long');
  });

  describe('the guard', () => {
    const refused = async (address: string, guard = new AddressGuard([])): Promise<Evidence> => {
      const before = web.requests.length;
      const evidence = await new StudentBrowser(guard).open(address);
      expect(web.requests.length).toBe(before);
      return evidence;
    };

    it('reaches nothing on this machine, however it is written', async () => {
      const { port } = web;
      for (const host of [
        '127.0.0.1',
        'localhost',
        '[::1]',
        '0.0.0.0',
        '2130706433',
        '0x7f.1',
        '0177.0.0.1',
        '127.1',
        '[::ffff:127.0.0.1]',
        'school.localhost',
      ]) {
        const evidence = await refused(`http://${host}:${port}/`);
        expect([host, evidence.ending === 'guarded-address' || evidence.ending === 'name-not-found']).toEqual([
          host,
          true,
        ]);
      }
      expect((await refused(`http://127.0.0.1:${port}/`)).ending).toBe('guarded-address');
    });

    it('trusts a host on its own port only', async () => {
      expect(
        (await refused(`http://school.localhost:${web.port}/`, new AddressGuard(['school.localhost:1']))).final,
      ).toBeNull();
    });

    it('is asked at every hop', async () => {
      web.redirect('/inside', `http://127.0.0.1:${web.port}/secret`);
      web.html('/secret', openPage);
      const before = web.requests.length;
      const evidence = await open('/inside');
      expect(evidence.ending).toBe('guarded-address');
      expect(web.requests.length).toBe(before + 1);
    });

    it.each(['file:///etc/hostname', 'ftp://a.example/x', 'javascript:alert(1)', 'not an address', 'http://'])(
      'opens no %s',
      async (address) => {
        expect((await new StudentBrowser(new AddressGuard([])).open(address)).ending).toBe('not-a-web-address');
      },
    );

    it('follows no redirect to another scheme', async () => {
      web.redirect('/file', 'file:///etc/hostname');
      expect((await open('/file')).ending).toBe('not-a-web-address');
    });
  });
});
