import { hotOf, isDangerous } from '@/core/advice/situation';
import { hotWords } from '@/telling/status/hot';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';

/** What a form says before anybody works on a batch that is in danger; null: it is in none. */
export function dangerText({ situation }: BatchSnapshot, locale: Locale): string | null {
  const s = { ...situation, now: locale.now };
  const hot = isDangerous(s) ? hotOf(s) : null;
  if (hot === null) return null;
  const { heading, why } = hotWords(hot, locale);
  return `${heading}. ${why} ${CAUTION.danger}`;
}
