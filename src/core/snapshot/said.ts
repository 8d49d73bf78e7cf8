import { libraryText } from '../../messages/library-text';
import { say } from '../../messages/say';
import { factsOf } from '../evidence/facts';
import type { BatchState } from '../log/fold';
import { dayText, tempText, whenText } from '../quantity/format';
import { LIBRARY_EDITION, titlesOf } from '../rules/library';
import { CLOCK_TEXT, requirementText, sourceText } from '../rules/text';
import { judgeInitialCn } from '../mix/initial-cn';
import type { Figure } from '../mix/mix';
import { initialCnText } from '../mix/words';
import type { Instant } from '../quantity/instant';
import { noteText, type Locale, type Note, type NoteCode } from '../words/note';
import { policyText } from '../words/policy';
import { progressText, statusWord, turningsText, verdictSentence } from '../evidence/verdict-words';
import type { BatchRule, BatchAssessment } from './assess-batch';
import { valueAt } from '../quantity/present';

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
  text: noteText(note.fact, note.at, locale),
});

/** The standing of each rule in words; the leading one's sentence is the verdict. */
/** @param initialCn of the heap's mix; undefined: nobody looked */
export function saidOf(
  batchAssessment: BatchAssessment,
  versions: number,
  locale: Locale,
  initialCn?: Figure | null,
) {
  const titles = titlesOf(batchAssessment.rules.map(({ rule }) => rule));
  return batchAssessment.rules.map((assessed) => {
    const { rule, assessment } = assessed;
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
      word: statusWord(facts),
      sentence: verdictSentence({ ...facts, notes }, locale),
      short:
        v.provenAt !== null
          ? say('snapshot.met2', { provenAt: dayText(locale.timeZone, v.provenAt) })
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
