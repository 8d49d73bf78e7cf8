import { say } from '@/messages/say';
import { answerText, doubtText, FIRE_CARD } from '@/core/words/doubt';
import type { ReadingHandle } from './useReading';

/** What is odd about the value, asked before it is kept. */
export function Question({ reading }: { reading: ReadingHandle }) {
  const { asking, value } = reading;
  if (reading.fire)
    return (
      <div role="alert" className="border-2 border-ink bg-marker p-4 flex flex-col gap-3">
        <h2>{FIRE_CARD.title}</h2>
        <ul className="list-disc pl-5 text-lead leading-[1.35] flex flex-col gap-1">
          {FIRE_CARD.steps.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
        <p className="text-small">{FIRE_CARD.law}</p>
        <button type="button" className="btn key !min-h-[72px]" onClick={reading.keepAnyway}>
          {say('round.save')} {value} {say('round.asItWasRead', { unit: reading.unit })}
        </button>
        <button type="button" className="btn !min-h-glove" onClick={reading.retype}>
          {say('round.typingMistakeTypeAgain')}
        </button>
      </div>
    );
  if (!asking || value === null) return null;
  return (
    <div role="alert" className="border-2 border-ink bg-marker p-4 flex flex-col gap-2.5">
      <p className="text-subhead leading-[1.3] font-semibold">
        {doubtText(asking, value, reading.unit)}
      </p>
      {asking.answers.map((a) => (
        <button
          key={a}
          type="button"
          className="btn !min-h-row !text-subhead"
          onClick={() => reading.answer(a)}
        >
          {answerText(a, value, reading.unit)}
        </button>
      ))}
      <button type="button" className="btn !min-h-glove" onClick={reading.retype}>
        {say('round.typeItAgain')}
      </button>
      <p className="text-small">{say('round.whatYouTypedSavedWith')}</p>
    </div>
  );
}
