'use client';
import { say } from '@/messages/say';
import type { ClipboardEvent, KeyboardEvent } from 'react';
import { answerText, doubtText } from '@/core/words/doubt';
import type { DoubtAnswer } from '@/core/advice/doubt';
import type { TempUnit } from '@/core/units/units';
import type { FieldPlace } from '@/core/snapshot/round-snapshot';
import { cellsOf, pasteInto, type PaperQuestion, type PaperRow, type ReadRow } from '../paper';
import { createId } from './useRoundWalk';

export const newPaperRow = (): PaperRow => ({ id: createId(), when: '', cells: {} });
/** Goes to the first or the last row of a grid. */
export const enterGrid = (sheet: string, row: number): boolean => focusCell(sheet, row, -1);

const cellId = (sheet: string, row: number, column: number): string =>
  `paper-${sheet}-${row}-${column}`;
/** Whether there is such a cell to go to. */
function focusCell(sheet: string, row: number, column: number): boolean {
  const cell = document.getElementById(cellId(sheet, row, column));
  if (!(cell instanceof HTMLInputElement)) return false;
  cell.focus();
  cell.select();
  return true;
}

/** Where a key goes from a cell; Enter goes right, and behind the last column to the next row. Null: it goes nowhere. */
function cellBehind(
  key: string,
  row: number,
  column: number,
  last: number,
): readonly [row: number, column: number] | null {
  if (key === 'ArrowUp') return [row - 1, column];
  if (key === 'ArrowDown') return [row + 1, column];
  if (key !== 'Enter') return null;
  return column === last ? [row + 1, -1] : [row, column + 1];
}

/** Readings as they stand on the paper: a row for each time, a column for each point. */
export function PaperGrid({
  sheet,
  name,
  places,
  unit,
  rows,
  onRows,
  onLeave,
}: {
  /** Tells the cells of several grids of a page apart. */ sheet: string;
  /** What it holds, for those who hear it. */ name: string;
  places: readonly FieldPlace[];
  unit: TempUnit;
  rows: readonly ReadRow[];
  onRows: (rows: readonly PaperRow[]) => void;
  /** The arrow keys leave the grid above (−1) or below (1). */ onLeave?: (way: -1 | 1) => void;
}) {
  const plain = rows.map((r) => r.row);
  const change = (index: number, row: PaperRow): void => {
    const next = plain.map((r, i) => (i === index ? row : r));
    // There is always an empty row below the last one.
    onRows(index === next.length - 1 ? [...next, newPaperRow()] : next);
  };
  const move = (e: KeyboardEvent, row: number, column: number): void => {
    const cell = cellBehind(e.key, row, column, places.length - 1);
    if (!cell) return;
    e.preventDefault();
    if (!focusCell(sheet, cell[0], cell[1])) onLeave?.(cell[0] < 0 ? -1 : 1);
  };
  const paste = (e: ClipboardEvent, row: number, column: number): void => {
    const block = cellsOf(e.clipboardData.getData('text'));
    if (block.length === 1 && block[0]?.length === 1) return;
    e.preventDefault();
    onRows(pasteInto(plain, block, { row, column }, places, newPaperRow));
  };
  return (
    <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label={name}>
      <table className="border-collapse">
        <GridHead places={places} unit={unit} />
        <tbody>
          {rows.map((r, i) => (
            <GridRow
              key={r.row.id}
              sheet={sheet}
              name={name}
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
  sheet,
  name,
  r,
  index,
  places,
  onChange,
  onKey,
  onPaste,
}: {
  sheet: string;
  name: string;
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
            id={cellId(sheet, index, -1)}
            className="field !w-[164px]"
            aria-label={say('round.paperTimeOfRow', { name, row: index + 1 })}
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
              id={cellId(sheet, index, column)}
              className={cell}
              aria-label={say('round.paperCell', {
                name,
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

/** What must be asked about values before they are saved. */
export const PaperQuestions = ({
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
