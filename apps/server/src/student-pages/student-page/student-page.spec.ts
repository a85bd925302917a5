import type { FileView, MaterialPage, WrittenPageView } from '@hapset/contract';
import type { Kept } from '@hapset/core';
import { create, type Font } from 'fontkit';
import request from 'supertest';
import { madeMedia } from '../../test/made-media.js';
import { Scene } from '../../test/scene.js';
import { uploaded } from '../../test/upload.js';
import { cleanHtml } from './student-page.html.js';

const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const sound = Buffer.from('RIFF\u0024\u0000\u0000\u0000WAVEfmt ', 'latin1');
const film = Buffer.from('\u0000\u0000\u0000\u0018ftypmp42\u0000\u0000\u0000\u0000mp42isom', 'latin1');

describe('what students see', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());

  const add = async (content: Buffer | string, name: string): Promise<FileView> =>
    scene.server.ok('Maren', 'POST', '/api/files', { uploadId: await uploaded(scene, content), name });
  const keep = async (kept: Kept, title = 'Shore sounds'): Promise<MaterialPage> => {
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [{ kept, pasted: title, repairs: [], title }],
    });
    return scene.server.ok('Maren', 'GET', `/api/materials/${materialIds[0] ?? ''}`);
  };
  const pathOf = ({ material }: MaterialPage): string => new URL(material.pageAddress ?? '').pathname;
  const see = (page: MaterialPage) => request(scene.server.app.getHttpServer()).get(pathOf(page));
  const oneFile = (fileId: string, transcript = '', captionsId: string | null = null): Kept => ({
    kind: 'file',
    fileId,
    transcript,
    captionsId,
  });

  it('needs no account and no cookie, tells no search engine, and runs nothing from other servers', async () => {
    const { headers, text, status } = await see(await keep(oneFile((await add(sound, 'waves.wav')).id)));
    expect(status).toBe(200);
    expect(headers['set-cookie']).toBeUndefined();
    expect(headers['x-robots-tag']).toBe('noindex');
    expect(headers['content-security-policy']).toContain("default-src 'none'; script-src 'self'");
    expect(text).toContain('<title>Shore sounds · Our school</title>');
    expect(text).not.toMatch(/https?:\/\/(?!127\.0\.0\.1)/);
  });

  it('is a sound with the words spoken', async () => {
    const file = await add(sound, 'waves.wav');
    const { text } = await see(await keep(oneFile(file.id, 'Listen.\n<b>Waves</b>')));
    expect(text).toContain(`<audio controls preload="metadata" src="${file.address}" data-speed="Speed"></audio>`);
    expect(text).toContain('<p>Listen.</p><p>&lt;b&gt;Waves&lt;/b&gt;</p>');
  });

  it('is a film with its captions', async () => {
    const [file, captions] = [await add(film, 'limpet.mp4'), await add('WEBVTT\n', 'limpet.vtt')];
    const { text } = await see(await keep(oneFile(file.id, '', captions.id)));
    expect(text).toContain(
      `<video controls playsinline preload="metadata" src="${file.address}" data-speed="Speed"><track kind="captions" srclang="en-GB" label="Subtitles" src="${captions.address}" default></video>`,
    );
  });

  it('is a PDF that opens without any script, and is said with its size', async () => {
    const file = await add('%PDF-1.7\n%âãÏÓ\n', 'guide.pdf');
    const { text } = await see(await keep(oneFile(file.id)));
    expect(text).toContain(
      `<a class="open" href="${file.address}">Open \u2068guide.pdf\u2069</a> <span class="size">1 kB</span>`,
    );
  });

  it('is a file to save', async () => {
    const file = await add('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>', 'odd"name.svg');
    const { text } = await see(await keep(oneFile(file.id)));
    expect(text).toContain(`<a class="open" href="${file.address}" download="odd&quot;name.svg">Save file</a>`);
  });

  it('is a set of pictures with captions, and the first one in link previews', async () => {
    const file = await add(png, 'cove.png');
    const page = await keep({
      kind: 'picture-set',
      pictures: [
        { fileId: file.id, caption: 'The <cove>', alternative: 'Rocks' },
        { fileId: file.id, caption: '', alternative: '' },
      ],
    });
    const { text } = await see(page);
    expect(text.match(/<figure>/g)).toHaveLength(2);
    expect(text).toContain('alt="Rocks" width="1" height="1"');
    expect(text).toContain('<figcaption>The &lt;cove&gt;</figcaption>');
    expect(text).toContain(`<meta property="og:image" content="http://127.0.0.1:4300${file.address}/w640">`);
    expect(text).toContain('<meta property="og:title" content="Shore sounds">');
  });

  it('is a written page, and changes with it', async () => {
    const file = await add(png, 'cove.png');
    const document = {
      type: 'doc' as const,
      content: [
        {
          type: 'paragraph' as const,
          content: [
            {
              type: 'text' as const,
              text: 'Low tide at nine',
              marks: [{ type: 'link' as const, attrs: { href: 'https://tides.example/' } }],
            },
          ],
        },
      ],
    };
    const page = await keep({ kind: 'written-page', document });
    expect(page.kept).toEqual({
      kind: 'written-page',
      excerpt: 'Low tide at nine',
      words: 4,
      links: ['https://tides.example/'],
      files: 0,
    });
    const first = await see(page);
    expect(first.text).toContain(
      '<article lang="en-GB" dir="auto"><p><a href="https://tides.example/" rel="noopener noreferrer">Low tide at nine</a></p></article>',
    );
    expect((await see(page).set('If-None-Match', first.headers.etag ?? '')).status).toBe(304);
    const saved = await scene.server.ok<WrittenPageView>('Maren', 'PUT', `/api/materials/${page.material.id}/page`, {
      version: 1,
      over: false,
      document: { type: 'doc', content: [{ type: 'keptPicture', attrs: { fileId: file.id, alt: 'Cove' } }] },
    });
    expect(saved).toMatchObject({ version: 2, files: [{ id: file.id }] });
    const second = await see(page).set('If-None-Match', first.headers.etag ?? '');
    expect(second.text).toContain(`<img src="${file.address}/w1280"`);
  });

  it('follows the phone’s language, and the choice at its foot; what a teacher wrote stays in the school’s', async () => {
    const page = await keep(oneFile((await add('%PDF-1.7\n%âãÏÓ\n', 'guide.pdf')).id));
    const ukrainian = await see(page).set('Accept-Language', 'cs, uk-UA;q=0.9, en;q=0.8');
    expect(ukrainian.headers.vary).toContain('Accept-Language');
    expect(ukrainian.text).toContain('<html lang="uk" dir="ltr">');
    expect(ukrainian.text).toContain('<h1 lang="en-GB" dir="auto">Shore sounds</h1>');
    expect(ukrainian.text).toContain('>Відкрити \u2068guide.pdf\u2069</a> <span class="size">1 кБ</span>');
    expect(ukrainian.text).toContain('data-page="Сторінка {page} з {pages}"');
    const arabic = await see(page).query({ lang: 'ar' }).set('Accept-Language', 'uk');
    expect(arabic.text).toContain('<html lang="ar" dir="rtl">');
    expect(arabic.text).toContain('<strong aria-current="true" lang="ar" dir="rtl">العربية</strong>');
    expect(arabic.text).toContain('<a lang="tr" hreflang="tr" dir="ltr" rel="nofollow" href="?lang=tr">Türkçe</a>');
    expect(arabic.headers['set-cookie']).toBeUndefined();
    const same = see(page).set('If-None-Match', ukrainian.headers.etag ?? '');
    expect((await same.set('Accept-Language', 'uk')).status).toBe(304);
    const other = see(page).set('If-None-Match', ukrainian.headers.etag ?? '');
    expect((await other.set('Accept-Language', 'pl')).status).toBe(200);
  });

  it('loads the letters of other scripts that it needs, and no others', async () => {
    const page = await keep(oneFile((await add(sound, 'waves.wav')).id), 'Ωκεανός 海の音');
    const facesOf = (text: string): readonly string[] =>
      [...text.matchAll(/src:url\(([^)]*)\)/g)].map(([, at]) => at ?? '');
    const font = async (at: string): Promise<Font> => {
      const { body, headers, status } = await request(scene.server.app.getHttpServer()).get(at).responseType('blob');
      expect([status, headers['content-type']]).toEqual([200, 'font/woff2']);
      expect(headers['cache-control']).toContain('immutable');
      return create(body as Buffer) as Font;
    };
    const faces = facesOf((await see(page)).text);
    expect(faces.map((at) => /fonts\/(\w+)\.woff2/.exec(at)?.[1])).toEqual(['sans', 'jp', 'sans', 'arabic']);
    const japanese = await font(faces[1] ?? '');
    for (const character of '海の音') expect(japanese.hasGlyphForCodePoint(character.codePointAt(0) ?? 0)).toBe(true);
    expect(japanese.hasGlyphForCodePoint('波'.codePointAt(0) ?? 0)).toBe(false);
    expect((await font(faces[3] ?? '')).hasGlyphForCodePoint('ة'.codePointAt(0) ?? 0)).toBe(true);
    const [gone = ''] = facesOf((await request(scene.server.app.getHttpServer()).get('/p/x?lang=ar')).text);
    expect((await font(gone)).hasGlyphForCodePoint('ص'.codePointAt(0) ?? 0)).toBe(true);
    for (const at of ['/p/fonts/jp.woff2', '/p/fonts/x.woff2', '/p/abcdefghijkmnpqr/fonts/sans.woff2'])
      expect((await request(scene.server.app.getHttpServer()).get(at)).status).toBe(404);
  });

  it('says in words what is gone, withdrawn or over, with the school’s name', async () => {
    const page = await keep(oneFile((await add(sound, 'waves.wav')).id));
    const path = `/api/materials/${page.material.id}`;
    await scene.server.ok('Maren', 'PATCH', path, {
      version: 1,
      shownUntil: scene.server.clock.now().toISOString().slice(0, 10),
    });
    expect((await see(page)).status).toBe(200);
    scene.server.clock.advance(24 * 3600 * 1000);
    const over = await see(page);
    expect([over.status, over.text]).toEqual([410, expect.stringContaining('<h1>This page is closed</h1>')]);
    await scene.server.ok('Maren', 'PATCH', path, { version: 2, shownUntil: null });
    expect((await see(page)).status).toBe(200);
    await scene.server.ok('Maren', 'DELETE', path);
    const withdrawn = await see(page);
    expect([withdrawn.status, withdrawn.text]).toEqual([
      410,
      expect.stringContaining('<h1>This page was taken down</h1>'),
    ]);
    for (const token of ['abcdefghijkmnpqr', '%3Cscript%3E', 'x']) {
      const missing = await request(scene.server.app.getHttpServer()).get(`/p/${token}`);
      expect([missing.status, missing.text]).toEqual([404, expect.stringContaining('>Our school</bdi></header>')]);
      expect(missing.text).not.toContain('<script');
    }
    scene.server.clock.advance(-24 * 3600 * 1000);
  });

  it('is known to open without asking its own address, and nothing else of the server passes the guard', async () => {
    const address = `http://127.0.0.1:${(scene.server.app.getHttpServer().address() as { port: number }).port}`;
    const school = await scene.server.ok<{ version: number; name: string; timeZone: string; paper: string }>(
      'Pell',
      'GET',
      '/api/school',
    );
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, publicAddress: address, shortLinkHost: null });
    const lessonId = await scene.lesson();
    const file = await add(madeMedia.wav(), 'waves.wav');
    const own = { kept: oneFile(file.id), pasted: 'x', repairs: [], title: 'Shore sounds' };
    await scene.stations(lessonId, [
      own,
      { link: `${address}/api/health`, pasted: 'x', repairs: [] },
      { link: `${address}/p/../api/health`, pasted: 'x', repairs: [] },
    ]);
    const bench = await scene.opened(lessonId);
    expect(bench.rows.map(({ readiness }) => readiness.opens.verdict)).toEqual(['open', 'refused', 'refused']);
    expect(bench.rows[0]?.code?.payload).toBe(bench.rows[0]?.material.pageAddress);
  });

  it('warns before paper that no phone could use: the address leads to this computer alone', async () => {
    const page = await keep(oneFile((await add(sound, 'waves.wav')).id));
    const response = await scene.server.as('Maren', 'POST', `/api/materials/${page.material.id}/sheets`, {
      kind: 'poster',
      paper: 'A4',
      goAhead: ['locked', 'not-opening', 'not-opened-yet', 'does-not-read'],
    });
    expect(response.body).toMatchObject({ reason: 'sheet-needs-go-ahead', warnings: ['address-not-reachable'] });
  });

  it('is gone with its files when it is over or withdrawn; its owner still sees them', async () => {
    const file = await add(sound, 'waves.wav');
    const page = await keep(oneFile(file.id));
    const ask = (cookie = '') => request(scene.server.app.getHttpServer()).get(file.address).set('Cookie', cookie);
    const statuses = async (): Promise<readonly number[]> => [
      (await ask()).status,
      (await ask(await scene.server.cookieOf('Tobiah'))).status,
      (await ask(await scene.server.cookieOf('Maren'))).status,
    ];
    expect(await statuses()).toEqual([200, 200, 200]);
    const path = `/api/materials/${page.material.id}`;
    await scene.server.ok('Maren', 'PATCH', path, { version: 1, shownUntil: '2020-01-01' });
    expect(await statuses()).toEqual([404, 404, 200]);
    await scene.server.ok('Maren', 'PATCH', path, { version: 2, shownUntil: null });
    expect(await statuses()).toEqual([200, 200, 200]);
    await scene.server.ok('Maren', 'DELETE', path);
    expect(await statuses()).toEqual([404, 404, 200]);
    // Shown by another page still.
    await keep(oneFile(file.id), 'Once more');
    expect(await statuses()).toEqual([200, 200, 200]);
  });
});

describe('written pages by two people at once', () => {
  let scene: Scene;
  beforeAll(async () => {
    scene = await Scene.start();
  });
  afterAll(() => scene.stop());
  const page = (words: string) => ({
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'text', text: words }] }],
  });

  it('are told, and nothing that was written is lost', async () => {
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [{ kept: { kind: 'written-page', document: page('begun') }, pasted: 'x', repairs: [], title: 'Tides' }],
    });
    const path = `/api/materials/${materialIds[0] ?? ''}/page`;
    await scene.server.ok('Maren', 'PUT', path, { version: 1, over: false, document: page('on the laptop') });
    const stale = await scene.server.as('Maren', 'PUT', path, {
      version: 1,
      over: false,
      document: page('on the phone'),
    });
    expect(stale.body).toMatchObject({ reason: 'stale' });
    await scene.server.ok('Maren', 'PUT', path, { version: 2, over: true, document: page('on the phone') });
    const earlier = await scene.server.ok<{ document: object }[]>('Maren', 'GET', `${path}/earlier`);
    expect(earlier.map(({ document }) => document)).toEqual([page('on the laptop'), page('begun')]);
  });

  it('are kept as they were once in a while, not with every letter', async () => {
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [{ kept: { kind: 'written-page', document: page('0') }, pasted: 'x', repairs: [], title: 'Tides' }],
    });
    const path = `/api/materials/${materialIds[0] ?? ''}/page`;
    for (let version = 1; version <= 4; version += 1) {
      await scene.server.ok('Maren', 'PUT', path, { version, over: false, document: page(String(version)) });
      if (version === 3) scene.server.clock.advance(11 * 60 * 1000);
    }
    const earlier = await scene.server.ok<{ document: object }[]>('Maren', 'GET', `${path}/earlier`);
    expect(earlier.map(({ document }) => document)).toEqual([page('3'), page('0')]);
  });

  it('are read and saved as pages only', async () => {
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [{ link: 'https://a.example/who', pasted: 'x', repairs: [] }],
    });
    const path = `/api/materials/${materialIds[0] ?? ''}/page`;
    expect((await scene.server.as('Maren', 'GET', path)).status).toBe(404);
    expect((await scene.server.as('Maren', 'PUT', path, { version: 1, over: false, document: page('x') })).status).toBe(
      404,
    );
    const changed = await scene.server.as('Maren', 'PATCH', `/api/materials/${materialIds[0] ?? ''}`, {
      version: 1,
      kept: { kind: 'written-page', document: page('x') },
    });
    expect(changed.body).toMatchObject({ reason: 'invalid', fields: [{ field: 'kept' }] });
  });
});

describe('the second look at a page’s HTML', () => {
  it.each([
    ['<p onclick="alert(1)">x</p>', '<p>x</p>'],
    ['<script>alert(1)</script><p>x</p>', '<p>x</p>'],
    ['<a href="javascript:alert(1)">x</a>', '<a>x</a>'],
    ['<img src="https://evil.example/x.png">', ''],
    ['<img src="/api/session">', ''],
    ['<audio src="/k/abcdefghijkmnpqr" autoplay></audio>', '<audio src="/k/abcdefghijkmnpqr"></audio>'],
    ['<span class="colour-red evil" style="position:fixed">x</span>', '<span class="colour-red">x</span>'],
    ['<iframe src="https://evil.example"></iframe><svg onload=alert(1)></svg>', ''],
  ])('%s becomes %s', (given, clean) => expect(cleanHtml(given)).toBe(clean));
});
