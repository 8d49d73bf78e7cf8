import { say } from '@/messages/say';
import { findBoundsFault } from '@/core/log/bounds';
import type { NewEntry } from '@/core/log/entry';
import { pathText, type Problem } from '@/core/words/problem';

/** What of an entry is out of bounds, as a sentence; null: nothing. */
export function boundsProblem(entry: NewEntry): Problem | null {
  const fault = findBoundsFault(entry);
  if (!fault) return null;
  switch (fault.code) {
    case 'number': {
      const { value, bound, path } = fault;
      const { least, most, sign } = bound;
      const message = say('entry.outOfBounds', { value: String(value), least, most, sign });
      return { path: pathText(path), message };
    }
    case 'entry':
      return {
        path: '(form)',
        message: say('entry.entryTooLarge', {
          size: Math.ceil(fault.bytes / 1000),
          most: fault.most / 1000,
        }),
      };
    case 'unknown':
      return {
        path: 'data',
        message: say('entry.unknownTooLarge', {
          size: Math.ceil(fault.bytes / 1000),
          most: fault.most / 1000,
        }),
      };
  }
}
