// What the machine must have: room on the disk, free ports, Debian's packages, the npm packages.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { chromiumSandbox, projectFolder, Trouble } from './settings.mjs';
import { removeUnusedParts } from './unused-parts.mjs';

/** Ports through which the machine is asked; tests put others in their place. */
export const machine = {
  /** Free bytes of the disk that holds the folder. */
  freeBytes(folder) {
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize;
  },
  has(command) {
    return spawnSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' }).status === 0;
  },
  isRoot: () => process.getuid?.() === 0,
  /** sudo that asks for no password. */
  hasSudo: () => spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0,
  run(command, args, options = {}) {
    return spawnSync(command, args, { stdio: 'inherit', cwd: projectFolder, ...options }).status === 0;
  },
  /** The lines of a command's output; none when it did not succeed. */
  read(command, args) {
    const { status, stdout } = spawnSync(command, args, { encoding: 'utf8' });
    return status === 0 ? stdout.trim().split('\n') : [];
  },
};

const neededBytes = 2 * 1024 ** 3;

/** @throws Trouble when the disk is too full to work on */
export function requireDisk(folder, ask = machine) {
  const free = ask.freeBytes(folder);
  if (free < neededBytes)
    throw new Trouble(
      `Only ${(free / 1024 ** 3).toFixed(1)} GB are free on this disk. Hapset needs 2 GB: free some, then start again.`,
    );
}

/** @throws Trouble when Node is too old */
export function requireNode(version = process.versions.node) {
  const [major = 0, minor = 0] = version.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Trouble(
      `Hapset needs Node.js 20.19 or later; this is ${version}. Install a newer one, then start again.`,
    );
}

/**
 * Installs Debian packages whose commands are missing.
 * @param {Record<string, string>} wanted command -> package
 * @throws Trouble with the one command to run, when this user may not install anything
 */
export function requirePackages(wanted, ask = machine) {
  const missing = [
    ...new Set(
      Object.entries(wanted)
        .filter(([command]) => !ask.has(command))
        .map(([, name]) => name),
    ),
  ];
  if (missing.length === 0) return;
  const install = ['apt-get', 'install', '-y', '--no-install-recommends', '-o', 'DPkg::Lock::Timeout=300', ...missing];
  const sudo = ask.isRoot() ? [] : ask.hasSudo() ? ['sudo', '-n'] : null;
  if (!sudo)
    throw new Trouble(
      `Missing: ${missing.join(', ')}. Run this once, then start again:\n\n  sudo apt-get update && sudo apt-get install -y ${missing.join(' ')}`,
    );
  console.log(`Installing ${missing.join(', ')} …`);
  const quiet = { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }, stdio: ['ignore', 'ignore', 'inherit'] };
  const runSudo = (args) =>
    ask.run(sudo[0] ?? args[0], sudo.length > 0 ? [...sudo.slice(1), ...args] : args.slice(1), quiet);
  if (!runSudo(['apt-get', 'update', '-qq']) || !runSudo(install))
    throw new Trouble(
      `The packages could not be installed. Run this by hand and see what it says:\n\n  apt-get install ${missing.join(' ')}`,
    );
}

/** In which pages are seen as students see them; it needs its sandbox. */
export const browserPackages = { chromium: 'chromium', [chromiumSandbox]: 'chromium-sandbox' };

/** The same for what Hapset can do without: it says so, and goes on. */
export function offerPackages(wanted, without, ask = machine) {
  try {
    requirePackages(wanted, ask);
  } catch (error) {
    if (!(error instanceof Trouble)) throw error;
    console.log(`${error.message}\n\n${without}\n`);
  }
}

/** Runs `npm ci` when the lock file changed since the last time. @throws Trouble */
export function requireModules(ask = machine) {
  const lock = createHash('sha256')
    .update(readFileSync(join(projectFolder, 'package-lock.json')))
    .digest('hex');
  const mark = join(projectFolder, 'node_modules', '.hapset-lock');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  console.log('Installing the npm packages …');
  if (
    !ask.run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund'], { stdio: ['ignore', 'ignore', 'inherit'] })
  ) {
    throw new Trouble('The npm packages could not be installed. Check the network, then start again.');
  }
  removeUnusedParts(join(projectFolder, 'node_modules'));
  writeFileSync(mark, lock);
}

/** @throws Trouble when somebody else listens there */
export async function requireFreePort(port, what, variable) {
  const free = await new Promise((resolve) => {
    const probe = createServer().once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
  if (!free)
    throw new Trouble(
      `Port ${port}, meant for ${what}, is taken by another program. End it, or choose another port: ${variable}=${port + 100} npm start`,
    );
}
