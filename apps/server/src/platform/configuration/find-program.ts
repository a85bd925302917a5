/** Programs of Debian's that Hapset uses where they are installed. */
import { existsSync } from 'node:fs';
import { delimiter, join } from 'node:path';

/** LibreOffice along the path; null where it is not installed. */
export function findOffice(path = process.env.PATH ?? ''): string | null {
  return findProgram(['soffice', 'libreoffice'], path);
}

/** Chromium along the path; null where it is not installed. */
export function findChromium(path = process.env.PATH ?? ''): string | null {
  return findProgram(['chromium'], path);
}

function findProgram(names: readonly string[], path: string): string | null {
  const folders = path.split(delimiter).filter((folder) => folder !== '');
  return folders.flatMap((folder) => names.map((name) => join(folder, name))).find((file) => existsSync(file)) ?? null;
}
