/**
 * Decodes uploaded files. The bytes say what a file is; the header says its size before any pixel is decoded. Runs in a
 * process of its own with limits (decoder.ts), never in the server.
 */
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import sharp, { type Sharp, type SharpOptions } from 'sharp';
import {
  mostPixels,
  type DecodedPicture,
  type DecoderAnswer,
  type DecoderTask,
  type LookedInto,
  type PreparedContent,
  type PreparedVariant,
} from './decoder.task.js';
import { lookIntoMedia, lookIntoPdf } from './look-into.js';
import { tellMedia } from './media.js';

const phoneWidths = [
  ['w640', 640],
  ['w1280', 1280],
] as const;

/** One at a time, nothing kept: the process ends after its task. */
sharp.concurrency(1);
sharp.cache(false);

export async function decode(task: DecoderTask): Promise<DecoderAnswer> {
  try {
    return { ok: true, result: await run(task) };
  } catch (error) {
    if (error instanceof TooManyPixels) return { ok: false, reason: 'too-many-pixels', megapixels: error.megapixels };
    return { ok: false, reason: 'unreadable' };
  }
}

class TooManyPixels extends Error {
  constructor(readonly megapixels: number) {
    super('too many pixels');
  }
}

function run(task: DecoderTask): Promise<PreparedContent | LookedInto | DecodedPicture> {
  switch (task.kind) {
    case 'prepare':
      return prepare(task.file);
    case 'look-into':
      return lookInto(task.file);
    case 'centre':
      return centre(task.file, task.widestPx);
    case 'photo':
      return photo(task);
    case 'preview':
      return preview(task);
  }
}

async function prepare(file: string): Promise<PreparedContent> {
  const looked = await lookInto(file);
  if (looked.media !== 'picture')
    return { ...(await measured(file)), ...looked, widthPx: null, heightPx: null, variants: [] };
  return preparePicture(file, looked.contentType);
}

async function lookInto(file: string): Promise<LookedInto> {
  const told = await tellMedia(file);
  if (told.media === 'sound' || told.media === 'film') return { ...told, tracks: await lookIntoMedia(file) };
  return told.media === 'pdf' ? { ...told, pages: await lookIntoPdf(file) } : told;
}

async function preparePicture(file: string, given: string): Promise<PreparedContent> {
  const upright = `${file}.upright`;
  const { format, contentType } = encoded(
    (await openPicture(file, { animated: given === 'image/gif' || given === 'image/webp' })).rotate(),
    given,
  );
  const { width, height, pages } = await format.toFile(upright);
  const variants: PreparedVariant[] = [];
  for (const [name, widthPx] of phoneWidths) variants.push(await smaller(upright, name, widthPx));
  return {
    ...(await measured(upright)),
    contentType,
    media: 'picture',
    widthPx: width,
    heightPx: pages === undefined ? height : Math.round(height / pages),
    variants,
  };
}

async function centre(file: string, widestPx: number): Promise<DecodedPicture> {
  if ((await tellMedia(file)).media !== 'picture') throw new TypeError('no picture');
  const picture = (await openPicture(file))
    .rotate()
    .resize(widestPx, widestPx, { fit: 'inside', withoutEnlargement: true });
  return decoded(picture.png());
}

async function photo({ picture, widthPx, heightPx }: Extract<DecoderTask, { kind: 'photo' }>): Promise<DecodedPicture> {
  const cut = (await openPicture(Buffer.from(picture), { failOn: 'error' }))
    .rotate()
    .resize(widthPx, heightPx, { fit: 'cover' })
    .flatten({ background: '#ffffff' });
  return decoded(cut.jpeg({ quality: 84 }));
}

async function preview({
  picture,
  widthPx,
  heightPx,
}: Extract<DecoderTask, { kind: 'preview' }>): Promise<DecodedPicture> {
  const small = (await openPicture(Buffer.from(picture), { failOn: 'error' }))
    .rotate()
    .resize(widthPx, heightPx, { fit: 'cover', withoutEnlargement: true });
  return decoded(small.webp({ quality: 70 }));
}

/** @throws TooManyPixels by what its header says, all frames together */
async function openPicture(input: string | Buffer, options: SharpOptions = {}): Promise<Sharp> {
  const {
    width = 0,
    height = 0,
    pages = 1,
    pageHeight,
  } = await sharp(input, { ...options, limitInputPixels: false }).metadata();
  const pixels = width * (pageHeight === undefined ? height : pageHeight * pages);
  if (pixels > mostPixels) throw new TooManyPixels(Math.round(pixels / 1e6));
  return sharp(input, { ...options, limitInputPixels: mostPixels });
}

/** Encoded as it came where browsers can show that, as JPEG otherwise. Metadata are not taken along. */
function encoded(source: Sharp, given: string): { readonly format: Sharp; readonly contentType: string } {
  if (given === 'image/png') return { format: source.png(), contentType: given };
  if (given === 'image/gif') return { format: source.gif(), contentType: given };
  if (given === 'image/webp') return { format: source.webp({ quality: 88 }), contentType: given };
  return { format: source.jpeg({ quality: 88 }), contentType: 'image/jpeg' };
}

async function smaller(upright: string, name: 'w640' | 'w1280', widthPx: number): Promise<PreparedVariant> {
  const file = `${upright}.${name}`;
  const { size } = await sharp(upright, { limitInputPixels: mostPixels })
    .resize({ width: widthPx, withoutEnlargement: true })
    .webp({ quality: 80 })
    .toFile(file);
  return { name, file, contentType: 'image/webp', sizeBytes: size };
}

async function decoded(picture: Sharp): Promise<DecodedPicture> {
  const { data, info } = await picture.toBuffer({ resolveWithObject: true });
  return { bytes: data, widthPx: info.width, heightPx: info.height };
}

async function measured(
  file: string,
): Promise<{ readonly hash: string; readonly file: string; readonly sizeBytes: number }> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return { hash: hash.digest('hex'), file, sizeBytes: (await stat(file)).size };
}
