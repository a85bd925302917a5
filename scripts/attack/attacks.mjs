// Every attack, run one after the other against a stack of its own; what fails in between is a fault as well.
import { join } from 'node:path';
import { rmSync } from 'node:fs';
import { projectFolder, readSettings } from '../settings.mjs';
import { startStack } from '../stack.mjs';
import { machine } from './machine.mjs';
import { strangers } from './strangers.mjs';
import { Target } from './target.mjs';
import { teachers } from './teachers.mjs';

const attacks = [...machine.slice(0, -1), ...strangers, ...teachers, ...machine.slice(-1)];

/** @returns `{ passed, failed }` */
export async function runAttacks(write = console.log) {
  const settings = readSettings({
    HAPSET_PORT: '4800',
    HAPSET_NEIGHBOURS_PORT: '4810',
    HAPSET_DATA: join(projectFolder, 'test-output/attack'),
  });
  rmSync(settings.dataFolder, { recursive: true, force: true });
  const stack = await startStack(settings);
  let failed = 0;
  try {
    const target = new Target(settings);
    for (const { number, name, attack } of attacks) {
      const { held, detail } = await Promise.resolve()
        .then(() => attack(target))
        .catch((error) => ({ held: false, detail: error.stack ?? String(error) }));
      if (!held) failed += 1;
      write(`${held ? 'held  ' : 'BROKEN'} ${String(number).padStart(2)}  ${name}\n           ${detail}`);
    }
  } finally {
    await stack.stop();
    rmSync(settings.dataFolder, { recursive: true, force: true });
  }
  return { passed: attacks.length - failed, failed };
}
