import { say } from '@/messages/say';
import { factsOf } from '@/core/evidence/facts';
import type { AssessedRule } from '@/core/evidence/verdict';
import { displayStatusOf, statusWord } from '@/core/evidence/verdict-words';
import { durationText } from '@/core/quantity/format';
import { titlesOf } from '@/core/rules/library';
import { valueAt } from '@/core/quantity/present';

/** What an entry does to one rule, said before it is saved. `costs`: credit or a proof goes. */
export type Effect = {
  readonly rule: string;
  readonly text: string;
  readonly costs: boolean;
  /** It changes nothing. */ readonly none: boolean;
};

const HOUR_SLACK = 1 / 60;

function effect(
  { assessment: was }: AssessedRule,
  after: AssessedRule | undefined,
  name: string,
  title: string,
): Effect {
  const before = was.verdict;
  const v = after?.assessment.verdict;
  const change = (text: string, costs: boolean): Effect => ({
    rule: title,
    text,
    costs,
    none: false,
  });
  if (!v) return change(say('entry.canNoLongerJudged'), true);
  if (before.status === 'proven' && v.status !== 'proven')
    return change(say('entry.noLongerMeetsClockStarts', { name }), true);
  if (before.status !== 'proven' && v.status === 'proven')
    return change(say('entry.isMetWithThis'), false);
  const lost = before.creditedHours - v.creditedHours;
  if (lost > HOUR_SLACK)
    return change(
      say('entry.wouldLostLeftAndtheClock', {
        lost: durationText(lost),
        creditedHours: durationText(v.creditedHours),
        segmentFrom: v.segmentFrom > before.segmentFrom ? 'andThe' : 'other',
      }),
      true,
    );
  if (v.segmentFrom > before.segmentFrom)
    return change(say('entry.theClockStartsOverThere'), false);
  if (lost < -HOUR_SLACK)
    return change(
      say('entry.moreCountInAll', {
        lost: durationText(-lost),
        creditedHours: durationText(v.creditedHours),
      }),
      false,
    );
  if (v.turningsCounted !== before.turningsCounted)
    return change(
      say('entry.turningCountsTurningsCountInstead', {
        turningsCounted: v.turningsCounted,
        turningsCounted2: before.turningsCounted,
      }),
      v.turningsCounted < before.turningsCounted,
    );
  const [from, to] = [factsOf(was), factsOf(after.assessment)];
  // A change that reads alike is none to anybody who reads it.
  if (displayStatusOf(from) !== displayStatusOf(to))
    return change(
      say('entry.goesFromTo', {
        toLowerCase: statusWord(from).toLowerCase(),
        toLowerCase2: statusWord(to).toLowerCase(),
      }),
      v.status === 'broken' && before.creditedHours > 0,
    );
  return { rule: title, text: say('entry.nothingChanges'), costs: false, none: true };
}

/** What a change of a batch's log does to each rule it is kept under, as assessed before and after it. */
export function effectsOf(
  before: readonly AssessedRule[],
  after: readonly AssessedRule[],
  name: string,
): Effect[] {
  const titles = titlesOf(before.map(({ rule }) => rule));
  return before.map((b) =>
    effect(
      b,
      after.find((a) => a.rule.id === b.rule.id),
      name,
      valueAt(titles, b.rule.id),
    ),
  );
}
