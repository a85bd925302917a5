// Plants what lint and boundaries must refuse, and writes down as JSON what each planting was answered with.
// `node scripts/lint/planted.mjs`; rules.spec.mjs reads it.
import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { ESLint } from 'eslint';
import tseslint from 'typescript-eslint';
import { projectFolder } from '../settings.mjs';
import { exactViews } from './exact-views.mjs';

const core = 'packages/core/src/platform/units.ts';
const page = 'apps/web/src/platform/design/tick.tsx';
const server = 'apps/server/src/lessons/lesson/lesson.view.ts';
const component = (attributes) => `export const Planted = () => <p ${attributes}>x</p>;`;

/** What is planted where, and a word of the answer that is expected. */
const plantedCode = [
  { name: 'a clock in the core', file: core, code: 'export const now = new Date();', expected: 'core has no clock' },
  { name: 'Date() in the core', file: core, code: 'export const now = Date();', expected: 'core has no clock' },
  {
    name: 'another name for Date in the core',
    file: core,
    code: 'const Instant = Date;\nexport const now = new Instant();',
    expected: 'core has no clock',
  },
  {
    name: 'globalThis in the core',
    file: core,
    code: 'export const now = globalThis.Date.now();',
    expected: "Unexpected use of 'globalThis'",
  },
  {
    name: 'Intl without a date in the core',
    file: core,
    code: "export const now = new Intl.DateTimeFormat('en').format();",
    expected: 'asks the clock',
  },
  {
    name: 'a silent export of the core',
    file: core,
    code: 'export function silent(): number {\n  return 1;\n}',
    expected: 'Say what it returns',
  },
  {
    name: 'a silent type of the contract',
    file: 'packages/contract/src/lessons/lesson.ts',
    code: 'export interface Silent {\n  readonly id: string;\n}',
    expected: 'Say what it returns',
  },
  { name: 'chance in the core', file: core, code: 'export const dice = Math.random();', expected: 'Math.random' },
  { name: 'URL.canParse', file: server, code: "export const fine = URL.canParse('a');", expected: 'URL.canParse' },
  {
    name: 'a literal colour in a class',
    file: page,
    code: component('className="text-[#123456]"'),
    expected: 'take a token',
  },
  {
    name: 'a literal colour in a computed class',
    file: page,
    code: 'export const Planted = ({ a }: { a: string }) => <p className={`${a} bg-[#abc]`}>x</p>;',
    expected: 'take a token',
  },
  {
    name: 'a colour of a palette',
    file: page,
    code: component('className="p-2 text-red-500"'),
    expected: 'take a token',
  },
  { name: 'a colour in a style', file: page, code: component("style={{ color: 'red' }}"), expected: 'take a token' },
  {
    name: 'a type size of its own',
    file: page,
    code: component('className="m-0 text-[14.5px]"'),
    expected: 'take a type size or a radius',
  },
  {
    name: 'a radius of its own, computed',
    file: page,
    code: 'export const Planted = ({ a }: { a: string }) => <p className={`${a} rounded-[7px]`}>x</p>;',
    expected: 'take a type size or a radius',
  },
  {
    name: 'a field of its own',
    file: 'apps/web/src/overview/shelf/shelf-row.tsx',
    code: 'export const Planted = () => <input />;',
    expected: 'take one of platform/design',
  },
  {
    name: 'a text between tags',
    file: 'apps/web/src/overview/shelf/shelf-row.tsx',
    code: 'export const Planted = () => <p>Nothing found</p>;',
    expected: 'disallow literal string',
  },
  {
    name: 'a text between the tags of a student’s page',
    file: 'apps/server/src/student-pages/student-page/student-page.html.ts',
    code: 'export const planted = (a: string): string => `<p class="lead">${a} is gone</p>`;',
    expected: 'A text that students read',
  },
  {
    name: 'a text that is read aloud on a student’s page',
    file: 'apps/server/src/student-pages/student-page/student-page.html.ts',
    code: 'export const planted = (a: string): string => `<img src="${a}" alt="Picture">`;',
    expected: 'A text that students read',
  },
  {
    name: 'a label of its own',
    file: 'apps/web/src/overview/shelf/shelf-row.tsx',
    code: 'export const Planted = () => <p aria-label="Shelf">{1}</p>;',
    expected: 'A text of the pages',
  },
  {
    name: 'a name that is read',
    file: 'apps/web/src/overview/shelf/shelf-row.tsx',
    code: 'export const Planted = () => <p name="the short link">{1}</p>;',
    expected: 'A text of the pages',
  },
  {
    name: 'a sentence in a value',
    file: 'apps/web/src/overview/shelf/shelf-row.tsx',
    code: "export const planted = { words: 'The shelf is empty' };",
    expected: 'A text of the pages',
  },
  {
    name: 'a sentence with a value in it',
    file: 'apps/web/src/overview/shelf/shelf-row.tsx',
    code: 'export const planted = (name: string) => `Nothing found for ${name} here.`;',
    expected: 'A text of the pages',
  },
  { name: 'export *', file: server, code: "export * from './lesson.service.js';", expected: 'Name what you export' },
  {
    name: 'six parameters',
    file: server,
    code: 'export function six(a: 1, b: 1, c: 1, d: 1, e: 1, f: 1): unknown {\n  return [a, b, c, d, e, f];\n}',
    expected: 'More than five parameters',
  },
  {
    name: 'seven dependencies',
    file: server,
    code: `export class Seven {\n  constructor(${[...'abcdefg'].map((name) => `readonly ${name}: 1`).join(', ')}) {}\n}`,
    expected: 'More than six dependencies',
  },
  {
    name: 'a function of 61 lines',
    file: server,
    code: `export function long(): void {\n${'  void 0;\n'.repeat(60)}}`,
    expected: 'too many lines',
  },
];

const files = {
  'apps/server/src/gather/material/material.entity.ts': 'export class Material {}\n',
  'apps/server/src/overview/bench/bench.ts': 'export const bench = 1;\n',
  'apps/server/src/code/look/look.ts': 'export interface Look {\n  readonly id: string;\n}\n',
  'apps/server/src/code/symbol/symbol.ts': 'export const symbol = 1;\n',
};

/** An import in a small tree of the same shape, and the rule that must refuse it. */
const plantedImports = [
  {
    name: 'an entity of another noun',
    file: 'apps/server/src/gather/file/file.ts',
    code: "import { Material } from '../material/material.entity.js';\nexport const one = Material;\n",
    expected: 'entities-are-private-to-their-noun',
  },
  {
    name: 'a type out of a later area',
    file: 'apps/server/src/gather/material/material.ts',
    code: "import type { Look } from '../../code/look/look.js';\nexport type Chosen = Look;\n",
    expected: 'area-gather',
  },
  {
    name: 'overview, from below',
    file: 'apps/server/src/paper/sheet/sheet.ts',
    code: "import { bench } from '../../overview/bench/bench.js';\nexport const one = bench;\n",
    expected: 'area-paper',
  },
  {
    name: 'a folder beside the areas',
    file: 'apps/server/src/utils/text.ts',
    code: "import { symbol } from '../code/symbol/symbol.js';\nexport const one = symbol;\n",
    expected: 'every-file-has-an-area',
  },
  {
    name: 'two nouns that use each other',
    file: 'apps/server/src/code/look/judge.ts',
    code: "import { symbol } from '../symbol/symbol.js';\nexport const one = symbol;\n",
    also: {
      'apps/server/src/code/symbol/drawn.ts':
        "import type { Look } from '../look/look.js';\nexport type Drawn = Look;\n",
    },
    expected: 'nouns-in-one-direction',
  },
];

// Without types: what needs them are rules of others, and the parser takes planted text for the file that is on the disk.
const typed = ['no-floating-promises', 'no-misused-promises', 'switch-exhaustiveness-check'];
const eslint = new ESLint({
  cwd: projectFolder,
  overrideConfig: {
    languageOptions: { parserOptions: { project: null } },
    rules: {
      'hapset/exact-views': 'off',
      ...Object.fromEntries(typed.map((name) => [`@typescript-eslint/${name}`, 'off'])),
    },
  },
});
/** Rules that look at types: they see a small project of their own. */
const plantedTypes = [
  {
    name: 'a row that is spread into a reply',
    code: 'export const toView = (row: Row, more: RowView): RowView => ({ ...more, ...row });',
    expected: 'A row in a reply',
  },
  {
    name: 'what is left of a row, spread into a reply',
    code: 'export function toView({ secret: _, ...rest }: Row): RowView {\n  return { ...rest };\n}',
    expected: 'A row in a reply',
  },
];
const answers = {};
for (const { name, file, code } of plantedCode) {
  const [result] = await eslint.lintText(`${code}\n`, { filePath: join(projectFolder, file) });
  answers[name] = result.messages.map(({ message }) => message).join('\n');
}
for (const planting of plantedTypes) answers[planting.name] = await lintTyped(planting.code);
for (const planting of plantedImports) answers[planting.name] = cruise(planting);
const [fine] = await eslint.lintText('/** A number. */\nexport const fine = 1;\n', {
  filePath: join(projectFolder, core),
});
answers['nothing wrong'] = fine.messages.map(({ message }) => message).join('\n');
// A copy of a row, and one field of it.
answers['nothing wrong'] += await lintTyped(
  'export const copy = (row: Row, view: RowView): [Row, RowView] => [{ ...row }, { ...view, id: row.id }];',
);
console.log(
  JSON.stringify({
    answers,
    plantings: [...plantedCode, ...plantedTypes, ...plantedImports].map(({ name, expected }) => ({ name, expected })),
  }),
);

async function lintTyped(code) {
  const folder = mkdtempSync(join(tmpdir(), 'hapset-planted-'));
  const write = (path, text) => {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), text);
  };
  try {
    const view = 'apps/server/src/row.view.ts';
    write('tsconfig.json', '{ "compilerOptions": { "strict": true }, "include": ["**/*.ts"] }');
    write('packages/contract/src/row.ts', 'export interface RowView { readonly id: string }');
    write('apps/server/src/row.entity.ts', 'export class Row { id = ""; secret = ""; }');
    write(
      view,
      `import type { RowView } from '../../../packages/contract/src/row';\nimport type { Row } from './row.entity';\n${code}\n`,
    );
    const typedLint = new ESLint({
      cwd: folder,
      overrideConfigFile: true,
      overrideConfig: {
        files: ['**/*.ts'],
        plugins: { hapset: { rules: { 'exact-views': exactViews } } },
        languageOptions: {
          parser: tseslint.parser,
          parserOptions: { project: './tsconfig.json', tsconfigRootDir: folder },
        },
        rules: { 'hapset/exact-views': 'error' },
      },
    });
    const [result] = await typedLint.lintFiles([view]);
    return result.messages.map(({ message }) => message).join('\n');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

function cruise({ file, code, also = {} }) {
  const folder = mkdtempSync(join(tmpdir(), 'hapset-planted-'));
  try {
    const tree = { ...files, ...also, [file]: code, 'docs/architecture.md': null };
    for (const [path, text] of Object.entries(tree)) {
      mkdirSync(dirname(join(folder, path)), { recursive: true });
      if (text === null) cpSync(join(projectFolder, path), join(folder, path));
      else writeFileSync(join(folder, path), text);
    }
    mkdirSync(join(folder, 'scripts'));
    for (const path of ['.dependency-cruiser.cjs', 'scripts/folders.dependency-cruiser.cjs'])
      cpSync(join(projectFolder, path), join(folder, path));
    writeFileSync(join(folder, 'scripts/planted.ts'), '');
    writeFileSync(join(folder, 'scripts/tsconfig.boundaries.json'), '{ "files": ["planted.ts"] }');
    return ['.dependency-cruiser.cjs', 'scripts/folders.dependency-cruiser.cjs']
      .map((config) => {
        const command = join(projectFolder, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
        const { stdout, stderr } = spawnSync('node', [command, '--config', config, 'apps'], {
          cwd: folder,
          encoding: 'utf8',
        });
        return stdout + stderr;
      })
      .join('\n');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
