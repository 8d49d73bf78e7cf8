import Link from 'next/link';
import { say } from '@/messages/say';
import { PLACES } from '@/core/words/places';
import type { QuestionLine } from '@/telling/status/questions';

/** What is to be cleared up, where it is read first: in a few lines, with the page on which it is settled. */
export const OpenQuestions = ({
  lines,
  touches = false,
}: {
  lines: readonly QuestionLine[];
  /** Whether it says what they concern; a page of one batch does not. */ touches?: boolean;
}) =>
  lines.length > 0 && (
    <section
      className="border-[1.6px] border-ink px-3 py-2 my-1 text-hint"
      aria-label={say('status.toClearUp')}
      data-testid="to-clear-up"
    >
      <p>
        <Link
          prefetch={false}
          href={PLACES.questions.href}
          className="link font-semibold pointer-coarse:py-2.5 inline-block"
        >
          {say('status.toClearUp')}
        </Link>
      </p>
      <ul>
        {lines.map((line) => (
          <li key={line.id}>{[line.text, touches && line.touches].filter(Boolean).join(' ')}</li>
        ))}
      </ul>
    </section>
  );
