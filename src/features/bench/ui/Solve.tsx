'use client';
import { say } from '@/messages/say';
import { shownQuantity } from '@/core/quantity/typed-quantity';
import { useEffect, useRef, useState } from 'react';
import type { Ingredient } from '@/core/mix/ingredient';
import { DraftScope, useDraftSaved, useTypedFields } from '@/ui/draft';
import { SaveButton } from '@/ui/SaveButton';
import { Sheet } from '@/ui/Sheet';
import {
  applyAnswer,
  newSolveDraft,
  readSolveDraft,
  takeAnswer,
  type SolveReading,
} from '../solve-draft';
import type { BenchView } from '../view';
import { RowLimits, SolveObstacles, TargetFields } from './SolveFields';
import { SolvedPanel, type SolveAnswer } from './SolvedPanel';
import type { BenchHandle } from './useBench';
import type { useSolver } from './useSolver';

type SolveProps = {
  readonly bench: BenchHandle;
  readonly view: Pick<BenchView, 'measures'>;
  readonly ask: ReturnType<typeof useSolver>;
  /** What a heap holds, and the water it was given: both are fixed. */ readonly already: readonly Ingredient[];
  readonly alreadyWaterL: number;
  readonly onDone: () => void;
};

/** Amounts that reach a target with what there is. Fixed rows stay; the rest is worked out, and taken only when it is said so. */
export const SolvePanel = ({
  open,
  onOpenChange,
  ...rest
}: { open: boolean; onOpenChange: (open: boolean) => void } & Omit<SolveProps, 'onDone'>) => (
  <Sheet open={open} onOpenChange={onOpenChange} title={say('bench.workOutTheAmounts')}>
    <DraftScope name="solve">
      <SolveForm {...rest} onDone={() => onOpenChange(false)} />
    </DraftScope>
  </Sheet>
);

/** Asks the worker. An answer to what was asked before something was changed is no answer: undefined, as before any. */
function useAnswer(question: SolveReading['question'], ask: SolveProps['ask']) {
  const [result, setResult] = useState<{ of: string; answer: SolveAnswer | null } | null>(null);
  const asked = JSON.stringify(question && [question.offers, question.target]);
  const run = async (): Promise<void> => {
    if (!question) return;
    const answer = await ask({ do: 'solve', ...question });
    const found =
      answer?.did === 'solve' && answer.solved && answer.inSteps
        ? { solved: answer.solved, inSteps: answer.inSteps }
        : null;
    setResult({ of: asked, answer: found });
  };
  const shown = useRef<HTMLElement>(null);
  // Below the limits it would come where nobody looks.
  useEffect(() => {
    if (result !== null) shown.current?.scrollIntoView({ block: 'start' });
  }, [result]);
  return { answer: result?.of === asked ? result.answer : undefined, shown, run };
}

const missingOf = ({ rows, question }: SolveReading): string | null => {
  if (rows.length === 0) return say('bench.addSomethingWithKnownAmount');
  return question === null ? say('controls.correctWhatIsMarkedAbove') : null;
};

function SolveForm({ bench, view, ask, already, alreadyWaterL, onDone }: SolveProps) {
  const { measures } = view;
  const [draft, set] = useTypedFields(newSolveDraft());
  const { lines } = bench;
  const reading = readSolveDraft(draft, { lines, ...view, already, alreadyWaterL });
  const { rows, without, question } = reading;
  const { answer, shown, run } = useAnswer(question, ask);
  const forgetDraft = useDraftSaved();
  const then = answer ? applyAnswer(rows, answer.inSteps, measures) : [];
  const take = ({ inSteps: { waterL } }: SolveAnswer): void => {
    bench.change({
      rows: takeAnswer(bench.draft.rows, then),
      waterL: waterL > 0 ? shownQuantity('litres', waterL, 0) : '',
    });
    forgetDraft();
    onDone();
  };
  return (
    <>
      <p className="hint">{say('bench.fixedRowsStayAsThey')}</p>
      <TargetFields draft={draft} set={set} litresNow={reading.litresNow} />
      <RowLimits
        rows={rows.filter((r) => !without.includes(r.item.name))}
        setRow={bench.setRow}
        measures={measures}
      />
      <SolveObstacles reading={reading} />
      <SaveButton
        className="btn key !min-h-key"
        label={say('bench.workItOut')}
        busy={false}
        missing={missingOf(reading)}
        onSave={() => void run()}
      />
      {answer === null && (
        <p role="alert" className="marked font-semibold">
          {say('bench.noMixWasFoundWiden')}
        </p>
      )}
      {answer && question && (
        <SolvedPanel
          ref={shown}
          answer={answer}
          rows={then}
          offers={question.offers}
          waterNow={bench.water ?? 0}
          measures={measures}

          onTake={() => take(answer)}
        />
      )}
    </>
  );
}
