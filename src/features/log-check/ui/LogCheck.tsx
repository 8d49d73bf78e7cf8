import { say } from '@/messages/say';
import { DraftScope } from '@/ui/draft';
import type { HeapRef } from '@/entry/ui/useEntry';
import type { FaultView, LogCheckView } from '../view';
import { TakeNote, type TakeNoteTexts } from './TakeNote';

const takeNoteTexts = (): TakeNoteTexts => ({
  takeNote: say('trust.takeNote'),
  takeNoteHow: say('trust.takeNoteHow'),
  memoryBegunAnew: say('trust.memoryBegunAnew'),
  reason: say('trust.reason'),
  reasonMissing: say('trust.reasonMissing'),
});

const FaultLine = ({ fault }: { fault: FaultView }) => (
  <li className="border-t border-line py-2" data-testid="fault">
    <p className="font-semibold">{fault.text}</p>
    <p className="q">{fault.noted ?? say('trust.open')}</p>
  </li>
);

/** How the log was checked, and what does not fit; a manager takes note of it here. */
export function LogCheck({
  view,
  heap,
  manages,
}: {
  view: LogCheckView;
  heap: HeapRef;
  /** Whether whoever looks is a manager. */ manages: boolean;
}) {
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4 max-w-[760px]">
      <h1>{say('trust.openCheck')}</h1>
      <div className="flex flex-col gap-1" data-testid="log-check">
        {view.lines.map((line) => (
          <p key={line}>{line}</p>
        ))}
      </div>
      {view.faults.length > 0 && (
        <ul>
          {view.faults.map((fault) => (
            <FaultLine key={fault.key} fault={fault} />
          ))}
        </ul>
      )}
      {view.open.length > 0 && !manages && <p className="hint">{say('trust.onlyManagerNotes')}</p>}
      {view.open.length > 0 && manages && (
        <DraftScope name="fault-noted">
          <TakeNote
            heap={heap}
            open={view.open}
            beginsAnew={view.beginsAnew}
            texts={takeNoteTexts()}
          />
        </DraftScope>
      )}
    </div>
  );
}
