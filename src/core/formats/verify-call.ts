import { parseInstant, type Instant } from '../quantity/instant';
import { isSupported, type Rule } from '../evidence/rule';
import { judge, latestTime, prepare, type Verdict } from '../evidence/verdict';
import { findRule, rulesForMethod } from '../rules/library';
import type { Locale } from '../words/note';
import { policyText } from '../words/policy';
import { problemLine, PROBLEM, type Problem } from '../words/problem';
import { plainText, STATUS_WORD, verdictSentence } from '../words/verdict';
import { evidenceOf, ownRulesOf, readBatchFile, type BatchFile } from './batch-file';
import { verdictJson } from './verdict-json';

/** What `zealous verify` was asked. */
export type VerifyCall = { readonly rules: readonly string[]; readonly asOf?: string | undefined; readonly json: boolean };

/** What it answers: text for standard output, lines for standard error, exit status. */
export type VerifyAnswer = { readonly out: string; readonly errors: readonly string[]; readonly status: 0 | 1 | 2 };

const refused = (problems: readonly Problem[]): VerifyAnswer => ({ out: '', errors: problems.map(problemLine), status: 2 });

/** Verdicts of a parsed file for rules that can be reckoned. */
export function verdictsOf(file: BatchFile, rules: readonly Rule[], asOf?: Instant): Verdict[] {
  const evidence = evidenceOf(file);
  const prepared = prepare(evidence, asOf ?? latestTime(evidence));
  return rules.filter(isSupported).map((rule) => judge(prepared, rule));
}

/** The command on a file's text (contract, section 10, 'The command'). */
export function answerVerify(text: string, call: VerifyCall): VerifyAnswer {
  const problems: Problem[] = [];
  const asOf = call.asOf === undefined ? undefined : parseInstant(call.asOf);
  if (asOf === null) problems.push({ path: '--as-of', message: `${PROBLEM.noTime}, not '${call.asOf}'` });
  const parsed = readBatchFile(text);
  if (!parsed.ok) return refused([...problems, ...parsed.problems]);
  const own = ownRulesOf(parsed.file.rules);
  const named: Rule[] = [];
  for (const id of new Set(call.rules)) {
    const rule = findRule(id, own);
    if (!rule) problems.push({ path: '--rule', message: PROBLEM.unknownRule(id) });
    else if (!isSupported(rule)) problems.push({ path: '--rule', message: PROBLEM.unsupportedRule(id, rule.requirement.kind) });
    else named.push(rule);
  }
  if (problems.length > 0 || asOf === null) return refused(problems);
  const asked = call.rules.length > 0 ? named : rulesForMethod(parsed.file.batch.method);
  const verdicts = verdictsOf(parsed.file, asked, asOf);
  const errors = asked.filter((rule) => !isSupported(rule)).map((rule) => problemLine({ path: '(rules)', message: PROBLEM.unsupportedRule(rule.id, rule.requirement.kind) }));
  const allProven = errors.length === 0 && verdicts.every((v) => v.status === 'proven');
  const out = call.json
    ? JSON.stringify({ verdicts: verdicts.map(verdictJson), doses: { pathogen: null, weedSeed: null }, hotShare: null }, null, 2)
    : verdicts.map((v) => report(v, findRule(v.rule, own)!, parsed.file)).join('\n\n');
  return { out, errors, status: allProven ? 0 : 1 };
}

function report(v: Verdict, rule: Rule, file: BatchFile): string {
  if (!isSupported(rule)) return '';
  const { floorC, consecutive } = rule.requirement;
  const locale: Locale = { timeZone: file.site.timeZone, unit: file.site.unit ?? 'C', now: v.asOf };
  const sentence = plainText(verdictSentence({ ...v, floorC, consecutive, combine: v.policy.combine }, locale));
  return [
    `${rule.id}  ${STATUS_WORD[v.status].toLowerCase()}`,
    `  ${rule.title} (${rule.document}${rule.section ? `, ${rule.section}` : ''}${rule.fromMemory ? '; value from memory, check with your local authority' : ''})`,
    `  ${sentence}`,
    `  ${policyText(v.policy, locale.unit)}`,
    ...v.notes.map((n) => `  - ${n.code}: ${n.text}`),
  ].join('\n');
}
