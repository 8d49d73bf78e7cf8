import { say } from '@/messages/say';
import { DraftScope } from '@/ui/draft';
import type { HeapRef } from '@/entry/ui/useEntry';
import type { QuestionLine } from '@/telling/status/questions';
import { SettleForm, type SettleTexts } from './SettleForm';

const settleTexts = (): SettleTexts => ({
  settleIt: say('status.settleIt'),
  reason: say('status.settleReason'),
  reasonMissing: say('status.settleReasonMissing'),
});

const Line = ({ line }: { line: QuestionLine }) => (
  <>
    <p className="font-semibold">{line.text}</p>
    {line.touches !== '' && <p className="q">{line.touches}</p>}
  </>
);

/** Everything that speaks against the evidence of a site: what is open, with where a manager settles it, and what was settled. */
export function Questions({
  lines,
  heap,
  manages,
}: {
  lines: readonly QuestionLine[];
  heap: HeapRef;
  /** Whether whoever looks is a manager. */ manages: boolean;
}) {
  const [open, settled] = [
    lines.filter((l) => l.settled === null),
    lines.filter((l) => l.settled !== null),
  ];
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4 max-w-[760px]">
      <h1>{say('status.toClearUp')}</h1>
      <p className="hint">
        {open.length > 0 ? say('status.toClearUpHow') : say('status.nothingToClearUp')}
      </p>
      {open.length > 0 && !manages && <p className="hint">{say('status.onlyManagerSettles')}</p>}
      <ul>
        {open.map((line) => (
          <li
            key={line.id}
            className="border-t border-line py-3 flex flex-col gap-2"
            data-testid="question"
          >
            <Line line={line} />
            {manages && (
              <details>
                <summary className="link min-h-target flex items-center w-fit">
                  {say('status.settleIt')}
                </summary>
                <DraftScope name={`question-${line.id}`}>
                  <SettleForm heap={heap} question={line.id} texts={settleTexts()} />
                </DraftScope>
              </details>
            )}
          </li>
        ))}
      </ul>
      {settled.length > 0 && (
        <section>
          <h2>{say('status.settled')}</h2>
          <ul>
            {settled.map((line) => (
              <li key={line.id} className="border-t border-line py-2" data-testid="settled">
                <Line line={line} />
                <p>{line.settled}</p>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
