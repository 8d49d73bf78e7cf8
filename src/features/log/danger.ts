import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { statusOfBatch } from '@/core/status/batch-status';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';
import { hotWords } from '@/telling/status/hot';

/** What a form says before anybody works on a batch that is in danger; null: it is in none. */
export function dangerText(d: BatchSnapshot, locale: Locale): string | null {
  const { danger } = statusOfBatch(d, locale.now);
  if (danger.level !== 'fire') return null;
  const { heading, why } = hotWords(danger.hot, locale);
  return `${heading}. ${why} ${CAUTION.danger}`;
}
