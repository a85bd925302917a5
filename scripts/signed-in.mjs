// A fresh stack, the demo teacher's session and the server's memory: for benches that need no browser.
import { readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { startStack } from './stack.mjs';

/** Starts a stack on fresh data, runs the work, ends it. */
export async function withServer(settings, work) {
  rmSync(settings.dataFolder, { recursive: true, force: true });
  const stack = await startStack(settings);
  try {
    const pid = Number(readFileSync(join(settings.dataFolder, 'running', 'server'), 'utf8'));
    const session = await fetch(`${settings.address}/api/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email: 'maren.dallow@fernhollow.example', password: 'low-tide-at-nine' }),
    });
    return await work({
      address: settings.address,
      cookie: session.headers.getSetCookie()[0].split(';')[0],
      residentMegabytes: () => residentMegabytes(pid),
    });
  } finally {
    await stack.stop();
  }
}

/** Runs the work and says how much the server's memory was at most meanwhile, in MB, and before. */
export async function watchingMemory(server, work) {
  const before = server.residentMegabytes();
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, server.residentMegabytes())), 50);
  try {
    return { value: await work(), before, most };
  } finally {
    clearInterval(watch);
  }
}

function residentMegabytes(pid) {
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
}
