// Whether `npm run dev` serves: in a copy of the project it signs in through the pages, edits a page and the core, and
// sees both without touching the browser. It prints how long each edit took to the screen.
import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { createInterface } from 'node:readline';
import { chromiumOptions } from './browser.mjs';
import { stopProcess } from './process.mjs';
import { projectFolder } from './settings.mjs';

const copy = join(projectFolder, 'test-output/dev');
const environment = {
  HAPSET_PORT: '4900',
  HAPSET_NEIGHBOURS_PORT: '4910',
  HAPSET_DEV_PORT: '4901',
  HAPSET_DATA: join(copy, '.data'),
  // A browser of the server's own has nothing to do with it.
  HAPSET_CHROMIUM: '',
};
const address = `http://127.0.0.1:${environment.HAPSET_DEV_PORT}`;
const built = [
  'packages/core',
  'packages/readers',
  'packages/contract',
  'packages/student-texts',
  'apps/server',
  'apps/neighbours',
  'apps/web',
];
const patienceMs = 120_000;

/** @returns `{ passed, failed }` */
export async function testDev(write = console.log) {
  makeCopy();
  const dev = startDev();
  try {
    await dev.hears(/"msg":"listening"/);
    await inBrowser(async (page) => {
      await page.goto(address);
      await page.getByRole('button', { name: /Look around/ }).click();
      await page.getByRole('heading', { name: 'Your lessons', exact: true }).waitFor();
      write('signed in through the pages of npm run dev');

      const pageEdited = edit(
        'apps/web/src/overview/start/start-page.tsx',
        "{t('startPage.yourLessons')}</h2>",
        "{t('startPage.yourLessons')}, edited</h2>",
      );
      await page.getByRole('heading', { name: 'Your lessons, edited' }).waitFor();
      write(`page edited, seen after ${Date.now() - pageEdited} ms`);

      const serverAgain = dev.hears(/"msg":"listening"/);
      const coreEdited = edit('packages/core/src/index.ts', '', 'export const editedByTest = 1;\n');
      await serverAgain;
      await page
        .getByRole('link', { name: /Life between the tides/ })
        .first()
        .waitFor();
      await page.getByText(/server can’t (answer|be reached)/).waitFor({ state: 'hidden' });
      write(`core edited, server and page back after ${Date.now() - coreEdited} ms`);
    });
    return { passed: 1, failed: 0 };
  } catch (error) {
    write(error.stack ?? String(error));
    write(dev.said().slice(-40).join('\n'));
    return { passed: 0, failed: 1 };
  } finally {
    await dev.stop();
    rmSync(copy, { recursive: true, force: true });
  }
}

/** Sources, what was built, and the packages as second names of the same files: an edit of the copy reaches nothing of ours. */
function makeCopy() {
  rmSync(copy, { recursive: true, force: true });
  mkdirSync(copy, { recursive: true });
  const { stdout } = spawnSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], {
    cwd: projectFolder,
    encoding: 'utf8',
    maxBuffer: 1 << 26,
  });
  const sources = stdout.split('\0').filter((file) => file !== '' && existsSync(join(projectFolder, file)));
  const outputs = built.flatMap((folder) => [`${folder}/dist`, `${folder}/node_modules`]);
  for (const file of [...sources, ...outputs.filter((folder) => existsSync(join(projectFolder, folder)))]) {
    mkdirSync(dirname(join(copy, file)), { recursive: true });
    cpSync(join(projectFolder, file), join(copy, file), {
      recursive: true,
      preserveTimestamps: true,
      verbatimSymlinks: true,
    });
  }
  spawnSync('cp', ['-al', join(projectFolder, 'node_modules'), join(copy, 'node_modules')]);
  // Its own, since a build writes there.
  for (const mark of ['.hapset-build', '.hapset-pages', '.vite', '.cache'])
    rmSync(join(copy, 'node_modules', mark), { recursive: true, force: true });
}

function startDev() {
  const child = spawn('node', ['scripts/dev.mjs'], {
    cwd: copy,
    env: { ...process.env, ...environment },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  const lines = [];
  const waiting = new Set();
  for (const stream of [child.stdout, child.stderr])
    createInterface({ input: stream }).on('line', (line) => {
      lines.push(line);
      for (const look of waiting) look(line);
    });
  return {
    said: () => lines,
    /** The next line that fits. */
    hears: (pattern) =>
      new Promise((resolve, reject) => {
        const look = (line) => pattern.test(line) && end(resolve);
        const end = (how, value) => {
          clearTimeout(timer);
          waiting.delete(look);
          how(value);
        };
        const timer = setTimeout(() => end(reject, new Error(`npm run dev never said ${pattern}`)), patienceMs);
        child.once('exit', () => end(reject, new Error('npm run dev ended')));
        waiting.add(look);
      }),
    stop: () => stopProcess(child.pid),
  };
}

async function inBrowser(work) {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch(chromiumOptions);
  try {
    const page = await browser.newPage({ locale: 'en-GB' });
    page.setDefaultTimeout(patienceMs);
    await work(page);
  } finally {
    await browser.close();
  }
}

/** @returns when, in ms since the epoch */
function edit(file, what, into) {
  const path = join(copy, file);
  const text = readFileSync(path, 'utf8');
  if (!text.includes(what)) throw new Error(`${file} no longer contains "${what}".`);
  writeFileSync(path, text.replace(what, into));
  return Date.now();
}
