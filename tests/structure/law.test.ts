import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** The import law holds, and each of its rules catches a breach that is planted for it. */
const ROOT = path.resolve(__dirname, '../..');
const CRUISE = path.join(ROOT, 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs');
const CONFIG = path.join(ROOT, '.dependency-cruiser.cjs');

type Violation = { rule: { name: string }; from: string; to: string };
function cruise(cwd: string): Violation[] {
  let out: string;
  try {
    out = execFileSync(
      process.execPath,
      [CRUISE, 'src', '--config', CONFIG, '--output-type', 'json'],
      { cwd, encoding: 'utf8', maxBuffer: 1e8 },
    );
  } catch (error) {
    out = (error as { stdout: string }).stdout;
  }
  return (JSON.parse(out) as { summary: { violations: Violation[] } }).summary.violations;
}

const BREACHES: Record<string, [string, string]> = {
  'no-cycles': ['src/core/heap/a.ts', "import './b'; export const a = 1;"],
  'core-alone': ['src/core/evidence/alone.ts', "import '@/platform/clock';"],
  'core-packages': ['src/core/evidence/packages.ts', "import 'zod';"],
  'core-doors': ['src/core/formats/doors.ts', "import 'papaparse';"],
  'core-quantity': ['src/core/quantity/x.ts', "import '../words/leaf';"],
  'core-words': ['src/core/words/x.ts', "import '../evidence/leaf';"],
  'core-evidence': ['src/core/evidence/x.ts', "import '../log/leaf';"],
  'core-log': ['src/core/log/x.ts', "import '../rules/leaf';"],
  'core-mix': ['src/core/mix/x.ts', "import '../rules/leaf';"],
  'core-heap': ['src/core/heap/x.ts', "import '../rules/leaf';"],
  'core-rules': ['src/core/rules/x.ts', "import '../advice/leaf';"],
  'core-advice': ['src/core/advice/x.ts', "import '../formats/leaf';"],
  'core-formats': ['src/core/formats/x.ts', "import '../snapshot/leaf';"],
  'platform-packages': ['src/platform/x.ts', "import '@/core/quantity/leaf';"],
  'db-below': ['src/db/x.ts', "import '@/ui/leaf';"],
  'sql-in-db': ['src/features/yard/server/sql.ts', "import 'kysely';"],
  'feature-roots': ['src/features/yard/root.ts', "import '@/db/leaf';"],
  'feature-server': ['src/features/yard/server/x.ts', "import '@/charts/leaf';"],
  'feature-ui': ['src/features/yard/ui/x.ts', "import '@/db/leaf';"],
  'no-other-feature': ['src/features/yard/other.ts', "import '../batch/leaf';"],
  'charts-and-ui': ['src/charts/x.ts', "import '@/core/quantity/leaf';"],
  'outbox-alone': ['src/outbox/x.ts', "import '@/ui/leaf';"],
  'workers-core': ['src/workers/x.ts', "import '@/ui/leaf';"],
  'checker-offline': ['src/checker/x.ts', "import '@/db/leaf';"],
  'app-routes': ['src/app/x.ts', "import '@/db/leaf';"],
  'nobody-imports-app': ['src/features/batch/appy.ts', "import '@/app/leaf';"],
};
const LEAVES = [
  'core/words',
  'core/evidence',
  'core/log',
  'core/rules',
  'core/advice',
  'core/formats',
  'core/snapshot',
  'core/quantity',
  'ui',
  'db',
  'charts',
  'app',
  'features/batch',
];

test(
  'the tree keeps the law',
  () => expect(cruise(ROOT).map((v) => `${v.rule.name}: ${v.from} → ${v.to}`)).toEqual([]),
  60_000,
);

test('each rule of the law catches its planted breach', () => {
  const dir = fs.mkdtempSync(path.join(os.tmpdir(), 'law-'));
  try {
    const write = (file: string, text: string): void => {
      fs.mkdirSync(path.dirname(path.join(dir, file)), { recursive: true });
      fs.writeFileSync(path.join(dir, file), text);
    };
    write(
      'tsconfig.json',
      JSON.stringify({
        compilerOptions: {
          paths: { '@/*': ['./src/*'] },
          moduleResolution: 'bundler',
          module: 'esnext',
        },
      }),
    );
    fs.symlinkSync(path.join(ROOT, 'node_modules'), path.join(dir, 'node_modules'));
    fs.copyFileSync(path.join(ROOT, 'package.json'), path.join(dir, 'package.json'));
    for (const leaf of LEAVES) write(`src/${leaf}/leaf.ts`, 'export const leaf = 1;');
    write('src/platform/clock.ts', 'export const clock = 1;');
    write('src/core/heap/b.ts', "import './a'; export const b = 1;");
    for (const [file, text] of Object.values(BREACHES)) write(file, text);
    const caught = cruise(dir);
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    const config = require(CONFIG) as { forbidden: { name: string }[] };
    const names = config.forbidden.map((r) => r.name).sort();
    expect(Object.keys(BREACHES).sort()).toEqual(names);
    for (const [rule, [file]] of Object.entries(BREACHES))
      expect([rule, caught.some((v) => v.rule.name === rule && v.from === file)]).toEqual([
        rule,
        true,
      ]);
  } finally {
    fs.rmSync(dir, { recursive: true, force: true });
  }
}, 60_000);
