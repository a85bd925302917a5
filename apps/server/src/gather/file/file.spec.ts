import { existsSync, mkdirSync, mkdtempSync, readdirSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import type { FilesPage, FileView, MaterialPage } from '@hapset/contract';
import sharp from 'sharp';
import request from 'supertest';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { Scene } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { beginUpload, idOf, sendChunk, uploaded, uploadOffset } from '../../test/upload.js';
import { KeptFile } from './kept-file.entity.js';
import { tellText } from '../../platform/decoder/media.js';
import { StoredContent } from './stored-content.entity.js';
import { TidyFilesService } from './tidy-files.service.js';

/** A photograph that lies on its side and says where it was taken. */
const photograph = (): Promise<Buffer> =>
  sharp({ create: { width: 900, height: 1600, channels: 3, background: '#3a7' } })
    .jpeg()
    .withMetadata({ orientation: 6 })
    .withExifMerge({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '53/1 20/1 0/1' } })
    .toBuffer();

describe('kept files', () => {
  let scene: Scene;
  let marensCookie: string;
  const filesFolder = mkdtempSync(join(tmpdir(), 'kept-files-'));
  beforeAll(async () => {
    scene = await Scene.start({ filesFolder });
    marensCookie = await scene.server.cookieOf('Maren');
  });
  afterAll(() => scene.stop());

  const add = async (content: string | Buffer, name = 'words.txt', who = 'Maren'): Promise<FileView> =>
    scene.server.ok(who, 'POST', '/api/files', { uploadId: await uploaded(scene, content, who), name });
  /** By its owner: nobody else sees what no page shows. */
  const get = (path: string, headers: Record<string, string> = {}) =>
    request(scene.server.app.getHttpServer())
      .get(path)
      .set({ Cookie: marensCookie, ...headers })
      .buffer(true)
      .parse((response, done) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => done(null, Buffer.concat(chunks)));
      });

  describe('uploads', () => {
    it('go on where they were left, and lose nothing that was acknowledged when the server is gone', async () => {
      const id = idOf(await beginUpload(scene, 10));
      expect((await sendChunk(scene, id, 0, Buffer.from('low '))).headers['upload-offset']).toBe('4');
      // Another server on the same database and folder takes over.
      const second = await TestServer.start({ database: scene.server.database, filesFolder });
      const there = { server: second } as unknown as Scene;
      expect(await uploadOffset(there, id)).toBe(4);
      expect((await sendChunk(there, id, 0, Buffer.from('again'))).status).toBe(409);
      expect((await sendChunk(there, id, 4, Buffer.from('tide!!'))).headers['upload-offset']).toBe('10');
      const file = await second.ok<FileView>('Maren', 'POST', '/api/files', { uploadId: id, name: 'tide.txt' });
      await second.stop();
      expect((await get(file.address)).body.toString()).toBe('low tide!!');
    });

    it('become no file before they are finished', async () => {
      const id = await uploaded(scene, 'half of it', 'Maren', false);
      const response = await scene.server.as('Maren', 'POST', '/api/files', { uploadId: id, name: 'x' });
      expect(response.status).toBe(400);
      expect(response.body).toMatchObject({ reason: 'invalid', fields: [{ field: 'uploadId' }] });
    });

    it('are their owner’s alone', async () => {
      const id = await uploaded(scene, 'mine');
      expect((await scene.server.as('Tobiah', 'POST', '/api/files', { uploadId: id, name: 'x' })).status).toBe(404);
      expect((await sendChunk(scene, id, 0, Buffer.from('x'), 'Tobiah')).status).toBe(404);
    });

    it('are refused before a byte comes when they are too large', async () => {
      const response = await beginUpload(scene, 200_000_001);
      expect(response.status).toBe(413);
      expect(response.body).toMatchObject({ reason: 'too-large' });
      expect((await beginUpload(scene, 0)).body).toMatchObject({ reason: 'invalid' });
    });

    it('leave nothing behind when they are ended, or nobody goes on with them', async () => {
      const id = await uploaded(scene, 'never mind', 'Maren', false);
      await scene.server.ok('Maren', 'DELETE', `/api/uploads/${id}`);
      const old = await uploaded(scene, 'forgotten', 'Maren', false);
      scene.server.clock.advance(49 * 3600 * 1000);
      await scene.server.app.get(TidyFilesService).tidy();
      expect(
        readdirSync(join(filesFolder, 'uploads')).filter((name) => name.startsWith(id) || name.startsWith(old)),
      ).toEqual([]);
      scene.server.clock.advance(-49 * 3600 * 1000);
    });
  });

  it('are counted against what a teacher may keep, the same bytes once', async () => {
    const before = (await scene.server.ok<FilesPage>('Tobiah', 'GET', '/api/files')).usedBytes;
    await add('the same words', 'a.txt', 'Tobiah');
    await add('the same words', 'b.txt', 'Tobiah');
    const page = await scene.server.ok<FilesPage>('Tobiah', 'GET', '/api/files');
    expect(page.usedBytes - before).toBe(14);
    expect(page.rows.map(({ name }) => name)).toEqual(['b.txt', 'a.txt']);
    const full = await TestServer.start({ teacherLimitBytes: 20 });
    await full.addAccount('Maren');
    const there = { server: full } as unknown as Scene;
    expect((await beginUpload(there, 15)).status).toBe(201);
    expect((await beginUpload(there, 15)).body).toMatchObject({ reason: 'storage-full' });
    await full.stop();
  });

  it('are stored once, however often they come', async () => {
    const contents = scene.server.dataSource.getRepository(StoredContent);
    const before = await contents.count();
    await add('once and only once', 'a.txt');
    await add('once and only once', 'b.txt', 'Tobiah');
    expect(await contents.count()).toBe(before + 1);
  });

  describe('pictures', () => {
    it('stand upright, without the place where they were taken, in sizes for phones', async () => {
      const given = await photograph();
      expect((await sharp(given).metadata()).exif).toBeDefined();
      const file = await add(given, 'cove.jpg');
      expect(file).toMatchObject({
        media: 'picture',
        contentType: 'image/jpeg',
        widthPx: 1600,
        heightPx: 900,
        variants: ['w640', 'w1280'],
      });
      const kept = await sharp((await get(file.address)).body as Buffer).metadata();
      expect(kept).toMatchObject({ width: 1600, height: 900 });
      expect([kept.exif, kept.xmp, kept.orientation]).toEqual([undefined, undefined, undefined]);
      const small = await get(`${file.address}/w640`);
      expect(small.headers['content-type']).toBe('image/webp');
      expect(await sharp(small.body as Buffer).metadata()).toMatchObject({ width: 640, height: 360 });
      expect((await get(`${file.address}/w9999`)).status).toBe(404);
    });

    it('that can’t be read are refused in words, and the upload stays', async () => {
      const broken = Buffer.concat([(await photograph()).subarray(0, 200), Buffer.from('nothing more')]);
      const uploadId = await uploaded(scene, broken);
      const response = await scene.server.as('Maren', 'POST', '/api/files', { uploadId, name: 'x.jpg' });
      expect(response.status).toBe(422);
      expect(response.body).toMatchObject({ reason: 'unusable-picture' });
      expect(await uploadOffset(scene, uploadId)).toBe(broken.length);
    });
  });

  describe('their bytes', () => {
    it('come whole, in part, or not at all when the browser has them', async () => {
      const { address } = await add('0123456789', 'digits.txt');
      const whole = await get(address);
      expect([whole.status, whole.body.toString(), whole.headers['accept-ranges']]).toEqual([
        200,
        '0123456789',
        'bytes',
      ]);
      const part = await get(address, { Range: 'bytes=2-5' });
      expect([part.status, part.body.toString(), part.headers['content-range']]).toEqual([206, '2345', 'bytes 2-5/10']);
      expect((await get(address, { Range: 'bytes=-3' })).body.toString()).toBe('789');
      expect((await get(address, { Range: 'bytes=7-' })).body.toString()).toBe('789');
      const beyond = await get(address, { Range: 'bytes=20-' });
      expect([beyond.status, beyond.headers['content-range']]).toEqual([416, 'bytes */10']);
      expect((await get(address, { Range: 'bytes=0-1,4-5' })).body.toString()).toBe('0123456789');
      expect((await get(address, { 'If-None-Match': whole.headers.etag ?? '' })).status).toBe(304);
    });

    it('need no account, and an address that nobody can guess', async () => {
      const { address } = await add('for all');
      expect(address).toMatch(/^\/k\/[a-z2-9]{16}$/);
      expect((await get('/k/abcdefghijkmnpqr')).status).toBe(404);
    });

    it.each([
      [
        'an SVG with a script',
        '<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>',
        'drawing.svg',
        'image/svg+xml',
      ],
      ['a page with a script', '<!doctype html><script>alert(1)</script>', 'page.html', 'text/html'],
      ['a page that calls itself a picture', '<html><body onload=alert(1)>', 'photo.png', 'text/html'],
      ['a style sheet for pages', '<?xml version="1.0"?><?xml-stylesheet href="x"?><a/>', 'x.xml', 'application/xml'],
    ])('are harmless: %s', async (_, content, name, contentType) => {
      const file = await add(content, name);
      expect(file).toMatchObject({ contentType, media: 'other' });
      const { headers } = await get(file.address);
      expect(headers['content-disposition']).toBe(`attachment; filename=${name}`);
      expect(headers['content-security-policy']).toBe("default-src 'none'; style-src 'unsafe-inline'; sandbox");
      expect(headers['x-content-type-options']).toBe('nosniff');
    });

    it('are told by what they are, whatever their name says', async () => {
      expect(await add('%PDF-1.7\n%âãÏÓ\n', 'song.mp3')).toMatchObject({ media: 'pdf', name: 'song.mp3' });
      expect(await add('WEBVTT\n\n00:00.000 --> 00:02.000\nLow tide.', 'film.srt')).toMatchObject({
        media: 'captions',
        contentType: 'text/vtt',
      });
      expect(await add('RIFF\u0024\u0000\u0000\u0000WAVEfmt ', 'x')).toMatchObject({
        media: 'sound',
        contentType: 'audio/wav',
      });
      expect(tellText(Buffer.from([1, 2, 0, 4]))).toEqual({ contentType: 'application/octet-stream', media: 'other' });
      expect(tellText(Buffer.from('Grüße'.repeat(900)).subarray(0, 4096))).toEqual({
        contentType: 'text/plain',
        media: 'other',
      });
      expect(tellText(Buffer.from([0xff, 0xfe, 0x41, 0x42]))).toEqual({
        contentType: 'application/octet-stream',
        media: 'other',
      });
    });

    it('are saved under the name that was given, without folders and line ends', async () => {
      const file = await add('x', '../../etc/Übung "1"\r\nSet-Cookie: a.txt');
      expect(file.name).toBe('Übung "1"Set-Cookie: a.txt');
      expect((await get(file.address)).headers['content-disposition']).toContain("filename*=UTF-8''%C3%9Cbung");
    });
  });

  it('keep their address when their content is replaced', async () => {
    const file = await add('first words');
    const after = await scene.server.ok<FileView>('Maren', 'POST', `/api/files/${file.id}/content`, {
      uploadId: await uploaded(scene, 'second words'),
      name: 'second.txt',
    });
    expect(after).toMatchObject({ id: file.id, name: 'second.txt', address: file.address, version: 2, sizeBytes: 12 });
    expect((await get(file.address)).body.toString()).toBe('second words');
  });

  it('are renamed, and a stale name is refused', async () => {
    const file = await add('named');
    expect(
      await scene.server.ok('Maren', 'PATCH', `/api/files/${file.id}`, { name: 'better.txt', version: 1 }),
    ).toMatchObject({ name: 'better.txt', version: 2 });
    expect(
      (await scene.server.as('Maren', 'PATCH', `/api/files/${file.id}`, { name: 'other.txt', version: 1 })).body,
    ).toMatchObject({ reason: 'stale' });
  });

  it('say where they are used before they go, come back, and leave nothing behind in the end', async () => {
    const file = await add('shown somewhere');
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [
        {
          kept: { kind: 'file', fileId: file.id, transcript: '', captionsId: null },
          pasted: 'x',
          repairs: [],
          title: 'Shore words',
        },
      ],
    });
    const refused = await scene.server.as('Maren', 'DELETE', `/api/files/${file.id}`);
    expect(refused.status).toBe(409);
    expect(refused.body).toMatchObject({
      reason: 'in-use',
      usedBy: { kind: 'material', names: ['Shore words'], count: 1 },
    });
    expect((await scene.server.ok<FilesPage>('Maren', 'GET', '/api/files')).rows[0]).toMatchObject({
      id: file.id,
      usedIn: [{ id: materialIds[0], title: 'Shore words' }],
    });

    const unused = await add('shown nowhere');
    await scene.server.ok('Maren', 'DELETE', `/api/files/${unused.id}`);
    expect((await get(unused.address)).status).toBe(404);
    await scene.server.ok('Maren', 'POST', `/api/files/${unused.id}/restore`);
    expect((await get(unused.address)).status).toBe(200);
    await scene.server.ok('Maren', 'DELETE', `/api/files/${unused.id}`);

    const tidy = scene.server.app.get(TidyFilesService);
    const contents = scene.server.dataSource.getRepository(StoredContent);
    const { contentHash } = await scene.server.dataSource.getRepository(KeptFile).findOneByOrFail({ id: unused.id });
    const place = join(filesFolder, 'kept', contentHash.slice(0, 2), contentHash);
    await tidy.tidy();
    expect(existsSync(place)).toBe(true);
    scene.server.clock.advance(25 * 3600 * 1000);
    await tidy.tidy();
    scene.server.clock.advance(2 * 3600 * 1000);
    await tidy.tidy();
    expect(existsSync(place)).toBe(false);
    expect(await contents.existsBy({ hash: contentHash })).toBe(false);
    expect((await get(file.address)).status).toBe(200);
    scene.server.clock.advance(-27 * 3600 * 1000);
  });

  it('of another teacher can’t be shown', async () => {
    const theirs = await add('not yours', 'x.txt', 'Tobiah');
    const response = await scene.server.as('Maren', 'POST', '/api/materials', {
      items: [
        { kept: { kind: 'file', fileId: theirs.id, transcript: '', captionsId: null }, pasted: 'x', repairs: [] },
      ],
    });
    expect(response.status).toBe(404);
  });

  it('are what a material’s page shows', async () => {
    const file = await add(await photograph(), 'cove.jpg');
    const { materialIds } = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', {
      items: [
        {
          kept: { kind: 'picture-set', pictures: [{ fileId: file.id, caption: 'The cove', alternative: 'Rocks' }] },
          pasted: 'x',
          repairs: [],
          title: 'Cove',
        },
      ],
    });
    const page = await scene.server.ok<MaterialPage>('Maren', 'GET', `/api/materials/${materialIds[0] ?? ''}`);
    expect(page.kept).toMatchObject({
      kind: 'picture-set',
      pictures: [{ caption: 'The cove', alternative: 'Rocks', file: { id: file.id, media: 'picture' } }],
    });
    expect(page.code?.payload).toBe(page.material.pageAddress);
  });

  it('no header becomes part of a file’s name, and what no row knows is removed', async () => {
    const folder = scene.server.app.get<Configuration>(CONFIGURATION).filesFolder;
    for (const odd of ['../../outside', 'chosen-by-me', '/etc/cron.d/x']) {
      const begun = await request(scene.server.app.getHttpServer())
        .post('/api/uploads')
        .set({ 'Tus-Resumable': '1.0.0', 'Upload-Length': '4', 'X-Hapset-Upload': odd, Cookie: marensCookie });
      expect(begun.status).toBe(201);
      expect(begun.headers.location).toMatch(/\/[0-9a-f-]{36}$/);
    }
    const files = readdirSync(join(folder, 'uploads'));
    for (const name of files) expect(name).toMatch(/^[0-9a-f-]{36}(?:\.[\w.]+)?$/);
    const old = new Date(Date.now() - 3 * 24 * 3_600_000);
    const [strange, loose] = [
      join(folder, 'uploads', 'somebody-elses'),
      join(folder, 'kept', 'ab', `ab${'0'.repeat(62)}`),
    ];
    mkdirSync(dirname(loose), { recursive: true });
    for (const file of [strange, loose]) {
      writeFileSync(file, 'x');
      utimesSync(file, old, old);
    }
    const kept = await add('still here', 'here.txt');
    expect((await scene.server.app.get(TidyFilesService).compareWithDisk()).removed).toBe(2);
    expect([existsSync(strange), existsSync(loose)]).toEqual([false, false]);
    expect((await get(kept.address)).status).toBe(200);
  });
});
