// `npm test`: everything that can fail, from a fresh clone. `npm test -- server e2e` runs some parts only:
// format, types, lint, boundaries, unit, server, dev, e2e. What comes after a part's name is handed to its runner.
// `npm run test:long` runs what takes minutes by itself: the attacks, long outages, thousands of codes.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import { runAttacks } from './attack/attacks.mjs';
import { build } from './build.mjs';
import { makeCertificate, startTls, tlsPackages } from './https-test.mjs';
import { testBackup } from './backup-test.mjs';
import { testDev } from './dev-test.mjs';
import { mariadbPackages } from './database.mjs';
import { browserPackages, requireDisk, requireModules, requireNode, requirePackages } from './machine.mjs';
import { commandOf, isAlive } from './process.mjs';
import { projectFolder, readSettings, runMain, serverEnvironment, Trouble } from './settings.mjs';
import { startDatabaseAlone, startStack } from './stack.mjs';

const testPackages = { ...mariadbPackages, ...browserPackages, pdftoppm: 'poppler-utils', qpdf: 'qpdf' };
const usualParts = ['format', 'types', 'lint', 'boundaries', 'unit', 'server', 'dev', 'e2e'];
const longParts = ['attack', 'long-unit', 'long-server', 'backup', 'https'];
const partNames = [...usualParts, ...longParts];
/** Specs that run with `npm run test:long` alone; jest.config.cjs leaves them out otherwise. */
const longSpecs = ['\\.long\\.spec\\.ts$'];
/** Journeys in which a proxy, https or a second server could make a difference. */
const httpsJourneys = 'setup session staff camera add paste kept bench short-link students trouble'
  .split(' ')
  .map((name) => `e2e/${name}\\.spec`);
const output = join(projectFolder, 'test-output');
const firstPort = Number(process.env.HAPSET_TEST_PORT ?? '4400');
/** Of the ports of one stack and those of the next; e2e/journey.ts counts the same way. */
const portStep = 20;
/** Journeys run beside each other, each worker on a stack of its own. Two cores. */
const journeyWorkers = 2;
// Other ports than a running Hapset's, so that both can be at work.
const settingsOf = (index) => ({
  ...readSettings({
    HAPSET_PORT: String(firstPort + index * portStep),
    HAPSET_NEIGHBOURS_PORT: String(firstPort + 10 + index * portStep),
    HAPSET_DATA: join(output, `data-${index}`),
  }),
  testDatabases: true,
  // A browser takes seconds for each page; one journey switches to drawn pages.
  neighboursPages: 'plain',
});
const settings = settingsOf(0);
/** Another installation's. */
const foldersIn = (dataFolder) => {
  const { databaseSocket, filesFolder, passwordFile } = readSettings({ HAPSET_DATA: dataFolder });
  return { dataFolder, databaseSocket, filesFolder, passwordFile };
};
/** Where tests put what they need for a moment; gone with the run, whatever they forget. */
const temporary = mkdtempSync(join(tmpdir(), 'hapset-test-'));
process.on('exit', () => rmSync(temporary, { recursive: true, force: true }));
/** Ctrl+C ends what runs now, and nothing else begins. */
let stopped = false;
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => (stopped = true));
/** How long each test took. */
const durations = [];
const unitProjects = ['core', 'contract', 'readers', 'student-texts', 'neighbours', 'web', 'scripts'];

const parts = {
  format: () =>
    runCheck('format check (`npm run format` fixes it)', 'node', [
      'node_modules/prettier/bin/prettier.cjs',
      '--check',
      '--log-level',
      'warn',
      '.',
    ]),
  types: () => runCheck('type check', 'node', ['node_modules/typescript7/bin/tsc', '-b']),
  lint: () => runCheck('lint', 'node', ['node_modules/eslint/bin/eslint.js', '.']),
  boundaries: () => runCheck('boundaries', 'npm', ['run', '--silent', 'boundaries']),
  unit: (rest) => runJest('unit', unitProjects, rest),
  server: (rest) => withDatabase(() => runJest('server', ['server'], rest)),
  attack: () => runAttacks(),
  'long-unit': () => runJest('long-unit', unitProjects, longSpecs),
  'long-server': () => withDatabase(() => runJest('long-server', ['server'], longSpecs)),
  dev: () => testDev(),
  e2e: (rest) => withStacks(() => runPlaywright(rest)),
  backup: () => testBackup(settings, { ...settings, ...foldersIn(join(output, 'restored')) }, join(output, 'backup')),
  https: (rest) => withHttps((environment) => runPlaywright(rest.length > 0 ? rest : httpsJourneys, 1, environment)),
};

await runMain(async () => {
  requireNode();
  requireDisk(projectFolder);
  requirePackages(testPackages);
  requireModules();
  build();
  const isLong = process.argv[2] === 'long';
  const words = process.argv.slice(isLong ? 3 : 2);
  const named = words.filter((word) => partNames.includes(word));
  const rest = words.filter((word) => !partNames.includes(word));
  takeTestLock();
  rmSync(output, { recursive: true, force: true });
  mkdirSync(output, { recursive: true });
  let passed = 0;
  let failed = 0;
  const one = async (name) => {
    if (stopped) throw new Trouble('Stopped.');
    const began = Date.now();
    const result = await parts[name](rest);
    passed += result.passed;
    failed += result.failed;
    console.log(
      `\n=== ${name}: ${result.passed} passed, ${result.failed} failed (${Math.round((Date.now() - began) / 1000)} s)\n`,
    );
  };
  const wanted = named.length > 0 ? named : isLong ? longParts : usualParts;
  // Each of these has one core to itself: the longest runs beside the others.
  const checks = wanted.filter((name) => ['format', 'types', 'boundaries'].includes(name));
  const beside = wanted.includes('lint') ? one('lint') : Promise.resolve();
  for (const name of checks) await one(name);
  await beside;
  for (const name of wanted) if (name !== 'lint' && !checks.includes(name)) await one(name);
  tellSlowest();
  console.log(`${passed} passed, ${failed} failed`);
  if (failed > 0 || passed === 0) process.exitCode = 1;
});

function noteJourneys(suites, file = '') {
  for (const suite of suites ?? []) {
    noteJourneys(suite.suites, suite.file ?? file);
    for (const { title, tests } of suite.specs ?? [])
      durations.push({ what: `${suite.file ?? file}: ${title}`, ms: tests[0]?.results[0]?.duration ?? 0 });
  }
}

/** What the page showed where a journey failed: the files are gone once the machine is. */
function tellFailedPages(suites) {
  for (const suite of suites ?? []) {
    tellFailedPages(suite.suites);
    for (const { title, tests } of suite.specs ?? [])
      for (const { name, path } of tests.flatMap(({ results }) => results.flatMap(({ attachments }) => attachments))) {
        if (name !== 'error-context' || !existsSync(path)) continue;
        const [, page = ''] = /```yaml\n([\s\S]*?)```/.exec(readFileSync(path, 'utf8')) ?? [];
        console.log(`\nThe page where “${title}” failed:\n${page.slice(0, 12_000)}`);
      }
  }
}

function tellSlowest() {
  const slowest = durations.sort((one, other) => other.ms - one.ms).slice(0, 10);
  if (slowest.length > 0) console.log('The slowest:');
  for (const { what, ms } of slowest) console.log(`${(ms / 1000).toFixed(1).padStart(7)} s  ${what.slice(0, 140)}`);
  if (slowest.length > 0) console.log('');
}

/** One run at a time in a clone: a second one would delete the database of the first. @throws Trouble */
function takeTestLock() {
  const lock = join(projectFolder, 'node_modules/.hapset-test');
  const owner = existsSync(lock) ? Number(readFileSync(lock, 'utf8')) : 0;
  if (owner > 0 && isAlive(owner) && /scripts\/test\.mjs/.test(commandOf(owner)))
    throw new Trouble(
      `Tests already run in this folder (process ${owner}). Wait for their end, or clone it a second time.`,
    );
  writeFileSync(lock, String(process.pid));
  process.on('exit', () => rmSync(lock, { force: true }));
}

/** Runs a command. It is told when we are to end, so that nothing is left behind. */
function run(command, args, environment = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: projectFolder,
      stdio: 'inherit',
      env: { ...process.env, TMPDIR: temporary, ...environment },
    });
    const forward = () => child.kill('SIGTERM');
    const done = (code) => {
      process.off('SIGINT', forward).off('SIGTERM', forward);
      resolve(code);
    };
    process.on('SIGINT', forward).on('SIGTERM', forward);
    child.on('exit', (code) => done(code ?? 1));
    child.on('error', () => done(1));
  });
}

async function runCheck(name, command, args) {
  const code = await run(command, args);
  if (code !== 0) console.error(`The ${name} found something; see above.`);
  return code === 0 ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 };
}

async function runJest(name, projects, rest) {
  const file = join(output, `${name}.json`);
  // Two cores; the tests of one file run in order. Those of the server wait for the database most of the time.
  const code = await run(
    'node',
    [
      'node_modules/jest/bin/jest.js',
      '--json',
      `--outputFile=${file}`,
      `--maxWorkers=${projects.includes('server') ? 3 : 2}`,
      `--cacheDirectory=${join(projectFolder, 'node_modules/.cache/jest')}`,
      ...rest,
      '--selectProjects',
      ...projects,
    ],
    { ...databaseEnvironment(), HAPSET_LONG: name.startsWith('long-') ? '1' : '' },
  );
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites, testResults } = JSON.parse(
    readFileSync(file, 'utf8'),
  );
  for (const { name: path, assertionResults } of testResults)
    for (const { fullName, duration } of assertionResults)
      durations.push({ what: `${basename(path)}: ${fullName}`, ms: duration ?? 0 });
  const failed = numFailedTests + numRuntimeErrorTestSuites;
  return { passed: numPassedTests, failed: code !== 0 && failed === 0 ? 1 : failed };
}

async function runPlaywright(rest, workers = journeyWorkers, environment = {}) {
  const file = join(output, 'e2e.json');
  const code = await run('node', ['node_modules/@playwright/test/cli.js', 'test', ...rest], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    HAPSET_TEST_PORT: String(firstPort),
    HAPSET_TEST_WORKERS: String(workers),
    ...environment,
  });
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { stats, suites } = JSON.parse(readFileSync(file, 'utf8'));
  const { expected, unexpected, flaky } = stats;
  noteJourneys(suites);
  tellFailedPages(suites);
  const failed = unexpected + flaky;
  return { passed: expected, failed: code !== 0 && failed === 0 ? 1 : failed };
}

async function withDatabase(work) {
  const database = await startDatabaseAlone(settings);
  return during(() => database.stop(), work);
}

async function withStacks(work) {
  const stacks = [];
  try {
    // One after the other: each has its database to make and the demo to load, and two would only wait for each other.
    for (let index = 0; index < journeyWorkers; index += 1) stacks.push(await startStack(settingsOf(index)));
  } catch (error) {
    for (const stack of stacks) await stack.stop();
    throw error;
  }
  return during(() => Promise.all(stacks.map((stack) => stack.stop())), work);
}

/** Two servers on one database and one folder of files, behind nginx with a certificate; a school of its own behind the same. */
async function withHttps(work) {
  requirePackages(tlsPackages);
  const folder = join(output, 'https');
  const made = makeCertificate(folder);
  const [first, second, own] = [firstPort, firstPort + 2, firstPort + 5];
  // The servers ask for their own address.
  Object.assign(process.env, { NODE_EXTRA_CA_CERTS: made.certificate, HAPSET_PROXIES: '127.0.0.1' });
  const tls = await startTls(folder, made, [
    { port: first + 1, servers: [first, second] },
    { port: own + 1, servers: [own] },
  ]);
  const stack = await startStack({
    ...settings,
    publicAddress: `https://127.0.0.1:${first + 1}`,
    secondPort: second,
  }).catch(async (error) => {
    await tls.stop();
    throw error;
  });
  const stop = async () => {
    await stack.stop();
    await tls.stop();
  };
  return during(stop, () => work({ HAPSET_TEST_KEY_HASH: made.keyHash }));
}

/** Ends what was started, also when the work fails or somebody presses Ctrl+C. */
async function during(stop, work) {
  let interrupted = false;
  const interrupt = () => (interrupted = true);
  process.on('SIGINT', interrupt).on('SIGTERM', interrupt);
  let result;
  try {
    result = await work();
  } finally {
    await stop();
    process.off('SIGINT', interrupt).off('SIGTERM', interrupt);
  }
  if (interrupted) throw new Trouble('Stopped.');
  return result;
}

function databaseEnvironment() {
  const { HAPSET_DB_SOCKET, HAPSET_DB_PASSWORD_FILE } = serverEnvironment(settings);
  return { HAPSET_DB_SOCKET, HAPSET_DB_PASSWORD_FILE };
}
