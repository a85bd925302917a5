import js from '@eslint/js';
import i18next from 'eslint-plugin-i18next';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';
import { catalogueTexts } from './scripts/lint/catalogue-texts.mjs';
import { exactViews } from './scripts/lint/exact-views.mjs';
import { functionLength } from './scripts/lint/function-length.mjs';
import { studentHtmlTexts } from './scripts/lint/student-texts.mjs';
import { toldExports } from './scripts/lint/told-exports.mjs';
import { namedExports, noClock, ownFields, parameters, themeTokens } from './scripts/lint/syntax.mjs';

const canParse = {
  object: 'URL',
  property: 'canParse',
  message: 'On Node 20 it answers false for letters like ü once it is hot. Use parseUrl of the core.',
};
const forbidSyntax = (...groups) => ({ 'no-restricted-syntax': ['error', ...groups.flat()] });

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
      '**/dist-page/**',
      '**/dist-types/**',
      '**/node_modules/**',
      '**/*.cjs',
      '**/*.d.ts',
      'test-output/**',
      '.data/**',
    ],
  },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  { files: ['**/*.{js,mjs}'], ignores: ['apps/web/public/**'], languageOptions: { globals: globals.node } },
  // Parts of these run inside a page.
  {
    files: ['scripts/bench/*.mjs', 'scripts/browser.mjs', 'scripts/screenshots.mjs', 'scripts/screenshots/*.mjs'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
  },
  { files: ['scripts/**/*.spec.mjs'], languageOptions: { globals: globals.jest } },
  { files: ['apps/web/public/**/*.js'], languageOptions: { globals: globals.serviceworker } },
  {
    plugins: {
      i18next,
      hapset: {
        rules: {
          'catalogue-texts': catalogueTexts,
          'function-length': functionLength,
          'exact-views': exactViews,
          'student-html-texts': studentHtmlTexts,
          'told-exports': toldExports,
        },
      },
    },
    rules: {
      'no-restricted-properties': ['error', canParse],
      'hapset/function-length': ['error', { max: 60, skipBlankLines: true, skipComments: true }],
      // A switch over a union counts once: its cases are a list, and the type check sees that none is missing.
      complexity: ['error', { max: 12, variant: 'modified' }],
      ...forbidSyntax(parameters),
    },
  },
  { files: ['apps/web/**/*.{ts,tsx}'], ...reactHooks.configs.flat.recommended },
  // Speaks of the React compiler, which is not used here.
  { files: ['apps/web/**/*.{ts,tsx}'], rules: { 'react-hooks/incompatible-library': 'off' } },
  {
    files: ['packages/*/src/**/*.ts', 'apps/*/src/**/*.{ts,tsx}', 'e2e/**/*.ts'],
    languageOptions: { parserOptions: { project: './tsconfig.tests.json', tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false, arguments: false } },
      ],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      ...forbidSyntax(parameters, namedExports),
    },
  },
  { files: ['apps/web/src/**/*.tsx'], rules: forbidSyntax(parameters, namedExports, themeTokens, ownFields) },
  {
    files: ['apps/web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.spec.*', 'apps/web/src/test/**'],
    rules: {
      'hapset/catalogue-texts': 'error',
      'i18next/no-literal-string': ['error', { mode: 'jsx-text-only', words: { exclude: ['[^A-Za-z]*', 'Hapset'] } }],
    },
  },
  {
    files: ['apps/server/src/student-pages/**/*.ts', 'apps/server/src/platform/problem/away-page.ts'],
    ignores: ['**/*.spec.ts'],
    rules: { 'hapset/student-html-texts': 'error' },
  },
  { files: ['apps/web/src/platform/design/*.tsx'], rules: forbidSyntax(parameters, namedExports, themeTokens) },
  // A journey is one story: cut in pieces, it would have to tell its beginning again and again.
  {
    files: ['e2e/**/*.spec.ts', '**/*.spec.ts'],
    rules: { 'hapset/function-length': ['error', { max: 100, skipBlankLines: true, skipComments: true }] },
  },
  // Types alone, each listed in its own file.
  { files: ['packages/contract/src/index.ts'], rules: forbidSyntax(parameters) },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'packages/core/src/test/**'],
    rules: { 'hapset/told-exports': ['error', 'all'] },
  },
  {
    files: ['packages/contract/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: { 'hapset/told-exports': ['error', 'all'] },
  },
  {
    files: ['apps/server/src/**/*.ts'],
    ignores: ['**/*.spec.ts', 'apps/server/src/test/**'],
    rules: { 'hapset/exact-views': 'error' },
  },
  {
    // A rejection that nobody handles would be the server's; pages show theirs by their queries.
    files: ['apps/server/src/**/*.ts', 'apps/neighbours/src/**/*.ts'],
    rules: { '@typescript-eslint/no-floating-promises': ['error', { ignoreVoid: false }] },
  },
  {
    // The core asks nobody for time, chance or the network.
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.spec.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        ...[
          'process',
          'fetch',
          'window',
          'document',
          'setTimeout',
          'setInterval',
          'performance',
          'crypto',
          'globalThis',
        ],
        { name: 'Date', message: 'The core has no clock: it is given instants in milliseconds.' },
      ],
      'no-restricted-properties': ['error', canParse, { object: 'Math', property: 'random' }],
      ...forbidSyntax(parameters, namedExports, noClock),
    },
  },
  // Areas, whose own indexes name what they offer.
  { files: ['packages/core/src/index.ts'], rules: forbidSyntax(parameters) },
);
