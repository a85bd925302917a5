// Builds what changed: TypeScript incrementally, the pages when one of their files is newer than the last build.
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { machine } from './machine.mjs';
import { writePseudoLanguage } from './pseudo-language.mjs';
import { projectFolder, Trouble } from './settings.mjs';

const tsc = ['node_modules/typescript7/bin/tsc', '-b'];
/** Folders that the compiler fills. */
export const parts = [
  'packages/core',
  'packages/readers',
  'packages/contract',
  'packages/in-page',
  'packages/student-texts',
  'apps/server',
  'apps/neighbours',
];
const pageSources = [
  'packages/core/src',
  'packages/readers/src',
  'packages/contract/src',
  'packages/student-texts/src',
  'apps/web/src',
  'apps/web/languages/en',
  'docs/guide',
  'scripts/pseudo-language.mjs',
  'apps/web/public',
  'apps/web/index.html',
  'apps/web/vite.config.ts',
  'apps/web/package.json',
  'packages/core/package.json',
  'package-lock.json',
];

function isBuilt() {
  return ['apps/server/dist/main.js', 'packages/in-page/dist-page/page.js', 'apps/web/dist/index.html'].every((file) =>
    existsSync(join(projectFolder, file)),
  );
}

/** @throws Trouble where nothing was built yet */
export function requireBuilt() {
  if (!isBuilt()) throw new Trouble('Hapset is not built yet. Run: npm ci && npm run build && npm prune --omit=dev');
}

/** @throws Trouble when something does not compile */
export function build(ask = machine) {
  const mark = join(projectFolder, 'node_modules', '.hapset-build');
  const state = fingerprint([
    'tsconfig.base.json',
    ...parts.map((part) => `${part}/src`),
    ...parts.map((part) => `${part}/tsconfig.json`),
    ...pageSources,
  ]);
  if (isBuilt() && existsSync(mark) && readFileSync(mark, 'utf8') === state) return;
  // Where only what runs is installed, it was built before.
  if (!existsSync(join(projectFolder, tsc[0]))) return requireBuilt();
  console.log('Building …');
  // The incremental state can miss a file that was added; a whole build settles it.
  if (
    !ask.run('node', [...tsc, ...parts], { stdio: ['ignore', 'ignore', 'inherit'] }) &&
    !ask.run('node', [...tsc, '--force', ...parts])
  )
    throw new Trouble('The TypeScript does not compile; see above.');
  buildInPage(ask);
  buildPages(ask);
  writeFileSync(mark, state);
}

/** What runs inside of opened pages, as one text. */
function buildInPage(ask) {
  const folder = join(projectFolder, 'packages/in-page');
  if (!bundle(ask, folder)) throw new Trouble('What runs inside of pages could not be built; see above.');
}

function bundle(ask, cwd) {
  return ask.run('node', [join(projectFolder, 'node_modules/vite/bin/vite.js'), 'build', '--logLevel', 'error'], {
    cwd,
  });
}

function buildPages(ask) {
  const web = join(projectFolder, 'apps/web');
  const mark = join(projectFolder, 'node_modules', '.hapset-pages');
  const state = fingerprint(pageSources);
  if (existsSync(join(web, 'dist/index.html')) && existsSync(mark) && readFileSync(mark, 'utf8') === state) return;
  writePseudoLanguage();
  if (!bundle(ask, web)) throw new Trouble('The pages could not be built; see above.');
  writeFileSync(mark, state);
}

/** Changes whenever a file's name, size or time of change does. */
function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const path of paths) {
    for (const file of filesIn(join(projectFolder, path))) {
      const { size, mtimeMs } = statSync(file);
      hash.update(`${relative(projectFolder, file)} ${size} ${mtimeMs}\n`);
    }
  }
  return hash.digest('hex');
}

function filesIn(path) {
  if (!existsSync(path)) return [];
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path, { withFileTypes: true, recursive: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
}
