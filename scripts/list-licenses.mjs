// Writes docs/third-party.md: every package that the running application comes with, and the licence it bears. `--check` fails where
// the file is not what would be written, or a package names no licence.
import fs from 'node:fs';

const FILE = 'docs/third-party.md';
/** Packages whose package.json names no licence; read from the file that lies in them. */
const BY_FILE = { 'png-js': 'MIT' };

/** The licence that a package's own description names. */
function licenseOf(name, { license, licenses }) {
  const named = license?.type ?? license ?? licenses?.map((l) => l.type).join(' or ');
  return named ?? BY_FILE[name];
}

const { packages } = JSON.parse(fs.readFileSync('package-lock.json', 'utf8'));
const rows = new Map();
for (const [folder, { dev, devOptional, version, os, cpu }] of Object.entries(packages)) {
  // What is installed on some machines alone is told by its parent.
  if (folder === '' || dev || devOptional || os || cpu) continue;
  const description = `${folder}/package.json`;
  if (!fs.existsSync(description)) continue;
  const name = folder.replace(/.*node_modules\//, '');
  const license = licenseOf(name, JSON.parse(fs.readFileSync(description, 'utf8')));
  if (license === undefined) throw new Error(`${name} names no licence; see its files`);
  rows.set(`${name} ${version}`, `| ${name} | ${version} | ${license} |`);
}

const text = `# What comes with the application

Packages of the running application and the licence that each bears, as its own description names it; of \`png-js\`, which names none
there, by the file that lies in it. Each package brings its licence along in \`node_modules\`. \`sharp\` brings libvips
(LGPL-3.0-or-later) as a library of its own. Written by \`node scripts/list-licenses.mjs\`; CI compares.

| package | version | licence |
| ------- | ------- | ------- |
${[...rows.entries()]
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([, row]) => row)
  .join('\n')}
`;
/** Prettier lines up tables; only what they say is compared. */
const plain = (s) => s.replace(/ +/g, ' ').replace(/-+/g, '-');
if (!process.argv.includes('--check')) fs.writeFileSync(FILE, text);
else if (plain(fs.readFileSync(FILE, 'utf8')) !== plain(text))
  throw new Error(`${FILE} is not what it would be: run node scripts/list-licenses.mjs`);
