import { leavesOf, type Rule } from '../evidence/rule';
import type { MethodTemplate } from '../log/shapes';

/** A rule that asks for more turnings in a row of hot days than a method's calendar makes. */
export type ShortSchedule = { readonly needed: number; readonly days: number; readonly made: number; /** Turned so often it would do, days. */ readonly everyDays: number };

/**
 * Whether a method by its own calendar turns too seldom for a rule; null: it does not, or it turns by heat and not by days.
 * Time that need not be in a row can be stretched until the turnings are in, so only rules in a row are asked.
 */
export function shortSchedule(template: Pick<MethodTemplate, 'trigger' | 'firstDay' | 'everyDays'>, rule: Pick<Rule, 'requirement'>): ShortSchedule | null {
  if (template.trigger !== 'calendar' && template.trigger !== 'never' && template.trigger !== 'bay') return null;
  const short = leavesOf(rule.requirement).flatMap((leaf): ShortSchedule[] => {
    if (leaf.kind !== 'hold' || !leaf.consecutive || leaf.turnings === 0) return [];
    const days = leaf.hours / 24;
    const made = template.trigger === 'never' ? 0 : Math.floor(days / template.everyDays);
    return made >= leaf.turnings ? [] : [{ needed: leaf.turnings, days, made, everyDays: Math.max(1, Math.floor(days / leaf.turnings)) }];
  });
  return short[0] ?? null;
}
