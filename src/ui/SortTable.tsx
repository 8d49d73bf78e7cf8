'use client';
import { say } from '@/messages/say';
import {
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useReactTable,
  type ColumnDef,
  type Header,
  type Row as TableRow,
  type RowSelectionState,
  type SortingState,
  type Table,
} from '@tanstack/react-table';
import { useMemo, useState, type ReactNode } from 'react';
import { useOnPage } from './useOnPage';

/** A column of a table: what it says of a row, how rows are ordered by it, and how it is drawn. */
export type SortColumn<T> = {
  readonly id: string;
  readonly title: string;
  /** What a filter looks at, what an export holds, and what is drawn unless `cell` is given. */
  readonly text: (row: T) => string;
  /** What rows are ordered by; absent: the text. */
  readonly order?: (row: T) => number | string;
  readonly cell?: (row: T) => ReactNode;
  /** Offered as a list to choose from: there are few of them. */ readonly choice?: boolean;
  /** Rows can be narrowed to a span of days. */ readonly days?: DaysFilter<T>;
};
/** The day of a row, as `2026-05-21`, and what its first and last day are called. */
type DaysFilter<T> = {
  readonly of: (row: T) => string;
  readonly labels: readonly [string, string];
};
/** First and last day that are wanted; '': open at that end. */
type DaySpan = readonly [string, string];
type Row = { readonly id: string };

/** Above so many choices a list helps nobody: they are typed. */
const MOST_CHOICES = 40;

const isWithin = (day: string, [first, last]: DaySpan): boolean =>
  day >= first && (last === '' || day <= last);

const columnsOf = <T extends Row>(columns: readonly SortColumn<T>[]): ColumnDef<T>[] =>
  columns.map(({ id, title, text, order, cell, days }) => ({
    id,
    header: title,
    accessorFn: order ?? text,
    cell: ({ row }) => (cell ? cell(row.original) : text(row.original)),
    sortUndefined: 'last',
    filterFn: days
      ? (row, _column, span: DaySpan) => isWithin(days.of(row.original), span)
      : (row, _column, wanted: string) => text(row.original) === wanted,
  }));

const countText = (shown: number, of: number, inAll: number): string =>
  inAll > of
    ? say('controls.rowsOfLatest', { shown, of, inAll })
    : say('controls.rowsShown', { shown, of });

/**
 * Rows that are filtered by any word, by what is chosen from a list, and ordered by any column; with ticks, what is done with
 * those that are ticked.
 */
export function SortTable<T extends Row>({
  name,
  rows,
  columns,
  first,
  canTick,
  act,
  inAll = rows.length,
}: {
  /** What the rows are, for those who hear it. */ name: string;
  rows: readonly T[];
  columns: readonly SortColumn<T>[];
  /** The order at first. */ first?: { readonly id: string; readonly desc: boolean };
  /** Absent: rows are not ticked. */ canTick?: (row: T) => boolean;
  /** What can be done with the ticked rows, in the order shown. */
  act?: (ticked: readonly T[], all: readonly T[]) => ReactNode;
  /** How many there are, where the table holds the latest of them alone. */ inAll?: number;
}) {
  // The table keeps functions that are new at each drawing: it is not to be remembered.
  'use no memo';
  const [sorting, setSorting] = useState<SortingState>(first ? [first] : []);
  const [words, setWords] = useState('');
  const [rowSelection, setRowSelection] = useState<RowSelectionState>({});
  const [data, defs] = useMemo(() => [[...rows], columnsOf(columns)], [rows, columns]);
  // eslint-disable-next-line react-hooks/incompatible-library -- told to the compiler above
  const table = useReactTable({
    data,
    columns: defs,
    state: { sorting, globalFilter: words, rowSelection },
    onSortingChange: setSorting,
    onGlobalFilterChange: setWords,
    onRowSelectionChange: setRowSelection,
    getRowId: (row) => row.id,
    enableRowSelection: (row) => canTick?.(row.original) ?? false,
    globalFilterFn: (row, _column, wanted: string) =>
      columns.some((c) => c.text(row.original).toLowerCase().includes(wanted.trim().toLowerCase())),
    getCoreRowModel: getCoreRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const shown = table.getRowModel().rows;
  const ticked = shown.filter((r) => r.getIsSelected()).map((r) => r.original);
  return (
    <div className="flex flex-col gap-3">
      <Filters table={table} columns={columns} rows={rows} words={words} onWords={setWords} />
      <p role="status" className="hint print:hidden">
        {countText(shown.length, rows.length, inAll)}
      </p>
      <div className="relative overflow-x-auto" role="region" aria-label={name} tabIndex={0}>
        <Grid
          table={table}
          canTick={canTick !== undefined}
          nameOf={(row) => columns[0]?.text(row) ?? row.id}
        />
      </div>
      {act?.(
        ticked,
        shown.map((r) => r.original),
      )}
    </div>
  );
}

function Filters<T extends Row>({
  table,
  columns,
  rows,
  words,
  onWords,
}: {
  table: Table<T>;
  columns: readonly SortColumn<T>[];
  rows: readonly T[];
  words: string;
  onWords: (words: string) => void;
}) {
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-2 items-end print:hidden">
      <label className="label">
        {say('controls.filterByWord')}
        <input
          className="field !w-[220px]"
          value={words}
          onChange={(e) => onWords(e.target.value)}
        />
      </label>
      {columns
        .filter((c) => c.choice)
        .map((c) => {
          const all = [...new Set(rows.map(c.text))].filter(Boolean).sort();
          if (all.length < 2 || all.length > MOST_CHOICES) return null;
          return (
            <label key={c.id} className="label">
              {c.title}
              <select
                className="field !w-auto"
                value={(table.getColumn(c.id)?.getFilterValue() as string | undefined) ?? ''}
                onChange={(e) => table.getColumn(c.id)?.setFilterValue(e.target.value || undefined)}
              >
                <option value="">{say('controls.all')}</option>
                {all.map((x) => (
                  <option key={x} value={x}>
                    {x}
                  </option>
                ))}
              </select>
            </label>
          );
        })}
      {columns.map(({ id, days }) => days && <DaysFields key={id} {...{ table, id, days }} />)}
    </div>
  );
}

const DaysFields = <T extends Row>({
  table,
  id,
  days,
}: {
  table: Table<T>;
  id: string;
  days: DaysFilter<T>;
}) => {
  const column = table.getColumn(id);
  const [first, last] = (column?.getFilterValue() as DaySpan | undefined) ?? ['', ''];
  const field = (label: string, value: string, spanOf: (day: string) => DaySpan) => (
    <label className="label">
      {label}
      <input
        type="date"
        className="field !w-auto"
        value={value}
        onChange={(e) => column?.setFilterValue(spanOf(e.target.value))}
      />
    </label>
  );
  return (
    <>
      {field(days.labels[0], first, (day) => [day, last])}
      {field(days.labels[1], last, (day) => [first, day])}
    </>
  );
};

const SIGNS = { asc: '▲', desc: '▼' } as const;

/** The title of a column; pressed, rows are ordered by it. */
function HeadCell<T extends Row>({ head }: { head: Header<T, unknown> }) {
  const sorted = head.column.getIsSorted();
  return (
    <th
      scope="col"
      className="pr-4"
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
    >
      <button
        type="button"
        className="font-semibold min-h-target inline-flex items-center gap-1 cursor-pointer text-left"
        onClick={head.column.getToggleSortingHandler()}
      >
        {flexRender(head.column.columnDef.header, head.getContext())}
        <span aria-hidden="true" className="text-fine w-3">
          {sorted ? SIGNS[sorted] : ''}
        </span>
      </button>
    </th>
  );
}

const BodyRow = <T extends Row>({
  row,
  canTick,
  name,
  isAside,
}: {
  row: TableRow<T>;
  canTick: boolean;
  name: string;
  /** Others are ticked: printed are those alone. */ isAside: boolean;
}) => (
  <tr
    className={`border-b border-rule ${isAside ? 'print:hidden' : ''}`}
    data-testid="table-row"
    data-ticked={row.getIsSelected() || undefined}
  >
    {canTick && (
      <td className="print:hidden">
        <input
          type="checkbox"
          className="size-5 my-3"
          aria-label={say('controls.tickRow', {
            row: name,
          })}
          disabled={!row.getCanSelect()}
          checked={row.getIsSelected()}
          onChange={row.getToggleSelectedHandler()}
        />
      </td>
    )}
    {row.getVisibleCells().map((cell) => (
      <td key={cell.id} className="py-1.5 pr-4">
        {flexRender(cell.column.columnDef.cell, cell.getContext())}
      </td>
    ))}
  </tr>
);

function Grid<T extends Row>({
  table,
  canTick,
  nameOf,
}: {
  table: Table<T>;
  canTick: boolean;
  nameOf: (row: T) => string;
}) {
  // Hundreds of rows are drawn once the page stands: they weigh nothing on its way.
  const onPage = useOnPage();
  return (
    <table className="w-full border-collapse text-small">
      <thead>
        <tr className="text-left border-b-[1.6px] border-ink">
          {canTick && (
            <th scope="col" className="min-w-[40px] w-[40px] print:hidden">
              <input
                type="checkbox"
                className="size-5 my-3"
                aria-label={say('controls.tickAllShown')}
                checked={table.getIsAllRowsSelected()}
                onChange={(e) => table.toggleAllRowsSelected(e.target.checked)}
              />
            </th>
          )}
          {table.getFlatHeaders().map((h) => (
            <HeadCell key={h.id} head={h} />
          ))}
        </tr>
      </thead>
      <tbody>
        {onPage &&
          table
            .getRowModel()
            .rows.map((row) => (
              <BodyRow
                key={row.id}
                row={row}
                canTick={canTick}
                name={nameOf(row.original)}
                isAside={table.getIsSomeRowsSelected() && !row.getIsSelected()}
              />
            ))}
      </tbody>
    </table>
  );
}
