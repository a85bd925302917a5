import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

// Jest can't load ESLint's configuration (ESM), so a process of its own plants everything and answers with JSON.
const folder = join(__dirname);
let answers = {};
let plantings = [];

beforeAll(() => {
  const { stdout, stderr } = spawnSync('node', [join(folder, 'planted.mjs')], { encoding: 'utf8', maxBuffer: 1 << 24 });
  if (stdout === '') throw new Error(stderr);
  ({ answers, plantings } = JSON.parse(stdout));
}, 120_000);

const names = [...readFileSync(join(folder, 'planted.mjs'), 'utf8').matchAll(/\bname: '([^']+)'/g)].map(
  ([, name]) => name,
);

test.each(names)('%s is refused', (name) => {
  const { expected } = plantings.find((planting) => planting.name === name);
  expect(answers[name]).toContain(expected);
});

test('what is allowed is not refused', () => {
  expect(answers['nothing wrong']).toBe('');
});
