// Packages that ship ESM only and are reached from tests are compiled to CommonJS by swc (cached): Jest on Node 20 can't require them.
const esmOnly = [
  '@nestjs',
  '@tus',
  'srvx',
  'set-cookie-parser',
  'file-type',
  'strtok3',
  'token-types',
  'uint8array-extras',
  '@tokenizer',
  '@borewit',
  'qr',
];
const swc = (syntax, tsx) => [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      keepClassNames: true,
      parser:
        syntax === 'ts'
          ? { syntax: 'typescript', decorators: true, tsx }
          : { syntax: 'ecmascript', importAttributes: true },
      transform: {
        legacyDecorator: true,
        decoratorMetadata: true,
        useDefineForClassFields: false,
        react: { runtime: 'automatic' },
      },
    },
    module: { type: 'commonjs' },
    sourceMaps: 'inline',
  },
];
/** What takes minutes runs with `npm run test:long`. */
const left = process.env.HAPSET_LONG === '1' ? ['/node_modules/'] : ['/node_modules/', '\\.long\\.spec\\.ts$'];

const ownPackages = {
  '^@hapset/core/re2$': `${__dirname}/packages/core/src/gather/service-description/re2-pattern.ts`,
  '^@hapset/core/icons$': `${__dirname}/packages/core/src/code/look/icons.ts`,
  '^@hapset/student-texts/languages$': `${__dirname}/packages/student-texts/src/language.ts`,
  '^@hapset/(core|contract|readers|student-texts)$': `${__dirname}/packages/$1/src/index.ts`,
};

const project = (displayName, rootDir, more = {}) => ({
  displayName,
  rootDir,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  testPathIgnorePatterns: left,
  transform: { '^.+\\.ts$': swc('ts', false), '^.+\\.tsx$': swc('ts', true), '/node_modules/.+\\.m?js$': swc('js') },
  transformIgnorePatterns: [`/node_modules/(?!(${esmOnly.join('|')})/)`],
  resolver: `${__dirname}/scripts/jest-resolver.cjs`,
  moduleNameMapper: ownPackages,
  ...more,
});

module.exports = {
  // A bound for what hangs. On a machine that does three other things a test takes four times as long.
  testTimeout: 120_000,
  projects: [
    project('core', 'packages/core'),
    project('contract', 'packages/contract'),
    project('readers', 'packages/readers'),
    project('student-texts', 'packages/student-texts'),
    project('neighbours', 'apps/neighbours'),
    project('web', 'apps/web', {
      // Vite finds the files of other languages; tests read English.
      moduleNameMapper: { ...ownPackages, '/other-language\\.js$': `${__dirname}/apps/web/src/test/other-language.ts` },
      testMatch: ['<rootDir>/src/**/*.spec.ts', '<rootDir>/src/**/*.spec.tsx'],
      setupFiles: ['<rootDir>/src/test/browser.ts'],
    }),
    project('scripts', 'scripts', {
      testMatch: ['<rootDir>/**/*.spec.mjs'],
      transform: { '\\.m?js$': swc('js'), '\\.ts$': swc('ts') },
    }),
    project('server', 'apps/server'),
  ],
};
