import { present } from '@/core/quantity/present';
import type { BatchStatus, RuleCode } from '@/core/status/batch-status';
import { ruleText } from './rules';
import { saysOf } from './says';
import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { factsOf } from '@/core/evidence/facts';
import type { BatchState } from '@/core/log/fold';
import { dayText, tempText, whenText } from '@/core/quantity/format';
import { LIBRARY_EDITION, titlesOf } from '@/core/rules/library';
import { CLOCK_TEXT, requirementText, sourceText } from '@/core/rules/text';
import { judgeInitialCn } from '@/core/mix/initial-cn';
import type { Figure } from '@/core/mix/mix';
import { initialCnText } from '@/core/mix/words';
import type { Instant } from '@/core/quantity/instant';
import { noteText, type Locale, type Note, type NoteCode } from '@/core/words/note';
import { policyText } from '@/core/words/policy';
import {
  progressText,
  statusWord,
  turningsText,
  verdictSentence,
} from '@/core/evidence/verdict-words';
import type { BatchRule, BatchAssessment } from '@/core/snapshot/assess-batch';
import { valueAt } from '@/core/quantity/present';

/** What is said of a verdict's version: which policy it was reached under, and what the one in force would say. */
function versionText(
  { terms, present }: BatchRule,
  versions: number,
  { timeZone }: Locale,
): string {
  const site =
    terms.siteVersion === null
      ? ''
      : say('snapshot.versionOfTheSites', { siteVersion: terms.siteVersion });
  if (present === undefined)
    return say('snapshot.versionThisBatchsRulesPolicy', {
      version: terms.version,
      site,
      libraryedition: LIBRARY_EDITION,
    });
  const now =
    present === null
      ? say('snapshot.theRulesInForceNo')
      : present.verdict.provenAt !== null
        ? say('snapshot.underVersionInForceNow', {
            versions,
            provenAt: dayText(timeZone, present.verdict.provenAt),
          })
        : say('snapshot.underVersionInForceNow2', {
            versions,
            toLowerCase: statusWord(factsOf(present)).toLowerCase(),
          });
  return say('snapshot.metUnderVersionThisBatchs', { version: terms.version, now });
}

/** What follows a proof takes nothing from it, and stands under no rule that is met. */
const ON_RUNS: ReadonlySet<NoteCode> = new Set([
  'COLD',
  'OVER_CEILING',
  'RECOVERING',
  'SLOW_RECOVERY',
  'GAP',
  'STALE',
  'THIN_ROUND',
  'ROUND_TO_CHECK',
  'DRY_ROUND',
  'TURN_PARTIAL',
  'TURN_WITHOUT_HEAT',
  'TURN_WITHOUT_HOLD',
  'TURN_OUTSIDE_RUN',
]);
const followsProof = (n: Note, provenAt: Instant | null): boolean =>
  provenAt !== null && n.at > provenAt && ON_RUNS.has(n.code);

const inUnit = (note: Note, locale: Locale): Note => ({
  ...note,
  // Where nobody read it nobody knows whether it was hot.
  text:
    note.fact.code === 'TURN_WITHOUT_HEAT'
      ? say('status.noHotCheckBetween', { at: whenText(locale.timeZone, note.at, locale.now) })
      : noteText(note.fact, note.at, locale),
});

/** How far each rule is in words, as they were chosen. @param initialCn of the heap's mix; undefined: nobody looked */
export function saidOf(
  batchAssessment: BatchAssessment,
  status: BatchStatus,
  versions: number,
  locale: Locale,
  initialCn?: Figure | null,
) {
  const titles = titlesOf(batchAssessment.rules.map(({ rule }) => rule));
  return batchAssessment.rules.map((assessed) => {
    const { rule, assessment } = assessed;
    const now = present(
      status.rules.find((r) => r.rule === rule.id),
      'the status of a rule of the batch',
    );
    const facts = factsOf(assessment);
    const v = assessment.verdict;
    const notes = v.notes.filter((n) => !followsProof(n, v.provenAt)).map((n) => inUnit(n, locale));
    return {
      id: rule.id,
      title: libraryText(valueAt(titles, rule.id)),
      full: libraryText(rule.title),
      cn:
        rule.initialCn === undefined || initialCn === undefined
          ? null
          : initialCnText(rule.initialCn, judgeInitialCn(rule.initialCn, initialCn)),
      status: v.status,
      code: now.code,
      says: saysOf(status, `rule:${rule.id}`),
      word: isCannotSay(now.code) ? ruleText(now, locale) : statusWord(facts),
      sentence: verdictSentence({ ...facts, notes }, locale, now.code === 'unread' ? now.at : null),
      short:
        v.provenAt !== null || isCannotSay(now.code)
          ? ruleText(now, locale)
          : `${progressText(facts)}${v.turningsRequired ? ` · ${turningsText(v)}` : ''}`,
      source: sourceText(rule),
      asks: requirementText(rule.requirement, locale.unit),
      fromMemory: rule.fromMemory,
      conditions: rule.conditions.map(libraryText),
      caution: rule.caution === undefined ? null : libraryText(rule.caution),
      policy: policyText(v.policy, locale.unit),
      clock: CLOCK_TEXT[rule.clock],
      version: versionText(assessed, versions, locale),
      kept: assessed.present !== undefined,
      notes: notes.map((n) => ({ code: n.code, text: n.text })),
    };
  });
}

export type Said = ReturnType<typeof saidOf>[number];

/** Whether nobody can say how far a rule is, since nobody read it. */
export const isCannotSay = (code: RuleCode): boolean => code === 'unread' || code === 'not-read';

/** What is known of a heap that was taken over under way, and from when on it was recorded here. */
export function adoptedText(
  a: BatchState['opened']['adopted'],
  { timeZone, unit, now }: Locale,
): string | null {
  if (!a) return null;
  const told = [
    a.turnings !== undefined && say('snapshot.turningTurnings', { turnings: a.turnings }),
    a.highestC !== undefined && say('snapshot.atMost', { highestC: tempText(a.highestC, unit) }),
    a.words,
  ]
    .filter(Boolean)
    .join(', ');
  const raw = {
    known: '',
    about: say('snapshot.theTimeLastRawMaterial'),
    unknown: say('snapshot.whenLastRawMaterialWent'),
  }[a.rawAt];
  return told
    ? say('snapshot.takenOverNotLoggedHere', {
        from: whenText(timeZone, a.from, now),
        raw,
        told,
      })
    : say('snapshot.takenOverNotLoggedHere2', {
        from: whenText(timeZone, a.from, now),
        raw,
      });
}
