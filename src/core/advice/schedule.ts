import { libraryText } from '../../messages/library-text';
import { say } from '../../messages/say';
import { holdsOf } from '../evidence/requirements';
import type { Rule } from '../evidence/rule';
import type { MethodTemplate } from '../log/shapes';

/** A rule that asks for more turnings in a row of hot days than a method's calendar makes. */
export type ShortSchedule = {
  readonly needed: number;
  readonly days: number;
  readonly made: number;
  /** Turned so often it would do, days. */ readonly everyDays: number;
};

/**
 * Whether a method by its own calendar turns too seldom for a rule; null: it does not, or it turns by heat and not by days.
 * Time that need not be in a row can be stretched until the turnings are in, so only rules in a row are asked.
 */
export function shortSchedule(
  template: Pick<MethodTemplate, 'trigger' | 'firstDay' | 'everyDays'>,
  rule: Pick<Rule, 'requirement'>,
): ShortSchedule | null {
  if (template.trigger !== 'calendar' && template.trigger !== 'never' && template.trigger !== 'bay')
    return null;
  const short = holdsOf(rule.requirement).flatMap((hold): ShortSchedule[] => {
    if (!hold.consecutive || hold.turnings === 0) return [];
    const days = hold.hours / 24;
    const made = template.trigger === 'never' ? 0 : Math.floor(days / template.everyDays);
    return made >= hold.turnings
      ? []
      : [
          {
            needed: hold.turnings,
            days,
            made,
            everyDays: Math.max(1, Math.floor(days / hold.turnings)),
          },
        ];
  });
  return short[0] ?? null;
}

/** Each rule that the method by its calendar turns too seldom for, in a sentence. @param rules with the names they go by */
export function shortScheduleTexts(
  template: Pick<MethodTemplate, 'name' | 'trigger' | 'firstDay' | 'everyDays'>,
  rules: readonly { readonly title: string; readonly rule: Pick<Rule, 'requirement'> }[],
): string[] {
  return rules.flatMap(({ title, rule }) => {
    const short = shortSchedule(template, rule);
    return short
      ? [
          say('advice.needsTurningTurningsInDays', {
            ...{ title, ...short },
            toLowerCase: libraryText(template.name).toLowerCase(),
          }),
        ]
      : [];
  });
}
