import { say } from '@/messages/say';
import type { RecordDoc } from './view';

/** What speaks against the evidence, under its titles; nothing: no part of it. */
export const questionParts = ({
  questions: { open, settled },
}: Pick<RecordDoc, 'questions'>): (readonly [title: string, lines: readonly string[]])[] =>
  [[say('status.toClearUp'), open] as const, [say('status.settled'), settled] as const].filter(
    ([, lines]) => lines.length > 0,
  );
