/**
 * The import law as a white list: import-law.json says for each folder what it may import beside itself, and everything else is
 * forbidden. docs/architecture.md shows the same table; tests/structure/law.test.ts plants breaches of every line.
 */
const LAW = require('./import-law.json');

const escape = (text) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** What stands deeper goes by its own line of the law, not by the line of the folder around it. */
function withoutOwnLines(folder) {
  const within = LAW.map((line) => line.folder)
    .filter((name) => name.startsWith(`${folder}/`))
    .map((name) => name.slice(folder.length + 1));
  return within.length > 0 ? `(?!(?:${within.join('|')})/)` : '';
}
/** Files of a folder, as a pattern; a star stands for one feature, remembered as $1 where it is the importer's own. */
function filesOf(name, feature = '[^/]+') {
  const own = name.endsWith(' (own)');
  const folder = name.replace(' (own)', '');
  const star = own ? '$1' : feature;
  if (folder === 'core') return '^src/core/';
  if (folder.endsWith('.ts')) return `^src/${escape(folder)}$`;
  return `^src/${folder.replace('*', star)}/${withoutOwnLines(folder)}`;
}
/** A package, or a module of Node itself. */
const npm = (name) =>
  name.startsWith('node:')
    ? `^(node:)?${name === 'node:*' ? '[a-z_/]+' : escape(name.slice('node:'.length))}$`
    : `(^|/)node_modules/${escape(name)}(/|$)`;

const rules = LAW.flatMap(({ folder, may, packages }) => {
  const from = { path: filesOf(folder, '([^/]+)'), pathNot: '[.]test[.]ts$' };
  const own = folder.startsWith('features/') ? filesOf(`${folder} (own)`) : filesOf(folder);
  const allowed = [own, ...may.map((name) => filesOf(name))];
  return [
    {
      name: folder,
      severity: 'error',
      comment: `${folder} may import ${may.join(', ') || 'nothing but itself'}`,
      from,
      to: { path: '^(src|demo|tests|bench|scripts)/', pathNot: allowed },
    },
    {
      name: `${folder} packages`,
      severity: 'error',
      comment: `${folder} may use ${packages.join(', ') || 'no package'}`,
      from,
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'npm-peer', 'npm-optional', 'core'],
        ...(packages.length > 0 ? { pathNot: packages.map(npm) } : {}),
      },
    },
  ];
});

/** What is said of a batch comes from its status: the modules that it is worked out by are reached through core/status alone. */
const BEHIND_STATUS =
  '^src/core/advice/(situation|stage|course|claim|next|turn|water|tasks|hot|diagnose|acts)[.]ts$';
const statusRule = {
  name: 'status',
  severity: 'error',
  comment: 'above the core, what is said of a batch is a field of its status; types pass',
  from: { path: '^src/(?!core/)', pathNot: '([.]test[.]ts$|^src/db/)' },
  to: { path: BEHIND_STATUS, dependencyTypesNot: ['type-only'] },
};

module.exports = {
  forbidden: [
    { name: 'no cycles', severity: 'error', from: {}, to: { circular: true } },
    statusRule,
    ...rules,
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
