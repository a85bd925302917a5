/** Pictures out of what somebody chose: single files, a folder, or a ZIP archive, which is unpacked bit by bit and never further than it may. */
import { limits } from '@hapset/contract';
import { Unzip, UnzipInflate, type UnzipFile } from 'fflate';

export interface PhotoFile {
  /** With its folders: they may be called like classes. */
  readonly name: string;
  readonly picture: Blob;
}

export interface PhotoFiles {
  readonly files: readonly PhotoFile[];
  /** There were more, or larger ones, than are read. */
  readonly cut: boolean;
}

/** @throws Error for an archive that can't be unpacked */
export async function photoFilesOf(chosen: readonly File[]): Promise<PhotoFiles> {
  const files: PhotoFile[] = [];
  let cut = false;
  for (const file of chosen) {
    if (/\.zip$/i.test(file.name)) {
      const unpacked = await unpack(file);
      files.push(...unpacked.files);
      cut ||= unpacked.cut;
    } else if (isPicture(file.name)) files.push({ name: file.webkitRelativePath || file.name, picture: file });
  }
  return { files: files.slice(0, limits.photosAtOnce), cut: cut || files.length > limits.photosAtOnce };
}

const largestPicture = 20_000_000;
const largestInAll = 600_000_000;

function isPicture(name: string): boolean {
  const base = name.split('/').pop() ?? '';
  return /\.(?:jpe?g|png|webp)$/i.test(base) && !base.startsWith('.');
}

async function unpack(archive: File): Promise<PhotoFiles> {
  const files: PhotoFile[] = [];
  let [cut, bytes] = [false, 0];
  const unzip = new Unzip((entry) => {
    if (!isPicture(entry.name)) return;
    if (files.length >= limits.photosAtOnce || bytes > largestInAll) {
      cut = true;
      return;
    }
    collect(entry, (picture) => {
      if (picture === null) cut = true;
      else files.push({ name: entry.name, picture });
      bytes += picture?.size ?? 0;
    });
  });
  unzip.register(UnzipInflate);
  const reader = archive.stream().getReader();
  for (;;) {
    const { done, value } = await reader.read();
    unzip.push(value ?? new Uint8Array(), done);
    if (done) return { files, cut };
  }
}

/** @param take gets null for what is larger than any photo */
function collect(entry: UnzipFile, take: (picture: Blob | null) => void): void {
  const parts: Uint8Array<ArrayBuffer>[] = [];
  let size = 0;
  entry.ondata = (error, data, isLast) => {
    if (error) throw error;
    size += data.length;
    if (size > largestPicture) {
      entry.terminate();
      take(null);
      return;
    }
    parts.push(Uint8Array.from(data));
    if (isLast) take(new Blob(parts));
  };
  entry.start();
}
