/** All codes of a lesson in one ZIP file, under names that sort as the stations do. Written as it is read: no lesson is too long. */
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';
import type { Place } from '../readiness/standing.js';
import type { NamedPicture } from './picture.service.js';

export async function writeZip(pictures: AsyncIterable<{ readonly place: Place; readonly picture: NamedPicture | null }>, madeAt: Date, to: Writable): Promise<void> {
  const zip = new yazl.ZipFile();
  const written = pipeline(zip.outputStream, to);
  const leftOut: string[] = [];
  for await (const { place, picture } of pictures) {
    if (to.destroyed) break;
    // Pictures are packed already.
    if (picture) zip.addBuffer(picture.bytes, picture.name, { mtime: madeAt, compress: /\.(?:svg|pdf)$/.test(picture.name) });
    else leftOut.push(place.station?.name ?? place.material.title);
  }
  if (leftOut.length > 0) zip.addBuffer(Buffer.from(`No code holds what these carry, so they have no picture:\r\n${leftOut.join('\r\n')}\r\n`), '00 Left out.txt', { mtime: madeAt });
  zip.end();
  await written;
}
