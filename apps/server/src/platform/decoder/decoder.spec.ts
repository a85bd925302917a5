import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp, { type Sharp, type SharpOptions } from 'sharp';
import { Decoder, decoderLimits } from './decoder.js';

describe('decoding uploaded files', () => {
  const folder = mkdtempSync(join(tmpdir(), 'hapset-decoder-'));
  afterAll(() => rmSync(folder, { recursive: true, force: true }));
  const decoder = new Decoder();
  const local = (name: string, bytes: Buffer): string => {
    const file = join(folder, name);
    writeFileSync(file, bytes);
    return file;
  };
  const plain = (width: number, height: number): Sharp =>
    sharp({ create: { width, height, channels: 3, background: '#336699' }, limitInputPixels: false });
  const residentMb = (): number => process.memoryUsage().rss / 1e6;

  it('reads the header first: four photographs of 196 megapixels cost nothing', async () => {
    const file = local('huge.jpg', await plain(14_000, 14_000).jpeg({ quality: 20 }).toBuffer());
    const before = residentMb();
    const asked = await Promise.allSettled(Array.from({ length: 4 }, () => decoder.decode({ kind: 'prepare', file })));
    for (const one of asked)
      expect(one).toMatchObject({
        status: 'rejected',
        reason: {
          reason: 'unusable-picture',
          message: 'This picture has 196 megapixels; 50 are the most. Save it smaller and add it again.',
        },
      });
    expect(residentMb() - before).toBeLessThan(150);
  });

  it('takes fifty megapixels, turned by their mark, within its memory', async () => {
    const file = local(
      'fifty.jpg',
      await plain(8660, 5770).withMetadata({ orientation: 6 }).jpeg({ quality: 30 }).toBuffer(),
    );
    expect(await decoder.decode({ kind: 'prepare', file })).toMatchObject({
      media: 'picture',
      widthPx: 5770,
      heightPx: 8660,
    });
  });

  it('counts all frames of what moves', async () => {
    const frame = (background: string): Promise<Buffer> =>
      sharp({ create: { width: 4000, height: 4000, channels: 3, background } })
        .png()
        .toBuffer();
    const frames = await sharp(await Promise.all(['#222222', '#aa2222', '#22aa22', '#2222aa'].map(frame)), {
      join: { animated: true },
    } as SharpOptions)
      .gif()
      .toBuffer();
    await expect(decoder.decode({ kind: 'prepare', file: local('moving.gif', frames) })).rejects.toMatchObject({
      reason: 'unusable-picture',
    });
  });

  it('ends what takes too long or too much, says so, and goes on', async () => {
    const file = local('slow.jpg', await plain(6000, 6000).jpeg().toBuffer());
    const narrow = new Decoder();
    narrow.limits = { ...decoderLimits, timeMs: 30 };
    await expect(narrow.decode({ kind: 'prepare', file })).rejects.toMatchObject({
      reason: 'unusable-picture',
      message: expect.stringContaining('too long or too much memory') as string,
    });
    narrow.limits = { ...decoderLimits, memoryBytes: 90_000_000 };
    await expect(narrow.decode({ kind: 'prepare', file })).rejects.toMatchObject({ reason: 'unusable-picture' });
    narrow.limits = decoderLimits;
    await expect(narrow.decode({ kind: 'prepare', file })).resolves.toMatchObject({ widthPx: 6000 });
  });

  it('has a short line', async () => {
    const narrow = new Decoder();
    narrow.limits = { ...decoderLimits, atOnce: 1, waitingAtMost: 1 };
    const file = local('small.png', await plain(10, 10).png().toBuffer());
    const [first, second, third] = [1, 2, 3].map(() =>
      narrow.decode({ kind: 'centre', file, widestPx: 5 }).catch((error: unknown) => error),
    );
    expect(await third).toMatchObject({ reason: 'busy' });
    expect([await first, await second]).toMatchObject([{ widthPx: 5 }, { widthPx: 5 }]);
  });

  it('refuses what only calls itself a picture', async () => {
    for (const bytes of [
      Buffer.from('\x89PNG\r\n\x1a\n\0\0\0\rIHDRnothing', 'latin1'),
      Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 1]),
    ])
      await expect(decoder.decode({ kind: 'prepare', file: local('x', bytes) })).rejects.toMatchObject({
        reason: 'unusable-picture',
      });
    const drawing = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="100000" height="100000"><rect width="100%" height="100%"/></svg>',
    );
    await expect(decoder.decode({ kind: 'centre', file: local('x.svg', drawing), widestPx: 50 })).rejects.toMatchObject(
      { reason: 'unusable-picture' },
    );
    await expect(
      decoder.decode({ kind: 'preview', picture: drawing, widthPx: 10, heightPx: 10 }),
    ).rejects.toMatchObject({ reason: 'unusable-picture' });
  });
});
