import { libraryText } from '@/messages/library-text';
import { say } from '@/messages/say';
import { progressText } from '@/core/evidence/verdict-words';
import type { CureDoubt } from '@/core/log/lot-shapes';
import { tempBeside } from '@/core/quantity/format';
import type { BatchStatus } from '@/core/status/batch-status';
import type { Locale } from '@/core/words/note';

/** What speaks against moving a batch to cure, and what follows if it is moved all the same. */
export function cureDoubtText(
  doubt: CureDoubt,
  { danger, main }: Pick<BatchStatus, 'danger' | 'main'>,
  { unit }: Locale,
): string {
  switch (doubt) {
    case 'danger':
      return typeof danger.hot?.coreC === 'number'
        ? say('status.cureInDanger', {
            temp: tempBeside(danger.hot.coreC, danger.hot.dangerC, unit),
            level: danger.level === 'fire' ? 'fire' : 'other',
          })
        : say('status.cureInDangerUnread');
    case 'unproven':
      return main === null
        ? ''
        : say('status.cureUnproven', {
            rule: libraryText(main.title),
            progress: progressText(main.facts),
          });
  }
}
