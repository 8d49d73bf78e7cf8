// Lints everything. An error fails; warnings are counted by rule and held against lint-ceiling.json: one more than there were
// fails too, and fewer are told, so that the ceiling can be lowered (`node scripts/lint.mjs --lower` does it).
import { ESLint } from 'eslint';
import fs from 'node:fs';

const CEILING = new URL('../lint-ceiling.json', import.meta.url);
const results = await new ESLint({ cache: true, cacheLocation: '.data/eslint/' }).lintFiles(['.']);

const formatter = await new ESLint().loadFormatter('stylish');
const errors = ESLint.getErrorResults(results);
if (errors.length > 0) console.log(await formatter.format(errors));

const counts = {};
for (const { messages } of results)
  for (const { severity, ruleId } of messages)
    if (severity === 1) counts[ruleId] = (counts[ruleId] ?? 0) + 1;
const ceiling = JSON.parse(fs.readFileSync(CEILING, 'utf8'));
const rules = [...new Set([...Object.keys(counts), ...Object.keys(ceiling)])].sort();
const grown = rules.filter((rule) => (counts[rule] ?? 0) > (ceiling[rule] ?? 0));
const fallen = rules.filter((rule) => (counts[rule] ?? 0) < (ceiling[rule] ?? 0));

for (const rule of rules)
  console.log(`${rule}: ${counts[rule] ?? 0} warnings, at most ${ceiling[rule] ?? 0}`);
for (const rule of grown)
  for (const { filePath, messages } of results)
    for (const m of messages)
      if (m.ruleId === rule) console.log(`  ${filePath}:${m.line} ${m.message}`);
if (process.argv.includes('--lower')) {
  const lowest = Object.fromEntries(
    rules.map((rule) => [rule, Math.min(counts[rule] ?? 0, ceiling[rule] ?? Infinity)]),
  );
  fs.writeFileSync(CEILING, `${JSON.stringify(lowest, null, 2)}\n`);
} else if (fallen.length > 0)
  console.log(`Fewer than allowed: ${fallen.join(', ')}. Run 'node scripts/lint.mjs --lower'.`);
process.exit(errors.length > 0 || grown.length > 0 ? 1 : 0);
