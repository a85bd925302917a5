// `npm run boundaries`: who may import whom, by area and by file, and then by folder.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { projectFolder } from './settings.mjs';

const sources = [
  'packages/core',
  'packages/readers',
  'packages/contract',
  'packages/in-page',
  'packages/student-texts',
  'apps/server',
  'apps/web',
  'apps/neighbours',
];

for (const config of ['.dependency-cruiser.cjs', 'scripts/folders.dependency-cruiser.cjs']) {
  const { status } = spawnSync(
    'node',
    [
      'node_modules/dependency-cruiser/bin/dependency-cruise.mjs',
      '--config',
      config,
      ...sources.map((path) => join(path, 'src')),
    ],
    { cwd: projectFolder, stdio: 'inherit' },
  );
  if (status !== 0) process.exitCode = 1;
}
