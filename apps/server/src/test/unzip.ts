/** Opens ZIP files with a reader that the application does not ship. */
import { crc32 } from 'node:zlib';
import { fromBuffer, type Entry } from 'yauzl';

/** Names and bytes in the order of the file. @throws Error where bytes don't agree with their sum */
export function unzip(zip: Buffer): Promise<ReadonlyMap<string, Buffer>> {
  return new Promise((resolve, reject) => {
    fromBuffer(zip, { lazyEntries: true }, (error, file) => {
      if (error) return void reject(error);
      const found = new Map<string, Buffer>();
      file.on('error', reject).on('end', () => resolve(found));
      file.on('entry', (entry: Entry) => {
        file.openReadStream(entry, (failed, stream) => {
          if (failed) return void reject(failed);
          const parts: Buffer[] = [];
          stream
            .on('data', (part: Buffer) => parts.push(part))
            .on('end', () => {
              const bytes = Buffer.concat(parts);
              if (crc32(bytes) !== entry.crc32) return void reject(new Error(`${entry.fileName} is damaged`));
              found.set(entry.fileName, bytes);
              file.readEntry();
            });
        });
      });
      file.readEntry();
    });
  });
}
