/** @jest-environment jsdom */
import { ReadableStream } from 'node:stream/web';
import { zipSync } from 'fflate';
import { photoFilesOf } from './photo-files.js';

/** A file that can be read as browsers do. */
function file(name: string, bytes: Uint8Array): File {
  const made = new File([bytes as Uint8Array<ArrayBuffer>], name);
  return Object.assign(made, {
    stream: () =>
      new ReadableStream({
        start(controller) {
          for (let from = 0; from < bytes.length; from += 100) controller.enqueue(bytes.slice(from, from + 100));
          controller.close();
        },
      }),
  });
}

describe('photos that somebody chose', () => {
  it('come out of archives and folders, and nothing else does', async () => {
    const archive = zipSync({
      '6a/00617.jpg': new Uint8Array(500).fill(7),
      '6a/._00617.jpg': new Uint8Array(10),
      'list.csv': new Uint8Array(10),
      'Bo Dam.PNG': [new Uint8Array(300).fill(3), { level: 0 }],
    });
    const { files, cut } = await photoFilesOf([
      file('class.zip', archive),
      file('Ann Lee.jpeg', new Uint8Array(5)),
      file('notes.txt', new Uint8Array(5)),
    ]);
    expect(files.map(({ name, picture }) => [name, picture.size])).toEqual([
      ['6a/00617.jpg', 500],
      ['Bo Dam.PNG', 300],
      ['Ann Lee.jpeg', 5],
    ]);
    expect(cut).toBe(false);
  });

  it('are left out where they are larger than any photo, and that is said', async () => {
    const archive = zipSync({ 'a.jpg': new Uint8Array(21_000_000), 'b.jpg': new Uint8Array(9) });
    const { files, cut } = await photoFilesOf([file('class.zip', archive)]);
    expect([files.map(({ name }) => name), cut]).toEqual([['b.jpg'], true]);
  });
});
