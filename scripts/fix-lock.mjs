// Adds the optional per-platform packages that a registry does not serve to package-lock.json, so that `npm ci` accepts it.
import fs from 'node:fs';

const file = process.argv[2] ?? 'package-lock.json';
const lock = JSON.parse(fs.readFileSync(file, 'utf8'));
const packages = lock.packages;

/** Whether node would find the package from a folder of the tree, looking upwards. */
function resolves(from, name) {
  for (let dir = from; ; dir = dir.slice(0, Math.max(0, dir.lastIndexOf('/node_modules/')))) {
    if (packages[`${dir ? `${dir}/` : ''}node_modules/${name}`]) return true;
    if (!dir) return false;
  }
}

let added = 0;
for (const [at, pkg] of Object.entries({ ...packages })) {
  for (const [name, range] of Object.entries(pkg.optionalDependencies ?? {})) {
    if (!/^\d/.test(range) || resolves(at, name)) continue;
    const m =
      /(android|darwin|freebsd|linux|win32|openharmony|wasm32|netbsd|openbsd|sunos|aix)-?(arm64|armv7|x64|ia32|ppc64|s390x|riscv64|loong64|arm|wasi)?/.exec(
        name,
      );
    const os = m?.[1] === 'wasm32' ? undefined : m?.[1];
    const cpu = m?.[1] === 'wasm32' ? 'wasm32' : m?.[2] === 'armv7' ? 'arm' : m?.[2];
    packages[`node_modules/${name}`] = {
      version: range,
      ...(cpu ? { cpu: [cpu] } : {}),
      ...(pkg.dev ? { dev: true } : {}),
      optional: true,
      ...(os ? { os: [os] } : {}),
    };
    added += 1;
  }
}
lock.packages = Object.fromEntries(
  Object.entries(packages).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)),
);
fs.writeFileSync(file, `${JSON.stringify(lock, null, 2)}\n`);
console.log('added', added);
