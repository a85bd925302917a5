// `npm run mutate AREA`: changes the code of an area in a hundred small ways and counts how many the tests notice.
// AREA is a folder of the core or the server: `core`, `core/code`, `server/opens`, or one file in it. Options: --seed 1 --count 100.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { build } from './build.mjs';
import { requireModules, requireNode, requirePackages } from './machine.mjs';
import { mariadbPackages } from './database.mjs';
import { projectFolder, readSettings, runMain, serverEnvironment, Trouble } from './settings.mjs';
import { startDatabaseAlone } from './stack.mjs';
import { draw, isAccepted, score } from './mutate/draw.mjs';

const tool = join(projectFolder, 'scripts/mutate');
const homes = { core: 'packages/core', server: 'apps/server' };
/** Percent of the mutants that tests should notice. */
const aims = { core: 85, server: 70 };

await runMain(async () => {
  requireNode();
  requireModules();
  const {
    values: { seed, count },
    positionals: [area],
  } = parseArgs({
    options: { seed: { type: 'string', default: '1' }, count: { type: 'string', default: '100' } },
    allowPositionals: true,
  });
  const { project, patterns, tests } = filesOf(area);
  if (project === 'server') requirePackages(mariadbPackages);
  build();
  installTool();
  const temporary = mkdtempSync(join(tmpdir(), 'hapset-mutate-'));
  process.on('exit', () => rmSync(temporary, { recursive: true, force: true }));
  Object.assign(process.env, {
    TMPDIR: temporary,
    HAPSET_MUTATE_SEED: seed,
    HAPSET_MUTATE_COUNT: count,
    HAPSET_MUTATE_DRAWN: join(temporary, 'drawn.json'),
    HAPSET_MUTATE_PROJECT: project,
    HAPSET_MUTATE_TESTS: tests,
  });
  const results = await withDatabase(project, () => runStryker(patterns));
  tell(area, project, outcome(results, Number(seed), Number(count)));
});

/** @throws Trouble for what is no folder or file of the core or the server */
function filesOf(area = '') {
  const [project, ...rest] = area.split('/');
  const home = homes[project];
  const path = home && join(home, 'src', ...rest);
  if (!path || !existsSync(join(projectFolder, path)))
    throw new Trouble('Name an area: `npm run mutate core/code`, `npm run mutate server/opens`.');
  if (statSync(join(projectFolder, path)).isFile())
    return { project, patterns: [path], tests: rest.slice(0, -1).join('/') };
  const kinds = project === 'server' ? ['service', 'work', 'view', 'runner'].map((kind) => `*.${kind}`) : ['*'];
  return {
    project,
    // Those of the area: what only others notice is far from where somebody changes it.
    tests: rest.join('/'),
    patterns: [
      ...kinds.map((kind) => `${path}/**/${kind}.ts`),
      ...(project === 'server' ? [`${path}/**/!(*.*).ts`] : []),
      `!${path}/**/*.spec.ts`,
      `!${path}/**/index.ts`,
      `!${path}/**/migrations/**`,
      `!${path}/test/**`,
      `!${path}/demo/**`,
    ],
  };
}

/** It is large and seldom needed, so it is not among what everybody installs. */
function installTool() {
  if (existsSync(join(tool, 'node_modules/@stryker-mutator/core'))) return;
  console.log('Installing what changes the code…');
  const { status } = spawnSync('npm', ['ci', '--ignore-scripts', '--prefix', tool], { stdio: 'inherit' });
  if (status !== 0) throw new Trouble('It could not be installed.');
}

async function withDatabase(project, work) {
  if (project !== 'server') return work();
  const output = join(projectFolder, 'test-output');
  mkdirSync(output, { recursive: true });
  const settings = {
    ...readSettings({
      HAPSET_PORT: '4480',
      HAPSET_NEIGHBOURS_PORT: '4490',
      HAPSET_DATA: join(output, 'data-mutate'),
    }),
    testDatabases: true,
  };
  const database = await startDatabaseAlone(settings);
  const { HAPSET_DB_SOCKET, HAPSET_DB_PASSWORD_FILE } = serverEnvironment(settings);
  Object.assign(process.env, { HAPSET_DB_SOCKET, HAPSET_DB_PASSWORD_FILE });
  try {
    return await work();
  } finally {
    await database.stop();
  }
}

async function runStryker(patterns) {
  process.chdir(projectFolder);
  const { Stryker } = await import(createRequire(join(tool, 'package.json')).resolve('@stryker-mutator/core'));
  return new Stryker({
    mutate: patterns,
    testRunner: 'jest',
    coverageAnalysis: 'perTest',
    jest: { projectType: 'custom', configFile: 'scripts/mutate/jest.config.cjs', enableFindRelatedTests: true },
    plugins: [join(tool, 'node_modules/@stryker-mutator/jest-runner/dist/src/index.js'), join(tool, 'checker.mjs')],
    checkers: ['drawn-only'],
    reporters: ['progress-append-only'],
    concurrency: 2,
    timeoutMS: 30_000,
    dryRunTimeoutMinutes: 30,
    tempDirName: 'test-output/mutate',
    ignorePatterns: ['docs', 'test-output', '.data', '.git', 'e2e'],
    allowConsoleColors: false,
  }).runMutationTest();
}

/** Of all mutants of the area those that were drawn, with what became of them. */
function outcome(results, seed, count) {
  const accepted = JSON.parse(readFileSync(join(tool, 'accepted.json'), 'utf8'));
  const valid = results.filter(({ status, statusReason }) => status !== 'CompileError' || statusReason === 'not drawn');
  return draw(valid, seed, count).map(({ fileName, location, status, replacement, mutatorName }) => {
    const file = relative(projectFolder, fileName);
    const was = wordsAt(readFileSync(join(projectFolder, file), 'utf8'), location);
    const noticed = status === 'Killed' || status === 'Timeout' || status === 'RuntimeError';
    const one = { file, line: location.start.line, was, replacement, mutatorName };
    return {
      ...one,
      status: noticed ? 'noticed' : isAccepted(accepted, one) ? 'accepted' : 'missed',
      untested: status === 'NoCoverage',
    };
  });
}

function wordsAt(text, { start, end }) {
  const lines = text.split('\n').slice(start.line - 1, end.line);
  lines[lines.length - 1] = lines[lines.length - 1].slice(0, end.column - 1);
  lines[0] = lines[0].slice(start.column - 1);
  return lines.join('\n');
}

function tell(area, project, results) {
  console.log('');
  for (const { status, file, line, was, replacement, untested } of results)
    if (status === 'missed')
      console.log(
        `not noticed${untested ? ', never run' : ''}: ${file}:${line}\n    ${oneLine(was)}\n -> ${oneLine(replacement)}`,
      );
  const of = (status) => results.filter((one) => one.status === status).length;
  console.log(
    `\n${area}: ${(100 * score(results)).toFixed(0)} % noticed (${of('noticed')} noticed, ${of('missed')} not, ${of('accepted')} don't matter); the aim is ${aims[project]} %`,
  );
}

function oneLine(text) {
  return text.replace(/\s+/g, ' ').slice(0, 150);
}
