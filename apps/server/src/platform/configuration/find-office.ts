import { existsSync } from 'node:fs';
import { delimiter, join } from 'node:path';

const programs = ['soffice', 'libreoffice'];

/** LibreOffice along the path; null where it is not installed. */
export function findOffice(path = process.env.PATH ?? ''): string | null {
  const folders = path.split(delimiter).filter((folder) => folder !== '');
  return (
    folders.flatMap((folder) => programs.map((name) => join(folder, name))).find((file) => existsSync(file)) ?? null
  );
}
