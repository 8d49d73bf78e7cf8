import { claimOf, hasRawInputs } from '@/core/advice/claim';
import { hotOf, isDangerous } from '@/core/advice/situation';
import { hotWords, readingDoubtText } from '@/core/advice/words';
import type { BatchSnapshot } from '@/core/snapshot/batch-snapshot';
import { CAUTION } from '@/core/words/caution';
import type { Locale } from '@/core/words/note';

/** What a form says before a heap goes out, and before anybody works on one that is in danger. */
export function goingOutView({ situation }: BatchSnapshot, locale: Locale) {
  const claim = claimOf(situation, locale.now);
  const s = { ...situation, now: locale.now };
  const hot = isDangerous(s) ? hotOf(s) : null;
  return {
    doubts: claim.doubts.map((doubt) => ({ doubt, text: readingDoubtText(doubt, claim, locale) })),
    rawIn: hasRawInputs(situation),
    danger:
      hot === null
        ? null
        : `${hotWords(hot, locale).heading}. ${hotWords(hot, locale).why} ${CAUTION.danger}`,
  };
}
