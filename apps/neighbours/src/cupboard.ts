/** What the services keep: leaves, crates and asks, with who may open them. Written to one file as JSON. */
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { firstContents } from './first-contents.js';

/** Who may open a thing: everybody, members of the school, or the people chosen. */
export type Door = 'open' | 'school' | 'chosen';

export interface Kept {
  title: string;
  owner: string;
  door: Door;
  chosen: string[];
}
export interface Leaf extends Kept {
  paragraphs: string[];
  mayChange: boolean;
}
export interface Crate extends Kept {
  items: { name: string; about: string }[];
  mayChange: boolean;
}
export interface Ask extends Kept {
  about: string;
  questions: string[];
  taking: boolean;
  answers: number;
}
export interface Contents {
  leaves: Record<string, Leaf>;
  crates: Record<string, Crate>;
  asks: Record<string, Ask>;
}

export class Cupboard {
  readonly contents: Contents;

  constructor(private readonly file: string | null) {
    this.contents = file !== null && existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Contents) : structuredClone(firstContents);
  }

  /** Writes beside the file first, so that a stop in the middle loses nothing. */
  save(): void {
    if (this.file === null) return;
    mkdirSync(dirname(this.file), { recursive: true });
    writeFileSync(`${this.file}.new`, JSON.stringify(this.contents, null, 1));
    renameSync(`${this.file}.new`, this.file);
  }
}
