// `npm test`: everything that can fail, from a fresh clone. `npm test -- server e2e` runs some parts only:
// format, types, lint, boundaries, unit, server, attack, dev, e2e. What comes after a part's name is handed to its runner.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { runAttacks } from './attack/attacks.mjs';
import { build } from './build.mjs';
import { testDev } from './dev-test.mjs';
import { mariadbPackages } from './database.mjs';
import { requireDisk, requireModules, requireNode, requirePackages } from './machine.mjs';
import { projectFolder, readSettings, runMain, serverEnvironment, Trouble } from './settings.mjs';
import { startDatabaseAlone, startStack } from './stack.mjs';

const testPackages = { ...mariadbPackages, chromium: 'chromium', pdftoppm: 'poppler-utils', qpdf: 'qpdf' };
const partNames = ['format', 'types', 'lint', 'boundaries', 'unit', 'server', 'attack', 'dev', 'e2e'];
const output = join(projectFolder, 'test-output');
// Other ports than a running Hapset's, so that both can be at work.
const settings = {
  ...readSettings({
    HAPSET_PORT: process.env.HAPSET_TEST_PORT ?? '4400',
    HAPSET_NEIGHBOURS_PORT: process.env.HAPSET_TEST_NEIGHBOURS_PORT ?? '4410',
    HAPSET_DATA: join(output, 'data'),
  }),
  testDatabases: true,
};
/** Where tests put what they need for a moment; gone with the run, whatever they forget. */
const temporary = mkdtempSync(join(tmpdir(), 'hapset-test-'));
process.on('exit', () => rmSync(temporary, { recursive: true, force: true }));
const unitProjects = ['core', 'contract', 'readers', 'neighbours', 'web', 'scripts'];

const parts = {
  format: () =>
    runCheck('format check (`npm run format` mends it)', 'node', [
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
  dev: () => testDev(),
  e2e: (rest) => withStack(() => runPlaywright(rest)),
};

await runMain(async () => {
  requireNode();
  requireDisk(projectFolder);
  requirePackages(testPackages);
  requireModules();
  build();
  const named = process.argv.slice(2).filter((word) => partNames.includes(word));
  const rest = process.argv.slice(2).filter((word) => !partNames.includes(word));
  rmSync(output, { recursive: true, force: true });
  mkdirSync(output, { recursive: true });
  let passed = 0;
  let failed = 0;
  for (const name of named.length > 0 ? named : partNames) {
    const began = Date.now();
    const result = await parts[name](rest);
    passed += result.passed;
    failed += result.failed;
    console.log(
      `\n=== ${name}: ${result.passed} passed, ${result.failed} failed (${Math.round((Date.now() - began) / 1000)} s)\n`,
    );
  }
  console.log(`${passed} passed, ${failed} failed`);
  if (failed > 0 || passed === 0) process.exitCode = 1;
});

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
  // Two cores; the tests of one file run in order.
  const code = await run(
    'node',
    [
      'node_modules/jest/bin/jest.js',
      '--json',
      `--outputFile=${file}`,
      '--maxWorkers=2',
      `--cacheDirectory=${join(projectFolder, 'node_modules/.cache/jest')}`,
      ...rest,
      '--selectProjects',
      ...projects,
    ],
    databaseEnvironment(),
  );
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(file, 'utf8'));
  const failed = numFailedTests + numRuntimeErrorTestSuites;
  return { passed: numPassedTests, failed: code !== 0 && failed === 0 ? 1 : failed };
}

async function runPlaywright(rest) {
  const file = join(output, 'e2e.json');
  const code = await run('node', ['node_modules/@playwright/test/cli.js', 'test', ...rest], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
    HAPSET_TEST_ADDRESS: settings.address,
    HAPSET_TEST_NEIGHBOURS_PORT: String(settings.neighboursPort),
  });
  if (!existsSync(file)) return { passed: 0, failed: 1 };
  const { expected, unexpected, flaky } = JSON.parse(readFileSync(file, 'utf8')).stats;
  const failed = unexpected + flaky;
  return { passed: expected, failed: code !== 0 && failed === 0 ? 1 : failed };
}

async function withDatabase(work) {
  const database = await startDatabaseAlone(settings);
  return during(() => database.stop(), work);
}

async function withStack(work) {
  const stack = await startStack(settings);
  return during(() => stack.stop(), work);
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
