import { say } from '../../messages/say';
import type { Instant } from '../quantity/instant';
import { offsetText, localInput, instantsOfLocal } from '../quantity/calendar';
import { factsOf } from '../evidence/facts';
import { latestTime } from '../evidence/verdict';
import type { Method } from '../evidence/types';
import { findRule, rulesForMethod } from '../rules/library';
import { policyText } from '../words/policy';
import { PROBLEM, type Problem } from '../words/problem';
import { plainText, statusWord, verdictSentence } from '../evidence/verdict-words';
import {
  evidenceOf,
  ownRulesOf,
  parseBatchFile,
  readBatchFile,
  termsOf,
  type BatchFile,
  type ParsedFile,
} from './batch-file';
import { readCsv, type BadRow, type CsvOptions } from './csv-readings';
import { checkTrail, type Sha256 } from './trail';
import { preparedOf, rulingsOf } from './verify-call';

/** What a CSV does not say of its batch; `builtLocal` as the clock of its zone showed it. */
type CsvBatch = {
  readonly code: string;
  readonly name?: string | undefined;
  readonly method: Method;
  readonly builtLocal: string;
  readonly siteName: string;
};

/** A batch that was kept elsewhere: its open file, or a table of temperatures with what the table does not say. */
export type Brought =
  | { readonly kind: 'file'; readonly text: string }
  | {
      readonly kind: 'csv';
      readonly rows: readonly (readonly string[])[];
      readonly options: CsvOptions;
      readonly batch: CsvBatch;
    };

const badRowText = ({ line, reason }: BadRow): string => say('formats.line', { line, reason });

/** A batch file from either; every problem named, nothing repaired. The log entries that a file carries must fit. */
export function fileOfBrought(brought: Brought, sha256: Sha256): ParsedFile {
  if (brought.kind === 'file') {
    const parsed = readBatchFile(brought.text);
    const trail = parsed.ok ? checkTrail(parsed.file, sha256) : null;
    return trail && !trail.ok ? trail : parsed;
  }
  const { points, readings, bad } = readCsv(brought.rows, brought.options);
  if (bad.length > 0)
    return {
      ok: false,
      problems: bad.map((b): Problem => ({
        path: say('formats.line2', { line: b.line }),
        line: b.line,
        message: badRowText(b),
      })),
    };
  if (readings.length === 0)
    return {
      ok: false,
      problems: [{ path: say('formats.line1'), line: 1, message: say('formats.thereNoReadingIn') }],
    };
  const { timeZone, unit } = brought.options;
  const { code, name, method, builtLocal, siteName } = brought.batch;
  const [built] = instantsOfLocal(timeZone, builtLocal);
  if (built === undefined)
    return {
      ok: false,
      problems: [
        {
          path: 'builtAt',
          message: say('formats.whenLastRawMaterialWent', { noTime: PROBLEM.noTime }),
        },
      ],
    };
  return parseBatchFile({
    format: 'zealous-heap/batch',
    version: 1,
    site: { name: siteName, timeZone, unit },
    batch: {
      code,
      method,
      builtAt: `${localInput(timeZone, built)}${offsetText(timeZone, built)}`,
      ...(name ? { name } : {}),
    },
    points,
    readings,
    probes: [...new Set(readings.flatMap((r) => (r.probe === undefined ? [] : [r.probe])))].map(
      (id) => ({ id, checks: [] }),
    ),
  });
}

type BroughtVerdict = {
  readonly id: string;
  readonly title: string;
  readonly source: string;
  readonly status: string;
  readonly word: string;
  readonly text: string;
};
/** What a brought-in batch would say, before anything is kept. */
export type BroughtPreview =
  | { readonly ok: false; readonly problems: readonly Problem[] }
  | {
      readonly ok: true;
      readonly code: string;
      readonly name: string | null;
      readonly site: string;
      readonly points: number;
      readonly readings: number;
      readonly events: number;
      readonly from: Instant;
      readonly to: Instant;
      readonly timeZone: string;
      readonly policy: string;
      readonly verdicts: readonly BroughtVerdict[];
      /** Rules that the file says it was kept under. */ readonly named: readonly string[];
      readonly method: Method;
    };

/** @param unit in which the sentences speak */
export function previewBrought(brought: Brought, unit: 'C' | 'F', sha256: Sha256): BroughtPreview {
  const parsed = fileOfBrought(brought, sha256);
  if (!parsed.ok) return parsed;
  const { file } = parsed;
  const evidence = evidenceOf(file);
  const own = ownRulesOf(file.rules);
  const rules = [...rulesForMethod(file.batch.method), ...own];
  const asOf = latestTime(evidence);
  const first =
    file.readings.length > 0
      ? evidence.readings.reduce((a, r) => Math.min(a, r.at), Infinity)
      : evidence.builtAt;
  return {
    ok: true,
    code: file.batch.code,
    name: file.batch.name ?? null,
    site: file.site.name,
    points: file.points.length,
    readings: file.readings.length,
    events: file.events.length,
    from: Math.min(first, evidence.builtAt),
    to: asOf,
    timeZone: file.site.timeZone,
    policy: policyText(evidence.policy, unit),
    named: rulesNamedIn(file),
    method: file.batch.method,
    verdicts: rulingsOf(preparedOf(file), rules).map(({ rule, assessment }) => ({
      id: rule.id,
      title: rule.title,
      source: [rule.jurisdiction, rule.document, rule.section].filter(Boolean).join(', '),
      status: assessment.verdict.status,
      word: statusWord(factsOf(assessment)),
      text: plainText(
        verdictSentence(factsOf(assessment), { timeZone: file.site.timeZone, unit, now: asOf }),
      ),
    })),
  };
}

/** Rules that a file says its batch was kept under, as far as they are known. */
export function rulesNamedIn(file: BatchFile): string[] {
  const own = ownRulesOf(file.rules);
  const named = termsOf(file)?.rules ?? own.map((r) => r.id);
  return named.filter((id) => findRule(id, own));
}

/** Rules that a brought-in batch is kept under: those that were chosen, or where nobody chose those that the file names. */
export function rulesOfBrought(
  file: BatchFile,
  chosen?: readonly string[],
):
  | { readonly ok: true; readonly rules: string[] }
  | { readonly ok: false; readonly unknown: string } {
  if (chosen === undefined) return { ok: true, rules: rulesNamedIn(file) };
  const own = ownRulesOf(file.rules);
  const unknown = chosen.find((id) => !findRule(id, own));
  return unknown === undefined ? { ok: true, rules: [...new Set(chosen)] } : { ok: false, unknown };
}
