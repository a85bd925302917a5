// What a browser must load before each page is usable: compressed JavaScript, style and fonts.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { projectFolder } from '../settings.mjs';

const assets = join(projectFolder, 'apps/web/dist/assets');
const kilobytes = (bytes) => `${(bytes / 1024).toFixed(1)} KB`;

export async function bench() {
  const files = readdirSync(assets);
  const entry = /src="\/assets\/([^"]+)"/.exec(
    readFileSync(join(projectFolder, 'apps/web/dist/index.html'), 'utf8'),
  )?.[1];
  const pages = [
    'sign-in-page',
    'start-page',
    'lessons-page',
    'bench-page',
    'material-page',
    'shelf-page',
    'school-page',
    'devices-page',
  ];
  const rows = pages.map((page) => {
    const chunk = files.find((file) => file.startsWith(`${page}-`) && file.endsWith('.js'));
    return {
      what: `JavaScript before ${page} is usable (gzip)`,
      value: kilobytes(weight(entry, chunk)),
      target: page === 'sign-in-page' || page === 'start-page' ? 'at most 200 KB' : '',
    };
  });
  const later = files.filter((file) => file.endsWith('.wasm') || (file.includes('worker') && !file.startsWith('pdf.')));
  return [
    ...rows,
    {
      what: 'reader engines and worker, loaded at the first rehearsal',
      value: kilobytes(sum(later)),
      target: 'not before the first page',
    },
  ];
}

/** The files that an entry and a page need together, static imports followed. */
function weight(...names) {
  const seen = new Set();
  const visit = (name) => {
    if (name === undefined || seen.has(name)) return;
    seen.add(name);
    const source = readFileSync(join(assets, name), 'utf8');
    for (const [, imported] of source.matchAll(/(?:from|import)\s*["']\.\/([^"']+\.js)["']/g)) visit(imported);
  };
  names.forEach(visit);
  return sum([...seen]);
}

function sum(names) {
  return names.reduce((total, name) => total + gzipSync(readFileSync(join(assets, name))).length, 0);
}
