// The arrows of docs/architecture.md. Nothing points back, and nothing goes round at run time.
const within = (path) => ({ path, pathNot: '\\.spec\\.tsx?$' });
module.exports = {
  forbidden: [
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: within('^packages/core/src'),
      to: {
        pathNot: [
          '^packages/core/src',
          '^node_modules/qrcode/lib/core/',
          '^node_modules/re2js/',
          '^node_modules/lucide/',
          '^node_modules/linebreak/',
        ],
      },
    },
    {
      name: 'readers-know-core-only',
      severity: 'error',
      from: within('^packages/readers/src'),
      to: { path: '^(apps|packages)/', pathNot: '^packages/(core|readers)/' },
    },
    {
      name: 'contract-knows-core-only',
      severity: 'error',
      from: within('^packages/contract/src'),
      to: { pathNot: '^packages/(core|contract)/' },
    },
    {
      name: 'contract-has-types-from-core-only',
      severity: 'error',
      from: within('^packages/contract/src'),
      to: { path: '^packages/core/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'server-and-web-do-not-meet',
      severity: 'error',
      from: { path: '^apps/server/src' },
      to: { path: '^apps/(web|neighbours)/' },
    },
    {
      name: 'web-and-server-do-not-meet',
      severity: 'error',
      from: { path: '^apps/web/src' },
      to: { path: '^apps/(server|neighbours)/' },
    },
    {
      name: 'neighbours-know-nobody',
      severity: 'error',
      from: within('^apps/neighbours/src'),
      to: { path: '^(packages|apps)/', pathNot: '^apps/neighbours/' },
    },
    {
      name: 'design-has-no-domain',
      severity: 'error',
      from: { path: '^apps/web/src/design' },
      to: { path: '^(apps/web/src/(?!design)|packages/)' },
    },
    {
      name: 'packages-by-their-entry',
      severity: 'error',
      from: { path: '^(apps|packages)/([^/]+)/' },
      to: {
        path: '^packages/([^/]+)/src/(?!index\\.ts$|(?:service/re2-pattern|look/icons)\\.ts$)',
        pathNot: '^packages/$2/',
      },
    },
    {
      name: 'not-to-test',
      severity: 'error',
      from: { pathNot: '(\\.spec\\.tsx?$|/test/)' },
      to: { path: '(\\.spec\\.tsx?$|/test/)' },
    },
    { name: 'only-known-packages', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '\\?url$' } },
  ],
  options: {
    doNotFollow: { path: '(node_modules|/dist/)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'scripts/tsconfig.boundaries.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'node', 'default', 'types'] },
  },
};
