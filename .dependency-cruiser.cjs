// The arrows of docs/architecture.md. Nothing points back, and nothing goes round: not for values, and not for types.
const { readFileSync } = require('node:fs');
const { join } = require('node:path');

const within = (path) => ({ path, pathNot: '\\.spec\\.tsx?$' });

/** The table of areas in docs/architecture.md, in its order: name and what it may use. */
function readAreas() {
  const text = readFileSync(join(__dirname, 'docs/architecture.md'), 'utf8');
  const table = text.slice(text.indexOf('| area '));
  const rows = [
    ...table.slice(0, table.indexOf('\n\n')).matchAll(/^\| ([a-z][a-z-]*) +\|[^|]*\| ([^|]+?) +\|$/gm),
  ].slice(1);
  const areas = [];
  for (const [, name, uses] of rows) {
    const above = areas.map((area) => area.name);
    const mayUse = uses.startsWith('nothing')
      ? []
      : uses.startsWith('all above')
        ? above.filter((other) => !uses.slice('all above'.length).includes(other))
        : uses.split(', ');
    const unknown = mayUse.filter((other) => !above.includes(other));
    if (unknown.length > 0) throw new Error(`docs/architecture.md lets ${name} use ${unknown.join(', ')}.`);
    areas.push({ name, mayUse });
  }
  if (areas.length < 5) throw new Error('docs/architecture.md has no table of areas.');
  return areas;
}

const sources = '(?:packages/(?:core|contract)|apps/(?:server|web))/src';
const areas = readAreas();
const names = areas.map(({ name }) => name).join('|');

const areaRules = areas.map(({ name, mayUse }) => ({
  name: `area-${name}`,
  comment: `${name} may use: ${mayUse.join(', ') || 'nothing of ours'}`,
  severity: 'error',
  from: within(`^${sources}/${name}/`),
  to: {
    path: `^${sources}/(?!(?:${[name, ...mayUse].join('|')})/)`,
    pathNot:
      '^packages/[^/]+/src/index\\.ts$|/src/[^/]+\\.d\\.ts$|^packages/core/src/(?:gather/service-description/re2-pattern|code/look/icons)\\.ts$',
  },
}));

module.exports = {
  forbidden: [
    ...areaRules,
    {
      name: 'every-file-has-an-area',
      severity: 'error',
      from: { path: `^${sources}/(?!(?:${names}|app|demo|test)/|[^/]+$)` },
      to: {},
    },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'entities-are-private-to-their-noun',
      comment: 'Others get a record, a view, or ask the service.',
      severity: 'error',
      from: { path: '^apps/server/src/([^/]+/[^/]+)/', pathNot: '\\.spec\\.ts$|^apps/server/src/(?:app|demo|test)/' },
      to: { path: '\\.entity\\.ts$', pathNot: '^apps/server/src/$1/' },
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
          '^node_modules/fastest-levenshtein/',
          '^(?:packages/core/)?node_modules/tldts/',
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
      name: 'student-texts-know-nobody',
      severity: 'error',
      from: within('^packages/student-texts/src'),
      to: { path: '^(packages|apps)/', pathNot: '^packages/student-texts/' },
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
      from: { path: '^apps/web/src/platform/design/' },
      to: { path: '^(apps/web/src/(?!platform/(?:design|language)/)|packages/)' },
    },
    {
      name: 'packages-by-their-entry',
      severity: 'error',
      from: { path: '^(apps|packages)/([^/]+)/' },
      to: {
        path: '^packages/([^/]+)/src/(?!index\\.ts$|(?:gather/service-description/re2-pattern|code/look/icons)\\.ts$)',
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
