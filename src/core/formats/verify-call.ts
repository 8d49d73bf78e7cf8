import { say } from '../../messages/say';
import { parseInstant, type Instant } from '../quantity/instant';
import { dosesOf } from '../evidence/doses';
import { factsOf } from '../evidence/facts';
import { hotShare } from '../evidence/hot-share';
import type { Rule } from '../evidence/rule';
import {
  assessRule,
  latestTime,
  prepare,
  type Prepared,
  type AssessedRule,
} from '../evidence/verdict';
import { findRule, rulesForMethod } from '../rules/library';
import type { Locale } from '../words/note';
import { doseText, shareRangeText } from '../words/beyond';
import { policyText } from '../words/policy';
import { FILE_PROBLEM } from '../words/file-problem';
import { problemLine, PROBLEM, type Problem } from '../words/problem';
import { plainText, statusWord, verdictSentence } from '../evidence/verdict-words';
import { evidenceOf, ownRulesOf, readBatchFile, type BatchFile } from './batch-file';
import { originOf, originProblem, originText, type AskedOrigin, type Origin } from './origin';
import { keyName, type SealCheck } from './seal';
import { checkTrail, type Sha256, type BatchHistory } from './trail';
import { verdictJson } from './verdict-json';

/** What `zealous verify` was asked. */
export type VerifyCall = {
  readonly rules: readonly string[];
  readonly asOf?: string | undefined;
  readonly json: boolean;
} & AskedOrigin;

/** What it answers: text for standard output, lines for standard error, exit status. */
export type VerifyAnswer = {
  readonly out: string;
  readonly errors: readonly string[];
  /** 3: the file is not sealed by whom was asked for. */ readonly status: 0 | 1 | 2 | 3;
};

const refused = (problems: readonly Problem[]): VerifyAnswer => ({
  out: '',
  errors: problems.map(problemLine),
  status: 2,
});

/** The evidence of a parsed file as of a moment, the latest it holds unless another is named. */
export function preparedOf(file: BatchFile, asOf?: Instant): Prepared {
  const evidence = evidenceOf(file);
  return prepare(evidence, asOf ?? latestTime(evidence));
}

/** Each rule with what the evidence says of it, in the order asked for. */
export const rulingsOf = (prepared: Prepared, rules: readonly Rule[]): AssessedRule[] =>
  rules.map((rule) => ({ rule, assessment: assessRule(prepared, rule) }));

/**
 * The command on a file's text (contract, section 10, 'The command').
 * @param sha256 checks the log entries that a file may carry; a file whose chain is broken is unusable
 */
export function answerVerify(text: string, call: VerifyCall, sha256: Sha256): VerifyAnswer {
  const problems: Problem[] = [];
  const asOf = call.asOf === undefined ? undefined : parseInstant(call.asOf);
  if (asOf === null)
    problems.push({
      path: '--as-of',
      message: say('formats.not', { noTime: PROBLEM.noTime, asOf: call.asOf ?? '' }),
    });
  const parsed = readBatchFile(text);
  if (!parsed.ok) return refused([...problems, ...parsed.problems]);
  const trail = checkTrail(parsed.file, sha256);
  if (!trail.ok) return refused([...problems, ...trail.problems]);
  const origin = originOf(trail.told);
  const foreign = originProblem(origin, call, sha256);
  if (foreign !== null) return { out: '', errors: [`trail.seal: ${foreign}`], status: 3 };
  const own = ownRulesOf(parsed.file.rules);
  const named: Rule[] = [];
  for (const id of new Set(call.rules)) {
    const rule = findRule(id, own);
    if (rule) named.push(rule);
    else problems.push({ path: '--rule', message: FILE_PROBLEM.unknownRule(id) });
  }
  if (problems.length > 0 || asOf === null) return refused(problems);
  const asked = call.rules.length > 0 ? named : rulesForMethod(parsed.file.batch.method);
  const prepared = preparedOf(parsed.file, asOf);
  const assessed = rulingsOf(prepared, asked);
  const out = call.json
    ? JSON.stringify(
        {
          // A file without entries is answered as it always was.
          ...(trail.told === null ? {} : { origin: originJson(origin, trail.told, sha256) }),
          verdicts: assessed.map((r) => verdictJson(r.assessment.verdict)),
          doses: dosesOf(prepared),
          hotShare: hotShare(prepared),
        },
        null,
        2,
      )
    : [
        fileText(text, trail.told, sha256),
        ...assessed.map((r) => report(r, parsed.file)),
        beyondText(prepared),
      ].join('\n\n');
  return {
    out,
    errors: [],
    status: assessed.every((r) => r.assessment.verdict.status === 'proven') ? 0 : 1,
  };
}

/** Who vouches for a file, and how far, for a program. */
function originJson(origin: Origin, { seal, head, entries }: BatchHistory, sha256: Sha256): object {
  return {
    ...origin,
    ...(origin.is === 'signed' ? { keyName: keyName(origin.key, sha256) } : {}),
    ...(seal.is === 'whole' ? { notice: seal.notice, log: seal.log } : {}),
    ...{ entries, head },
  };
}

/** Whether all of a batch is in its file, and who signed that. */
export function sealLines(seal: SealCheck, sha256: Sha256): string[] {
  if (seal.is === 'none') return [say('formats.sealNone')];
  const { entries, key, log } = seal;
  return [
    key === null
      ? say('formats.sealUnsigned', { entries })
      : say('formats.sealWhole', { entries, key: keyName(key, sha256) }),
    say('formats.logEnd', { seq: String(log.seq), at: log.at, hash: log.hash }),
  ];
}

/** What the installation that sealed a file knew not to fit in its log comes before all else. */
const noticeOf = ({ seal }: BatchHistory): readonly string[] =>
  seal.is === 'whole' && seal.notice !== null ? [seal.notice] : [];

const fileText = (text: string, told: BatchHistory | null, sha256: Sha256): string =>
  [
    ...(told ? [...noticeOf(told), originText(originOf(told), sha256)] : []),
    say('formats.fileSha256', { text: sha256(text) }),
    told
      ? say('formats.logEntriesTheirChainChecked', {
          entries: String(told.entries),
          head: told.head,
        })
      : say('formats.itContainsNoLogEntries'),
    ...(told ? sealLines(told.seal, sha256) : []),
  ].join('\n');

function report({ rule, assessment }: AssessedRule, file: BatchFile): string {
  const { verdict: v } = assessment;
  const locale: Locale = { timeZone: file.site.timeZone, unit: file.site.unit ?? 'C', now: v.asOf };
  return [
    `${rule.id}  ${statusWord(factsOf(assessment)).toLowerCase()}`,
    rule.section
      ? say('formats.valuefromValueFromMemoryCheck', {
          title: rule.title,
          document: rule.document,
          section: rule.section,
          fromMemory: rule.fromMemory ? 'valueFrom' : 'other',
        })
      : say('formats.valuefromValueFromMemoryCheck2', {
          title: rule.title,
          document: rule.document,
          fromMemory: rule.fromMemory ? 'valueFrom' : 'other',
        }),
    `  ${plainText(verdictSentence(factsOf(assessment), locale))}`,
    `  ${policyText(v.policy, locale.unit)}`,
    ...v.notes.map((n) => `  - ${n.code}: ${n.text}`),
  ].join('\n');
}

/** What goes beyond the rules, labelled as such. */
function beyondText(prepared: Prepared): string {
  const { pathogen, weedSeed } = dosesOf(prepared);
  const share = hotShare(prepared);
  return [
    say('formats.beyondRulesInformationNotCompliance'),
    say('formats.pathogenDoseWeedSeedDose', {
      pathogen: doseText(pathogen),
      weedSeed: doseText(weedSeed),
    }),
    share === null
      ? say('formats.hotShareBatchAt55')
      : say('formats.hotShareBatchAt552', { share: shareRangeText(share) }),
  ].join('\n');
}
