'use client';
import { say } from '@/messages/say';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { v7 } from 'uuid';
import { guessShape, type CsvOptions } from '@/core/formats/csv-readings';
import { firstOf, lastOf } from '@/core/quantity/present';
import { nameForHeap } from '@/core/words/waiting';
import { submitAllOrQueue } from '@/outbox/keep';
import { Field, Problems } from '@/ui/Field';
import { remember } from '@/ui/remember';
import { SaveButton, whoIsMissing } from '@/ui/SaveButton';
import {
  entriesOfReadings,
  headOf,
  readInto,
  readingKey,
  type BatchPoint,
  type PointMapping,
} from '../into';
import { askServer } from '@/ui/ask-server';
import { readDropped } from './read-dropped';
import { FirstRows, ReadingFields } from './TableFields';

type Props = {
  readonly batch: { readonly id: string; readonly name: string };
  readonly points: readonly BatchPoint[];
  readonly probes: readonly string[];
  readonly unit: 'C' | 'F';
  readonly timeZone: string;
  readonly zones: readonly string[];
  readonly by: string;
  readonly dayFirst: boolean;
};
type Table = { readonly name: string; readonly rows: readonly (readonly string[])[] };
/** How a table with this head was read the last time. */
type Remembered = { readonly options: CsvOptions; readonly mapping: PointMapping };
const keyOf = (head: string): string => `zh_table:${head.slice(0, 300)}`;
function rememberedOf(head: string): Remembered | null {
  try {
    return JSON.parse(localStorage.getItem(keyOf(head)) ?? 'null') as Remembered | null;
  } catch {
    return null;
  }
}

/** The file at hand, how it is read, and where each of its columns goes. */
function useTable(p: Props) {
  const [table, setTable] = useState<Table | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [mapping, setMapping] = useState<PointMapping | null>(null);
  const [options, setOptions] = useState<CsvOptions>({
    shape: 'long',
    unit: p.unit,
    timeZone: p.timeZone,
    dateOrder: p.dayFirst ? 'dmy' : 'mdy',
  });
  const take = async (file: File): Promise<void> => {
    const read = await readDropped(file);
    if (typeof read === 'string' || read.kind === 'file') {
      setTable(null);
      setProblem(typeof read === 'string' ? read : say('bring.isABatchFile', { name: read.name }));
      return;
    }
    const known = rememberedOf(headOf(read.rows));
    setProblem(null);
    setTable(read);
    setMapping(known?.mapping ?? null);
    setOptions((o) => known?.options ?? { ...o, shape: guessShape(read.rows[0] ?? []) });
  };
  const read = useMemo(
    () => (table ? readInto(table.rows, options, mapping, p.points) : null),
    [table, options, mapping, p.points],
  );
  return { table, problem, options, setOptions, setMapping, read, take };
}

/** Sends what the batch does not have yet, and says what it had. */
function useImport({ batch }: Props) {
  const [busy, setBusy] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const [problems, setProblems] = useState<
    readonly { readonly path: string; readonly message: string }[]
  >([]);
  const router = useRouter();
  // One id for each entry that this page may send: what is sent twice is kept once.
  const [ids] = useState(() => new Map<number, string>());
  const idOf = (n: number): string => {
    const id = ids.get(n) ?? v7();
    ids.set(n, id);
    return id;
  };
  const send = async (
    readings: ReturnType<typeof readInto>['readings'],
    by: string,
    probe: string | null,
  ): Promise<void> => {
    setBusy(true);
    setSaid(null);
    try {
      const known = new Set(
        await askServer<readonly string[]>('/api/ask/readings', {
          batch: batch.id,
          from: firstOf(readings).at,
          to: lastOf(readings).at,
        }),
      );
      const fresh = readings.filter((r) => !known.has(readingKey(r)));
      const had = readings.length - fresh.length;
      const forms = entriesOfReadings(fresh, { batch: batch.id, by, probe, ids: idOf });
      const refused = await submitAllOrQueue(
        forms.map((form) => ({
          form,
          ...nameForHeap(batch.name, say('bring.readingsOf', { n: form.data.readings.length })),
        })),
      );
      setProblems(refused);
      if (refused.length > 0) return;
      remember('zh_by', by);
      setSaid(say('bring.addedAndHad', { added: fresh.length, had }));
      router.refresh();
    } catch {
      setProblems([{ path: '(server)', message: say('bring.noConnectionTryAgain') }]);
    } finally {
      setBusy(false);
    }
  };
  return { busy, said, problems, send };
}

/** A table of readings into a batch that is there: a CSV file or a workbook, its columns told once. */
export function IntoBatch(p: Props) {
  const t = useTable(p);
  return (
    <div className="px-5 py-5 max-w-[860px] flex flex-col gap-5">
      <h1>{say('bring.importInto', { name: p.batch.name })}</h1>
      <p className="hint max-w-[65ch]">{say('bring.csvOrWorkbook')}</p>
      <label className="label">
        {say('bring.chooseAFile')}
        <input
          type="file"
          accept=".csv,.txt,.tsv,.xlsx"
          className="block mt-1 min-h-target w-full min-w-0"
          onChange={(e) => {
            const file = e.target.files?.[0];
            if (file) void t.take(file);
          }}
        />
      </label>
      <Problems list={t.problem === null ? [] : [{ path: '(file)', message: t.problem }]} />
      {t.read && t.table && <TableAtHand {...p} t={t} read={t.read} table={t.table} />}
    </div>
  );
}

/** What is known of the table: how it is read, where its columns go, and what would be imported. */
function TableAtHand({
  t,
  read,
  table,
  ...p
}: Props & {
  t: ReturnType<typeof useTable>;
  read: NonNullable<ReturnType<typeof useTable>['read']>;
  table: Table;
}) {
  const sending = useImport(p);
  const [by, setBy] = useState(p.by);
  const [probe, setProbe] = useState('');
  const change = (name: string, point: string): void =>
    t.setMapping({ ...read.mapping, [name]: point === '' ? null : point });
  const start = (): void => {
    const kept: Remembered = { options: t.options, mapping: read.mapping };
    localStorage.setItem(keyOf(headOf(table.rows)), JSON.stringify(kept));
    void sending.send(read.readings, by.trim(), probe || null);
  };
  return (
    <>
      <HowItIsRead
        {...{ options: t.options, setOptions: t.setOptions, zones: p.zones }}
        {...{ probes: p.probes, probe, setProbe }}
      />
      <Columns found={read.found} mapping={read.mapping} points={p.points} onChange={change} />
      <FirstRows rows={table.rows} />
      <Problems
        list={read.bad.slice(0, 8).map((b) => ({
          path: String(b.line),
          message: say('bring.lineReason', { line: b.line, reason: b.reason }),
        }))}
      />
      <Field
        label={say('bring.whoImports')}
        value={by}
        maxLength={60}
        onChange={(e) => setBy(e.target.value)}
      />
      <Problems list={sending.problems} />
      <SaveButton
        className="btn key !min-h-glove"
        busy={sending.busy}
        label={say('bring.importReadings', { n: read.readings.length })}
        missing={
          read.bad.length > 0
            ? say('bring.correctTheFileFirst', { bad: read.bad.length })
            : read.readings.length === 0
              ? say('bring.sayWhichPoint')
              : whoIsMissing(by)
        }
        onSave={start}
      />
      <p role="status" className="font-semibold">
        {sending.said}
      </p>
    </>
  );
}

/** How the table is read, and with what its readings were taken. */
const HowItIsRead = ({
  options,
  setOptions,
  zones,
  probes,
  probe,
  setProbe,
}: Pick<ReturnType<typeof useTable>, 'options' | 'setOptions'> &
  Pick<Props, 'zones' | 'probes'> & { probe: string; setProbe: (probe: string) => void }) => (
  <div className="grid sm:grid-cols-2 gap-4">
    <ReadingFields options={options} setOptions={setOptions} zones={zones} />
    <label className="label">
      {say('bring.takenWith')}
      <select className="field" value={probe} onChange={(e) => setProbe(e.target.value)}>
        <option value="">{say('bring.asTheFileSays')}</option>
        {probes.map((name) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
      </select>
    </label>
  </div>
);

/** Which point of the batch each column, or each point of the table, is. */
const Columns = ({
  found,
  mapping,
  points,
  onChange,
}: {
  found: readonly string[];
  mapping: PointMapping;
  points: readonly BatchPoint[];
  onChange: (name: string, point: string) => void;
}) => (
  <fieldset className="grid sm:grid-cols-2 gap-3">
    <legend className="label">{say('bring.whichPointIsWhich')}</legend>
    {found.map((name) => (
      <label key={name} className="label">
        {name}
        <select
          className="field"
          value={mapping[name] ?? ''}
          onChange={(e) => onChange(name, e.target.value)}
        >
          <option value="">{say('bring.leaveItOut')}</option>
          {points.map((p) => (
            <option key={p.id} value={p.id}>
              {p.label}
            </option>
          ))}
        </select>
      </label>
    ))}
  </fieldset>
);
