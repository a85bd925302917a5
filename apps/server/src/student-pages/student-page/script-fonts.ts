/** Fonts for scripts that a phone may lack: of the shipped files only the characters of one page, as WOFF2. */
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { Injectable } from '@nestjs/common';
import { LRUCache } from 'lru-cache';
import { families, type Family } from '../../code/typeface/faces.js';
import { charactersByFamily } from './script-characters.js';

export interface FontTask {
  readonly family: Family;
  readonly characters: string;
}

/** As it is built, also where this file runs from its source. */
const workerFile = fileURLToPath(
  new URL('../../../dist/student-pages/student-page/script-font.worker.js', import.meta.url),
);
/** A page of many Chinese characters has some 200 KB. */
const mostKeptBytes = 30_000_000;
/** A few hundred milliseconds are usual. */
const mostMs = 20_000;

@Injectable()
export class ScriptFonts {
  private readonly made = new LRUCache<string, Buffer>({
    maxSize: mostKeptBytes,
    sizeCalculation: (font) => font.length,
  });
  /** One after the other: a class that opens a page at once asks for the same few. */
  private last: Promise<unknown> = Promise.resolve();

  /** @param shown the page. @returns null where it needs nothing of that family */
  async get(name: string, shown: string): Promise<Buffer | null> {
    const family = families.find((each) => each === name);
    const characters = family && charactersByFamily(shown).get(family)?.join('');
    if (!family || characters === undefined) return null;
    const making = this.last.then(() => this.make({ family, characters }));
    this.last = making.catch(() => undefined);
    return making;
  }

  private async make(task: FontTask): Promise<Buffer> {
    const key = `${task.family} ${task.characters}`;
    const before = this.made.get(key);
    if (before) return before;
    const worker = new Worker(workerFile, { workerData: task, resourceLimits: { maxOldGenerationSizeMb: 256 } });
    try {
      const [bytes] = (await once(worker, 'message', { signal: AbortSignal.timeout(mostMs) })) as [Uint8Array];
      const font = Buffer.from(bytes);
      this.made.set(key, font);
      return font;
    } finally {
      await worker.terminate();
    }
  }
}
