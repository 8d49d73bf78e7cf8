import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { progressText, statusWord, turningsText, uncounted } from '@/core/evidence/verdict-words';
import { calendarDays, zoneOf } from '@/core/quantity/calendar';
import { dayText, durationText, lowerFirst, upperFirst } from '@/core/quantity/format';
import { firstOf } from '@/core/quantity/present';
import type { BatchStatus, RuleStatus } from '@/core/status/batch-status';
import type { Locale } from '@/core/words/note';

/** How far rules are, in a line: of the rule that is worked on, "met" alone; of every other one with its name. */

type Line = { readonly head: string; readonly sub: string };
const joined = (...parts: readonly string[]): string => parts.filter(Boolean).join(' · ');

/** How far a rule is, in a few words. */
export function ruleText({ code, at, facts }: RuleStatus, { timeZone }: Locale): string {
  switch (code) {
    case 'met':
      return say('status.met', { day: dayText(timeZone, at ?? 0) });
    case 'met-where-read':
      return say('status.metWhereRead', { day: dayText(timeZone, at ?? 0) });
    case 'unread':
      return say('status.unreadSince', { day: dayText(timeZone, at ?? 0) });
    case 'not-read':
      return at === null ? say('status.noTemperaturesYet') : statusWord(facts);
    case 'waiting':
      return say('status.notHotEnoughSoFar');
    case 'recovering':
      return say('status.paused', { hours: durationText(facts.creditedHours) });
    case 'broken':
      return say('status.startsOver', { progress: progressText(facts) });
    case 'adds-up':
      return say('status.needsHeat', { progress: progressText(facts) });
    default:
      return progressText(facts);
  }
}

/** Rules that are met beside the one that is worked on, by name; empty: none is, or all are. */
export function othersMetText({ main, rules }: Pick<BatchStatus, 'main' | 'rules'>): string {
  const met = rules.filter((r) => r !== main && r.facts.provenAt !== null);
  return met.length === 0
    ? ''
    : say('status.othersMet', { rules: met.map((r) => libraryText(r.title)).join(', ') });
}

/** The rule that is worked on: how far it is, and what stands beside it. @param lostHours counted time that was lost */
export function mainLine(status: BatchStatus, lostHours: number, locale: Locale): Line {
  const { main } = status;
  if (!main) return { head: say('status.noRuleToMeet'), sub: dayCountText(status, locale) };
  const { code, facts } = main;
  const others = othersMetText(status);
  const title = libraryText(main.title);
  const turned = facts.turningsRequired > 0 ? turningsText(facts) : '';
  const head = ruleText(main, locale);
  switch (code) {
    case 'met':
    case 'met-where-read':
      return { head, sub: joined(title, others) };
    case 'not-read':
      return { head, sub: joined(dayCountText(status, locale), others) };
    case 'unread':
      return { head, sub: joined(progressText(facts), turned, others) };
    default:
  }
  const doubt = uncounted(facts);
  if (doubt)
    return {
      head: firstOf(doubt).text.replace(/: .*$/, '').trim(),
      sub: joined(say('status.doesNotCountYet'), others),
    };
  const lost =
    code === 'broken' && lostHours > 0
      ? say('status.lost', { hours: durationText(lostHours) })
      : '';
  return { head, sub: joined(lost || turned || dayCountText(status, locale), others) };
}

/** Met or not, with the name of the rule, where something else comes first. */
export function mainText({ main }: Pick<BatchStatus, 'main'>, locale: Locale): string {
  if (!main) return lowerFirst(say('status.noRuleToMeet'));
  return main.facts.provenAt === null
    ? say('status.mainNotMet', {
        rule: libraryText(main.title),
        progress: progressText(main.facts),
      })
    : `${ruleText(main, locale)}: ${libraryText(main.title)}`;
}

/** How far it is, for a list and for those who hear it: the state in a word, counted time and turnings. */
export function progressLine({ main }: Pick<BatchStatus, 'main'>, locale: Locale): string {
  if (!main) return '';
  const { code, facts } = main;
  const word =
    code === 'unread' || code === 'not-read' || code === 'met-where-read'
      ? lowerFirst(ruleText(main, locale))
      : statusWord(facts).toLowerCase();
  return [word, progressText(facts), facts.turningsRequired > 0 && turningsText(facts)]
    .filter(Boolean)
    .join(', ');
}

/** Which day of its life it is: the day on which adding was finished is day 0. */
export function dayCountText(
  { age, now }: Pick<BatchStatus, 'age' | 'now'>,
  { timeZone }: Locale,
): string {
  const days = calendarDays(zoneOf(timeZone), age.since, now);
  return age.from === 'started'
    ? say('status.dayOfBuilding', { days })
    : say('status.day', { days });
}

/** How far it is, in a list of records. */
export const recordLine = (status: Pick<BatchStatus, 'main'>, locale: Locale): string =>
  status.main !== null && status.main.facts.provenAt !== null
    ? ruleText(status.main, locale)
    : upperFirst(progressLine(status, locale));
