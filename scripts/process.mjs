// Processes that a start began: ended one by one, by their number, and only after looking who that is.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';

const stopTimeoutMs = 20_000;

/** Ends a process that leads a group of its own, and whatever it began (a watcher's children), and waits for it. */
export async function stopGroup(pid) {
  if (isAlive(pid)) process.kill(-pid, 'SIGTERM');
  await waitForEnd(pid);
}

/** Ends one process and waits for it. */
export async function stopProcess(pid, signal = 'SIGTERM') {
  if (isAlive(pid)) process.kill(pid, signal);
  await waitForEnd(pid);
}

async function waitForEnd(pid) {
  for (const until = Date.now() + stopTimeoutMs; Date.now() < until;) {
    if (!isAlive(pid)) return;
    await sleep(50);
  }
  if (isAlive(pid)) process.kill(pid, 'SIGKILL');
}

export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    // A child that has ended and was not waited for yet still has its number.
    return !/^State:\s+Z/m.test(readFileSync(`/proc/${pid}/status`, 'utf8'));
  } catch {
    return false;
  }
}

/** Remembers a process under a name, for a start that finds it left over. */
export function remember(dataFolder, name, pid) {
  mkdirSync(join(dataFolder, 'running'), { recursive: true });
  writeFileSync(join(dataFolder, 'running', name), String(pid));
}

/**
 * Ends what an earlier start left running under that name. The file's word alone is not believed: numbers are given
 * out again, so the process's own command line must contain `proof`.
 */
export async function endLeftOver(dataFolder, name, proof) {
  const mark = join(dataFolder, 'running', name);
  if (!existsSync(mark)) return;
  const pid = Number(readFileSync(mark, 'utf8'));
  if (pid > 0 && isAlive(pid) && commandOf(pid).includes(proof)) {
    console.log(`Left over from an earlier start and ended first: ${name}.`);
    await stopProcess(pid);
  }
  rmSync(mark, { force: true });
}

/** A process's command line, '' when it can't be read. */
export function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ');
  } catch {
    return '';
  }
}
