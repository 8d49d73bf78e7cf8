'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState } from 'react';
import type { TempUnit } from '@/core/units/units';
import type { FieldPlace } from '@/core/snapshot/round-snapshot';
import { DraftScope, useTyped } from '@/ui/draft';
import { Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import { newPaperRow, PaperGrid, PaperQuestions } from './PaperGrid';
import { useSavedPaper } from './useSavedPaper';
import type { RoundInstrument } from '../offline-round-data';
import { answerKey, readPaper, type PaperAnswers, type PaperRow } from '../paper';

export type PaperSheetProps = {
  readonly heap: { readonly id: string; readonly name: string };
  readonly places: readonly FieldPlace[];
  readonly instruments: readonly RoundInstrument[];
  readonly probe: string | null;
  readonly unit: TempUnit;
  readonly by: string;
  readonly nowLocal: string;
  readonly dayFirst: boolean;
};

/** Rows of a fresh sheet: a week, once a day. */
const ROWS = 7;

/** A paper sheet at the desk: typed by keyboard alone or pasted, checked as it is typed, saved in one act. */
export function PaperSheet(p: PaperSheetProps) {
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4">
      <header className="flex flex-wrap justify-between items-baseline gap-3">
        <h1>{say('round.paperSheetOf', { name: p.heap.name })}</h1>
        <p className="flex gap-3 print:hidden">
          <button type="button" className="btn" onClick={() => window.print()}>
            {say('round.printBlankSheet')}
          </button>
          <Link prefetch={false} className="btn" href={`/batch/${p.heap.id}`}>
            {say('round.stop')}
          </Link>
        </p>
      </header>
      <p className="hint max-w-[80ch] print:hidden">{say('round.paperHowTo')}</p>
      <DraftScope name={`paper ${p.heap.id}`}>
        <Sheet {...p} />
      </DraftScope>
    </div>
  );
}

function Sheet(p: PaperSheetProps) {
  const [rows, setRows] = useTyped<readonly PaperRow[]>('rows', []);
  const [blank] = useState(() => Array.from({ length: ROWS }, newPaperRow));
  const shown = rows.length > 0 ? rows : blank;
  const [answers, setAnswers] = useTyped<PaperAnswers>('answers', {});
  const [probe, setProbe] = useTyped('probe', p.probe ?? '');
  const [by, setBy] = useTyped('by', p.by);
  const save = useSavedPaper(by, probe, `/batch/${p.heap.id}`);
  const instrument = p.instruments.find((i) => i.name === probe) ?? null;
  const unit = instrument?.unit ?? p.unit;
  const read = readPaper(shown, answers, { ...p, unit, instrument });
  return (
    <>
      <Taken {...{ instruments: p.instruments, probe, setProbe, by, setBy }} />
      <PaperGrid
        sheet="one"
        name={p.heap.name}
        places={p.places}
        unit={unit}
        rows={read.rows}
        onRows={setRows}
      />
      <PaperQuestions
        questions={read.questions}
        onAnswer={(q, answer) => {
          const key = answerKey(q.row, q.place.id);
          setAnswers({
            ...answers,
            [key]: [...(answers[key] ?? []), { code: q.doubt.code, answer }],
          });
        }}
      />
      <Problems list={save.problems} />
      <div className="print:hidden">
        <SaveButton
          className="btn key !min-h-glove"
          busy={save.busy}
          missing={
            whoIsMissing(by) ??
            (read.readings === 0
              ? say('round.paperTypeAValue')
              : read.ready
                ? null
                : say('round.paperAnswerFirst'))
          }
          onSave={() => save.keep([{ heap: p.heap, rows: read.rows }])}
          label={say('round.paperSave', { readings: read.readings })}
        />
      </div>
    </>
  );
}

/** With what the readings were taken, and by whom. */
export const Taken = ({
  instruments,
  probe,
  setProbe,
  by,
  setBy,
}: {
  instruments: readonly RoundInstrument[];
  probe: string;
  setProbe: (probe: string) => void;
  by: string;
  setBy: (by: string) => void;
}) => (
  <div className="flex flex-wrap gap-4 print:hidden">
    <label className="label">
      {say('round.thermometer')}
      <select className="field" value={probe} onChange={(e) => setProbe(e.target.value)}>
        <option value="">{say('round.anotherOneNotSaved')}</option>
        {instruments.map((i) => (
          <option key={i.name} value={i.name}>
            {i.name}
          </option>
        ))}
      </select>
    </label>
    <label className="label">
      {say('round.who')}
      <input className="field" value={by} onChange={(e) => setBy(e.target.value)} />
    </label>
  </div>
);
