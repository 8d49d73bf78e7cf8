import { say } from '../../messages/say';
import { orText } from '../quantity/format';

/** A check of an input that failed, as Zod hands it to whoever words it. */
export type InputIssue = {
  readonly code?: string | undefined;
  readonly input?: unknown;
  readonly expected?: unknown;
  readonly values?: unknown;
  readonly origin?: unknown;
  readonly minimum?: unknown;
  readonly maximum?: unknown;
  readonly keys?: unknown;
};

/** What stood there, cut short; nothing at all where JSON has no word for it. */
const shownInput = (input: unknown): string =>
  (JSON.stringify(input) as string | undefined)?.slice(0, 60) ?? '';

const articled = (expected: string): string =>
  /^[aeiou]/.test(expected)
    ? say('formats.an', { expected })
    : expected === 'int'
      ? say('formats.aWholeNumber')
      : `a ${expected}`;

const countOf = (origin: unknown): 'characters' | 'entries' | 'other' =>
  origin === 'string' ? 'characters' : origin === 'array' || origin === 'set' ? 'entries' : 'other';

/** A sentence for each check whose own words are those of a library; undefined: the check has its own sentence. */
export function issueText(issue: InputIssue): string | undefined {
  if (issue.input === undefined && issue.code !== 'custom') return say('formats.isMissing');
  switch (issue.code) {
    case 'invalid_type':
      return say('formats.mustBeNot', {
        expected: articled(String(issue.expected)),
        input: shownInput(issue.input),
      });
    case 'invalid_value':
      return Array.isArray(issue.values)
        ? say('formats.mustBeNot2', {
            values: orText(issue.values.map((v) => JSON.stringify(v))),
            input: shownInput(issue.input),
          })
        : undefined;
    case 'too_small':
      return say('formats.tooSmall', {
        least: String(issue.minimum),
        count: countOf(issue.origin),
      });
    case 'too_big':
      return say('formats.tooBig', { most: String(issue.maximum), count: countOf(issue.origin) });
    case 'invalid_format':
      return say('formats.notWrittenSo', { input: shownInput(issue.input) });
    case 'unrecognized_keys':
      return say('formats.notKnown', { keys: (issue.keys as readonly string[]).join(', ') });
    case 'invalid_union':
      return say('formats.noneOfThese', { input: shownInput(issue.input) });
    default:
      return undefined;
  }
}
