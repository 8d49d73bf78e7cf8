'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useState } from 'react';
import type { DoubtAnswer } from '@/core/advice/doubt';
import type { TempUnit } from '@/core/units/units';
import { DraftScope, useTyped } from '@/ui/draft';
import { Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import type { OfflineRoundData, RoundHeap } from '../offline-round-data';
import {
  answerKey,
  readPaper,
  type PaperAnswers,
  type PaperQuestion,
  type PaperRow,
  type ReadPaper,
} from '../paper';
import { enterGrid, newPaperRow, PaperGrid, PaperQuestions } from './PaperGrid';
import { Taken } from './PaperSheet';
import { useSavedPaper } from './useSavedPaper';

export type SiteSheetProps = {
  readonly heaps: readonly RoundHeap[];
  readonly instruments: OfflineRoundData['instruments'];
  readonly unit: TempUnit;
  readonly by: string;
  readonly nowLocal: string;
  readonly dayFirst: boolean;
};
/** Rows of each batch on a fresh sheet. */
const ROWS = 2;

/** The clipboard of a whole site at the desk: every batch with its points, saved in one act. */
export function SiteSheet(p: SiteSheetProps) {
  return (
    <div className="px-5 max-sm:px-4 py-4 flex flex-col gap-4">
      <header className="flex flex-wrap justify-between items-baseline gap-3">
        <h1>{say('round.paperSheetOfSite')}</h1>
        <p className="flex gap-3 print:hidden">
          <button type="button" className="btn" onClick={() => window.print()}>
            {say('round.printBlankSheet')}
          </button>
          <Link prefetch={false} className="btn" href="/round">
            {say('round.stop')}
          </Link>
        </p>
      </header>
      <p className="hint max-w-[80ch] print:hidden">{say('round.paperHowTo')}</p>
      {p.heaps.length === 0 ? (
        <p>{say('round.noBatchToRead')}</p>
      ) : (
        <DraftScope name="paper of the site">
          <Sheets {...p} />
        </DraftScope>
      )}
    </div>
  );
}

/** The sheet of one batch as it is typed. */
type Typed = Readonly<Record<string, readonly PaperRow[]>>;

function Sheets(p: SiteSheetProps) {
  const [typed, setTyped] = useTyped<Typed>('sheets', {});
  const [blank] = useState<Typed>(() =>
    Object.fromEntries(p.heaps.map((h) => [h.id, Array.from({ length: ROWS }, newPaperRow)])),
  );
  const [answers, setAnswers] = useTyped<PaperAnswers>('answers', {});
  const [probe, setProbe] = useTyped('probe', p.instruments[0]?.name ?? '');
  const [by, setBy] = useTyped('by', p.by);
  const instrument = p.instruments.find((i) => i.name === probe) ?? null;
  const unit = instrument?.unit ?? p.unit;
  const readSheet = (heap: RoundHeap): ReadPaper =>
    readPaper(typed[heap.id] ?? blank[heap.id] ?? [], answers, {
      ...{ ...p, places: heap.places, unit, instrument },
    });
  const sheets = p.heaps.map((heap) => ({ heap, read: readSheet(heap) }));
  const save = useSavedPaper(by, probe, '/');
  const answer = (q: PaperQuestion, given: DoubtAnswer): void => {
    const key = answerKey(q.row, q.place.id);
    setAnswers({
      ...answers,
      [key]: [...(answers[key] ?? []), { code: q.doubt.code, answer: given }],
    });
  };
  const readings = sheets.reduce((n, s) => n + s.read.readings, 0);
  const isReady = sheets.every(({ read }) => read.readings === 0 || read.ready);
  return (
    <>
      <Taken {...{ instruments: p.instruments, probe, setProbe, by, setBy }} />
      {sheets.map(({ heap, read }, i) => (
        <BatchSheet
          key={heap.id}
          sheet={i}
          heap={heap}
          read={read}
          unit={unit}
          onRows={(rows) => setTyped({ ...typed, [heap.id]: rows })}
          onAnswer={answer}
        />
      ))}
      <Problems list={save.problems} />
      <div className="print:hidden sticky bottom-0 max-sm:bottom-[54px] bg-paper ruled py-3">
        <SaveButton
          className="btn key !min-h-glove"
          busy={save.busy}
          missing={
            whoIsMissing(by) ??
            (readings === 0
              ? say('round.paperTypeAValue')
              : isReady
                ? null
                : say('round.paperAnswerFirst'))
          }
          onSave={() => save.keep(sheets.map(({ heap, read }) => ({ heap, rows: read.rows })))}
          label={say('round.paperSave', { readings })}
        />
      </div>
    </>
  );
}

/** The sheet of one batch among those of a site. */
const BatchSheet = ({
  sheet,
  heap,
  read,
  unit,
  onRows,
  onAnswer,
}: {
  /** Its place among them. */ sheet: number;
  heap: RoundHeap;
  read: ReadPaper;
  unit: TempUnit;
  onRows: (rows: readonly PaperRow[]) => void;
  onAnswer: (q: PaperQuestion, answer: DoubtAnswer) => void;
}) => (
  <section aria-labelledby={`sheet-${heap.id}`} className="break-inside-avoid">
    <h2 id={`sheet-${heap.id}`} className="!text-subhead ruled pt-1.5">
      {heap.name} <span className="q font-normal text-small">{heap.place}</span>
    </h2>
    <PaperGrid
      sheet={String(sheet)}
      name={heap.name}
      places={heap.places}
      unit={unit}
      rows={read.rows}
      onRows={onRows}
      onLeave={(way) => enterGrid(String(sheet + way), 0)}
    />
    <PaperQuestions questions={read.questions} onAnswer={onAnswer} />
  </section>
);
