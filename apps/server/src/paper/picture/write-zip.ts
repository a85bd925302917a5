/** Files in one ZIP, written as they are drawn: no lesson and no print is too long. */
import type { Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yazl from 'yazl';

export interface ZippedFile {
  readonly name: string;
  readonly bytes: Buffer;
}

/** @param files null for what is left out, which `leftOut` names at the end */
export async function writeZip(
  files: AsyncIterable<ZippedFile | null>,
  madeAt: Date,
  to: Writable,
  leftOut: () => readonly string[] = () => [],
): Promise<void> {
  const zip = new yazl.ZipFile();
  const written = pipeline(zip.outputStream, to);
  for await (const file of files) {
    if (to.destroyed) break;
    // Pictures are packed already.
    if (file) zip.addBuffer(file.bytes, file.name, { mtime: madeAt, compress: /\.(?:svg|pdf)$/.test(file.name) });
  }
  if (leftOut().length > 0)
    zip.addBuffer(
      Buffer.from(`No code holds what these carry, so they have no picture:\r\n${leftOut().join('\r\n')}\r\n`),
      '00 Left out.txt',
      { mtime: madeAt },
    );
  zip.end();
  await written;
}
