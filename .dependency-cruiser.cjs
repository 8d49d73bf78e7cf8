/** The import law of docs/architecture.md. Each rule has one planted breach in tests/structure/law.test.ts. */
const CORE_LEVELS = [
  'quantity',
  'words',
  'evidence',
  'log',
  'heap',
  'mix',
  'rules',
  'advice',
  'formats',
  'snapshot',
];
const npm = (names) => ({ path: `(^|/)node_modules/(${names})(/|$)` });

/** A level of the core may import those before it, never those after it. */
const coreRules = CORE_LEVELS.slice(0, -1).map((level, i) => ({
  name: `core-${level}`,
  severity: 'error',
  comment: `core/${level} may import only the levels below it`,
  from: { path: `^src/core/${level}/`, pathNot: '[.]test[.]ts$' },
  to: { path: `^src/core/(${CORE_LEVELS.slice(i + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-alone',
      severity: 'error',
      comment: 'the core imports nothing but itself',
      from: { path: '^src/core/', pathNot: '[.]test[.]ts$' },
      to: { path: '^(src/(?!core/)|demo/|scripts/|tests/)' },
    },
    {
      name: 'core-packages',
      severity: 'error',
      comment: 'no package in the core; zod at its two doors',
      from: { path: '^src/core/', pathNot: '([.]test[.]ts$)|^src/core/(formats|log)/' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'] },
    },
    {
      name: 'core-doors',
      severity: 'error',
      comment: 'zod only in formats and log',
      from: { path: '^src/core/(formats|log)/', pathNot: '[.]test[.]ts$' },
      to: { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/zod/' },
    },
    ...coreRules,
    {
      name: 'platform-packages',
      severity: 'error',
      from: { path: '^src/platform/' },
      to: { path: '^src/(?!platform/)' },
    },
    {
      name: 'db-below',
      severity: 'error',
      from: { path: '^src/db/' },
      to: { path: '^src/(?!(db|core|platform)/)' },
    },
    {
      name: 'sql-in-db',
      severity: 'error',
      comment: 'kysely and pg in db alone',
      from: { path: '^(src/(?!db/))' },
      to: npm('kysely|pg'),
    },
    {
      name: 'feature-roots',
      severity: 'error',
      comment: 'a feature’s root files: core and zod',
      from: { path: '^src/features/[^/]+/[^/]+[.]tsx?$' },
      to: {
        path: '^src/(db|platform|charts|ui|app|workers|jobs)/|^src/features/[^/]+/(server|ui)/',
      },
    },
    {
      name: 'feature-server',
      severity: 'error',
      comment: 'server: own root files and ui frame, core, db, platform',
      from: { path: '^src/features/[^/]+/server/' },
      to: { path: '^src/(app|workers|charts|ui)/' },
    },
    {
      name: 'feature-ui',
      severity: 'error',
      comment: 'ui: no database, no platform, of the server only its actions',
      from: { path: '^src/features/[^/]+/ui/' },
      to: { path: '^src/(db|platform|app)/|^src/features/[^/]+/server/(?!actions)' },
    },
    {
      name: 'no-other-feature',
      severity: 'error',
      from: { path: '^src/features/([^/]+)/' },
      to: { path: '^src/features/([^/]+)/', pathNot: '^src/features/$1/' },
    },
    {
      name: 'charts-and-ui',
      severity: 'error',
      from: { path: '^src/(charts|ui)/' },
      to: { path: '^src/(?!(charts|ui)/)' },
    },
    {
      name: 'outbox-alone',
      severity: 'error',
      comment: 'what waits on a device: core words and packages, no server and no screen',
      from: { path: '^src/outbox/' },
      to: { path: '^src/(?!(outbox|core)/)' },
    },
    {
      name: 'workers-core',
      severity: 'error',
      from: { path: '^src/workers/' },
      to: { path: '^src/(?!(workers|core|outbox)/)' },
    },
    {
      name: 'checker-offline',
      severity: 'error',
      comment: 'the record that checks itself runs with no server',
      from: { path: '^src/checker/' },
      to: { path: '^src/(db|platform|app|jobs)/|^src/features/[^/]+/server/' },
    },
    {
      name: 'app-routes',
      severity: 'error',
      comment: 'routes compose features, ui and core words',
      from: { path: '^src/app/' },
      to: { path: '^src/(db|platform|workers|charts)/' },
    },
    {
      name: 'nobody-imports-app',
      severity: 'error',
      from: { path: '^src/(?!app/)' },
      to: { path: '^src/app/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      mainFields: ['module', 'main', 'types'],
    },
    exclude: { path: '[.]css$' },
  },
};
