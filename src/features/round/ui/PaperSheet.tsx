'use client';
import { say } from '@/messages/say';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState, type ClipboardEvent, type KeyboardEvent } from 'react';
import { answerText, doubtText } from '@/core/words/doubt';
import type { DoubtAnswer } from '@/core/advice/doubt';
import type { TempUnit } from '@/core/units/units';
import type { FieldPlace } from '@/core/snapshot/round-snapshot';
import { nameForHeap } from '@/core/words/waiting';
import { submitAllOrQueue } from '@/outbox/keep';
import { DraftScope, useDraftSaved, useTyped } from '@/ui/draft';
import { Problems } from '@/ui/Field';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import type { RoundInstrument } from '../offline-round-data';
import {
  answerKey,
  cellsOf,
  formOfRow,
  pasteInto,
  readPaper,
  type PaperAnswers,
  type PaperQuestion,
  type PaperRow,
  type ReadRow,
} from '../paper';
import { createId } from './useRoundWalk';

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
const newRow = (): PaperRow => ({ id: createId(), when: '', cells: {} });

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
  const [blank] = useState(() => Array.from({ length: ROWS }, newRow));
  const shown = rows.length > 0 ? rows : blank;
  const [answers, setAnswers] = useTyped<PaperAnswers>('answers', {});
  const [probe, setProbe] = useTyped('probe', p.probe ?? '');
  const [by, setBy] = useTyped('by', p.by);
  const save = useSavedPaper(p, by, probe);
  const instrument = p.instruments.find((i) => i.name === probe) ?? null;
  const unit = instrument?.unit ?? p.unit;
  const read = readPaper(shown, answers, { ...p, unit, instrument });
  return (
    <>
      <Taken {...{ instruments: p.instruments, probe, setProbe, by, setBy }} />
      <Grid places={p.places} unit={unit} rows={read.rows} onRows={setRows} />
      <Questions
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
          onSave={() => save.keep(read.rows)}
          label={say('round.paperSave', { readings: read.readings })}
        />
      </div>
    </>
  );
}

/** With what the readings were taken, and by whom. */
const Taken = ({
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

/** Saves all rows in one act; what the server cannot take now waits on this device. */
function useSavedPaper({ heap }: PaperSheetProps, by: string, probe: string) {
  const [busy, setBusy] = useState(false);
  const [problems, setProblems] = useState<
    readonly { readonly path: string; readonly message: string }[]
  >([]);
  const saved = useDraftSaved();
  const router = useRouter();
  const keep = (rows: readonly ReadRow[]): void => {
    setBusy(true);
    const filled = rows.filter((r) => r.values.length > 0);
    void submitAllOrQueue(
      filled.map((r) => ({
        form: formOfRow(r, heap.id, by.trim(), probe || null),
        ...nameForHeap(heap.name, say('round.checkOf', { places: r.values.length })),
      })),
    ).then((refused) => {
      setBusy(false);
      setProblems(refused);
      if (refused.length > 0) return;
      saved();
      router.push(`/batch/${heap.id}`);
    });
  };
  return { busy, problems, keep };
}

const cellId = (row: number, column: number): string => `paper-${row}-${column}`;
const focusCell = (row: number, column: number): void => {
  const cell = document.getElementById(cellId(row, column));
  if (cell instanceof HTMLInputElement) {
    cell.focus();
    cell.select();
  }
};

function Grid({
  places,
  unit,
  rows,
  onRows,
}: {
  places: readonly FieldPlace[];
  unit: TempUnit;
  rows: readonly ReadRow[];
  onRows: (rows: readonly PaperRow[]) => void;
}) {
  const plain = rows.map((r) => r.row);
  const last = useRef({ row: 0 });
  const change = (index: number, row: PaperRow): void => {
    const next = plain.map((r, i) => (i === index ? row : r));
    // There is always an empty row below the last one.
    onRows(index === next.length - 1 ? [...next, newRow()] : next);
  };
  const move = (e: KeyboardEvent, row: number, column: number): void => {
    const to: Readonly<Record<string, readonly [number, number]>> = {
      ArrowUp: [row - 1, column],
      ArrowDown: [row + 1, column],
      Enter: column === places.length - 1 ? [row + 1, -1] : [row, column + 1],
    };
    const cell = to[e.key];
    if (!cell) return;
    e.preventDefault();
    last.current.row = cell[0];
    focusCell(cell[0], cell[1]);
  };
  const paste = (e: ClipboardEvent, row: number, column: number): void => {
    const block = cellsOf(e.clipboardData.getData('text'));
    if (block.length === 1 && block[0]?.length === 1) return;
    e.preventDefault();
    onRows(pasteInto(plain, block, { row, column }, places, newRow));
  };
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={say('round.paperGrid')}>
      <table className="border-collapse">
        <GridHead places={places} unit={unit} />
        <tbody>
          {rows.map((r, i) => (
            <GridRow
              key={r.row.id}
              r={r}
              index={i}
              places={places}
              onChange={(row) => change(i, row)}
              onKey={move}
              onPaste={paste}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

const GridHead = ({ places, unit }: { places: readonly FieldPlace[]; unit: TempUnit }) => (
  <thead>
    <tr className="text-left text-note q border-b-[1.6px] border-ink">
      <th scope="col" className="py-1 pr-3 font-medium">
        {say('round.when')}
      </th>
      {places.map((place) => (
        <th key={place.id} scope="col" className="pr-2 font-medium align-bottom">
          {place.label ?? place.id}, °{unit}
        </th>
      ))}
    </tr>
  </thead>
);

function GridRow({
  r,
  index,
  places,
  onChange,
  onKey,
  onPaste,
}: {
  r: ReadRow;
  index: number;
  places: readonly FieldPlace[];
  onChange: (row: PaperRow) => void;
  onKey: (e: KeyboardEvent, row: number, column: number) => void;
  onPaste: (e: ClipboardEvent, row: number, column: number) => void;
}) {
  const cell = 'field !w-[84px] print:!border-ink print:!min-h-[34px]';
  const wrong = [r.whenProblem, ...Object.values(r.problems)].filter((text) => text !== null);
  return (
    <>
      <tr>
        <td className="pr-3 py-0.5">
          <input
            id={cellId(index, -1)}
            className="field !w-[164px]"
            aria-label={say('round.paperTimeOfRow', { row: index + 1 })}
            aria-invalid={r.whenProblem !== null}
            placeholder={index === 0 ? say('round.paperTimeExample') : ''}
            autoComplete="off"
            value={r.row.when}
            onChange={(e) => onChange({ ...r.row, when: e.target.value })}
            onKeyDown={(e) => onKey(e, index, -1)}
            onPaste={(e) => onPaste(e, index, -1)}
          />
        </td>
        {places.map((place, column) => (
          <td key={place.id} className="pr-2 py-0.5">
            <input
              id={cellId(index, column)}
              className={cell}
              aria-label={say('round.paperCell', {
                place: place.label ?? place.id,
                row: index + 1,
              })}
              aria-invalid={place.id in r.problems}
              inputMode="decimal"
              autoComplete="off"
              value={r.row.cells[place.id] ?? ''}
              onChange={(e) =>
                onChange({ ...r.row, cells: { ...r.row.cells, [place.id]: e.target.value } })
              }
              onKeyDown={(e) => onKey(e, index, column)}
              onPaste={(e) => onPaste(e, index, column)}
            />
          </td>
        ))}
      </tr>
      {wrong.length > 0 && <Wrong texts={wrong} columns={places.length + 1} />}
    </>
  );
}

const Wrong = ({ texts, columns }: { texts: readonly string[]; columns: number }) => (
  <tr className="print:hidden">
    <td colSpan={columns} role="alert" className="pb-2">
      <span className="marked font-semibold text-small">{texts.join(' ')}</span>
    </td>
  </tr>
);

const Questions = ({
  questions,
  onAnswer,
}: {
  questions: readonly PaperQuestion[];
  onAnswer: (q: PaperQuestion, answer: DoubtAnswer) => void;
}) => (
  <ul className="flex flex-col gap-3 print:hidden" data-testid="questions">
    {questions.map((q) => (
      <li
        key={`${q.row.id} ${q.place.id}`}
        role="alert"
        className="border-2 border-ink bg-marker p-3 flex flex-wrap gap-3 items-center"
      >
        <p className="font-semibold flex-1 min-w-[260px]">
          {q.row.when} {q.place.label ?? q.place.id}: {doubtText(q.doubt, q.value, q.unit)}
        </p>
        {q.doubt.answers.map((a) => (
          <button key={a} type="button" className="btn" onClick={() => onAnswer(q, a)}>
            {answerText(a, q.value, q.unit)}
          </button>
        ))}
      </li>
    ))}
  </ul>
);
