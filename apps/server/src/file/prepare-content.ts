/**
 * From uploaded bytes to what is kept: the type is told by the bytes, pictures are turned upright and encoded anew
 * (which leaves the place where they were taken behind) with sizes for phones, and everything is hashed as a stream.
 */
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import type { Media } from '@hapset/contract';
import sharp, { type Sharp } from 'sharp';
import { ProblemError } from '../problem/problem.js';
import { tellMedia } from './media.js';
import type { VariantName } from './stored-content.entity.js';

/** Pixels; a photograph of a phone has a quarter of that. */
const mostPixels = 200_000_000;
const phoneWidths = [['w640', 640], ['w1280', 1280]] as const;

export interface PreparedContent {
  readonly hash: string;
  readonly file: string;
  readonly sizeBytes: number;
  readonly contentType: string;
  readonly media: Media;
  readonly widthPx: number | null;
  readonly heightPx: number | null;
  readonly variants: readonly PreparedVariant[];
}

export interface PreparedVariant {
  readonly name: VariantName;
  readonly file: string;
  readonly contentType: string;
  readonly sizeBytes: number;
}

/**
 * @param file an uploaded file; others are written beside it, with endings
 * @throws ProblemError unusable-picture when it says that it is a picture and can't be read as one
 */
export async function prepareContent(file: string): Promise<PreparedContent> {
  const { contentType, media } = await tellMedia(file);
  if (media !== 'picture') return { ...(await measured(file)), contentType, media, widthPx: null, heightPx: null, variants: [] };
  try {
    return await preparePicture(file, contentType);
  } catch {
    throw new ProblemError('unusable-picture', 'This picture can’t be read. Save it as JPEG or PNG and bring it again.');
  }
}

async function preparePicture(file: string, given: string): Promise<PreparedContent> {
  const upright = `${file}.upright`;
  const source = sharp(file, { limitInputPixels: mostPixels, animated: given === 'image/gif' || given === 'image/webp' }).rotate();
  const { format, contentType } = encoded(source, given);
  const { width, height, pages } = await format.toFile(upright);
  const variants = await Promise.all(phoneWidths.map(([name, widthPx]) => smaller(upright, name, widthPx)));
  return { ...(await measured(upright)), contentType, media: 'picture', widthPx: width, heightPx: pages === undefined ? height : Math.round(height / pages), variants };
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
  const { size } = await sharp(upright, { limitInputPixels: mostPixels }).resize({ width: widthPx, withoutEnlargement: true }).webp({ quality: 80 }).toFile(file);
  return { name, file, contentType: 'image/webp', sizeBytes: size };
}

async function measured(file: string): Promise<{ readonly hash: string; readonly file: string; readonly sizeBytes: number }> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return { hash: hash.digest('hex'), file, sizeBytes: (await stat(file)).size };
}
