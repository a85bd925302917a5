/** What the services keep: leaves, crates and asks, with who may open them. Written to one file as JSON. */
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import type { Contents } from './contents.js';
import { firstContents } from './first-contents.js';

export class Cupboard {
  readonly contents: Contents;

  constructor(private readonly file: string | null) {
    this.contents = (file !== null && existsSync(file) ? readContents(file) : null) ?? structuredClone(firstContents);
  }

  /** Writes beside the file first, so that a stop in the middle loses nothing. */
  save(): void {
    if (this.file === null) return;
    mkdirSync(dirname(this.file), { recursive: true });
    writeFileSync(`${this.file}.new`, JSON.stringify(this.contents, null, 1));
    renameSync(`${this.file}.new`, this.file);
  }
}

/** Null for a file of an earlier day, when there were fewer services: they begin again then. */
function readContents(file: string): Contents | null {
  const contents = JSON.parse(readFileSync(file, 'utf8')) as Partial<Contents>;
  return contents.reels && contents.tones && contents.nips ? (contents as Contents) : null;
}
