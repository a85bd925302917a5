import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

const canParse = {
  object: 'URL',
  property: 'canParse',
  message: 'On Node 20 it answers false for letters like ü once it is hot. Use parseUrl of the core.',
};

export default tseslint.config(
  {
    ignores: [
      '**/dist/**',
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
    files: ['scripts/bench/*.mjs', 'scripts/browser.mjs', 'scripts/screenshots.mjs'],
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
  },
  { rules: { 'no-restricted-properties': ['error', canParse] } },
  { files: ['scripts/**/*.spec.mjs'], languageOptions: { globals: globals.jest } },
  { files: ['apps/web/public/**/*.js'], languageOptions: { globals: globals.serviceworker } },
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
      'no-restricted-syntax': ['error', { selector: 'ExportAllDeclaration', message: 'Name what you export.' }],
    },
  },
  // Types alone, each listed in its own file.
  { files: ['packages/contract/src/index.ts'], rules: { 'no-restricted-syntax': 'off' } },
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
        'process',
        'fetch',
        'window',
        'document',
        'setTimeout',
        'setInterval',
        'performance',
        'crypto',
      ],
      'no-restricted-properties': [
        'error',
        canParse,
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
      'no-restricted-syntax': [
        'error',
        { selector: "NewExpression[callee.name='Date']", message: 'The core has no clock.' },
      ],
    },
  },
);
