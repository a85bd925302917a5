import { until } from '../../test/until.js';
import { chmodSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { FileView } from '@hapset/contract';
import { Readable } from 'node:stream';
import request from 'supertest';
import { OfficeConverter } from './office-converter.js';
import { findOffice } from '../../platform/configuration/find-program.js';
import { Job } from '../../platform/queue/job.entity.js';
import { Scene } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { uploaded } from '../../test/upload.js';

describe('office files', () => {
  /** A small script used instead of LibreOffice. It takes the same command line. */
  const program = (script: string): string => {
    const file = join(mkdtempSync(join(tmpdir(), 'office-')), 'soffice');
    writeFileSync(file, `#!/bin/bash\n${script}\n`);
    chmodSync(file, 0o755);
    return file;
  };
  const makesPdf =
    'while [ $# -gt 1 ]; do [ "$1" = --outdir ] && out="$2"; shift; done; printf "%%PDF-1.4 made of %s" "$(cat "$1")" > "$out/given.pdf"';
  const limits = { timeMs: 1500, memoryBytes: 2 * 1024 ** 3, outputBytes: 1000 };
  const source = (): Readable => Readable.from([Buffer.from('a letter')]);
  const never = new AbortController().signal;

  it('are offered as PDF as well, by a job', async () => {
    const server = await TestServer.start({ officeProgram: program(makesPdf) });
    await server.addAccount('Maren');
    const there = { server } as unknown as Scene;
    const file = await server.ok<FileView>('Maren', 'POST', '/api/files', {
      uploadId: await uploaded(there, '{\\rtf1 Low tide}'),
      name: 'letter.rtf',
    });
    expect(file).toMatchObject({ media: 'office', variants: [] });
    const jobs = server.dataSource.getRepository(Job);
    await until(() => jobs.existsBy({ kind: 'convert-office', state: 'done' }), Boolean);
    const pdf = await request(server.app.getHttpServer())
      .get(`${file.address}/pdf`)
      .set('Cookie', await server.cookieOf('Maren'))
      .buffer(true);
    expect([pdf.headers['content-type'], (pdf.body as Buffer).toString()]).toEqual([
      'application/pdf',
      '%PDF-1.4 made of {\\rtf1 Low tide}',
    ]);
    expect(pdf.headers['content-disposition']).toBe('inline; filename=letter.pdf');
    await server.stop();
  });

  it('are kept as they are where LibreOffice is not installed', async () => {
    const scene = await Scene.start();
    const file = await scene.server.ok<FileView>('Maren', 'POST', '/api/files', {
      uploadId: await uploaded(scene, '{\\rtf1 High tide}'),
      name: 'letter.rtf',
    });
    expect(file).toMatchObject({ media: 'office', variants: [] });
    expect(await scene.server.dataSource.getRepository(Job).existsBy({ kind: 'convert-office' })).toBe(false);
    await scene.stop();
  });

  it('that take too long are ended, with what they started', async () => {
    const began = Date.now();
    await expect(
      new OfficeConverter(program('sleep 60 & sleep 60'), limits).convert(source(), never, () => Promise.resolve()),
    ).rejects.toThrow('was ended after 1500 ms');
    expect(Date.now() - began).toBeLessThan(30_000);
  });

  it('that write without end, or nothing, are failures', async () => {
    await expect(
      new OfficeConverter(
        program(
          'while [ $# -gt 1 ]; do [ "$1" = --outdir ] && out="$2"; shift; done; head -c 5000 /dev/zero > "$out/given.pdf"',
        ),
        limits,
      ).convert(source(), never, () => Promise.resolve()),
    ).rejects.toThrow(/LibreOffice/);
    await expect(
      new OfficeConverter(program('true'), limits).convert(source(), never, () => Promise.resolve()),
    ).rejects.toThrow('made no PDF');
    await expect(new OfficeConverter(null).convert(source(), never, () => Promise.resolve())).rejects.toThrow(
      'not installed',
    );
  });

  it('is found along the path', () => {
    const file = program('true');
    expect(findOffice(`/nowhere:${join(file, '..')}`)).toBe(file);
    expect(findOffice('/nowhere')).toBeNull();
  });
});
